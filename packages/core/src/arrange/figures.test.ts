import fc from 'fast-check';
import { hasColour } from '../colour/families';
import { ciede2000 } from '../colour/lab';
import { besideStep, shelfFigures } from './figures';
import { keyed, type Keyed } from './order';

const hex = fc.integer({ min: 0, max: 0xffffff }).map((n) => `#${n.toString(16).padStart(6, '0')}`);
const thing = fc
  .tuple(fc.uuid(), hex, fc.boolean())
  .map(([id, colour, plain]) => keyed({ id, hex: colour, ...(plain ? { family: 'none' as const } : {}) }));
const slot = fc.option(thing, { freq: 4 });
const shelf = fc.array(slot, { maxLength: 20 });
const shelves = fc.array(shelf, { maxLength: 4 });
const close = (found: number | null, wanted: number | null): void => {
  if (wanted === null || found === null) expect(found).toBe(wanted);
  else expect(found).toBeCloseTo(wanted, 8);
};
const mean = (steps: readonly number[]): number | null =>
  steps.length === 0 ? null : steps.reduce((sum, each) => sum + each, 0) / steps.length;
const step = (a: Keyed<unknown>, b: Keyed<unknown>): number[] =>
  hasColour(a) && hasColour(b) ? [ciede2000(a.lab, b.lab)] : [];

test('open slots change nothing, and shelves say the same from the right as from the left', () => {
  fc.assert(
    fc.property(shelves, (all) => {
      const { breaks, meanStep } = shelfFigures(all);
      for (const other of [
        all.map((slots) => slots.filter((each) => each !== null)),
        all.map((slots) => slots.flatMap((each) => [null, each])),
        all.map((slots) => [...slots].reverse()),
        [...all].reverse(),
      ]) {
        const found = shelfFigures(other);
        expect(found.breaks).toBe(breaks);
        close(found.meanStep, meanStep);
      }
    }),
  );
});

test('they are what a person counts who goes from thing to thing', () => {
  fc.assert(
    fc.property(shelves, (all) => {
      let breaks = 0;
      const steps: number[] = [];
      for (const slots of all) {
        let before: Keyed<unknown> | null = null;
        for (const here of slots) {
          if (here === null) continue;
          if (before !== null && before.group !== here.group) breaks++;
          if (before !== null) steps.push(...step(before, here));
          before = here;
        }
      }
      const found = shelfFigures(all);
      expect(found.breaks).toBe(breaks);
      close(found.meanStep, mean(steps));
    }),
  );
});

test('a shelf of one group has no breaks, and one that changes each time has as many as steps', () => {
  fc.assert(
    fc.property(fc.array(thing, { minLength: 1, maxLength: 20 }), (things) => {
      expect(shelfFigures([things], () => 'all').breaks).toBe(0);
      expect(shelfFigures([things], ({ id }) => id).breaks).toBe(
        things.slice(1).filter(({ id }, i) => id !== things[i]?.id).length,
      );
    }),
  );
});

const picture = fc
  .record({ rows: fc.integer({ min: 1, max: 5 }), columns: fc.integer({ min: 1, max: 6 }) })
  .chain(({ rows, columns }) =>
    fc
      .array(slot, { minLength: rows * columns, maxLength: rows * columns })
      .map((slots) => ({ slots, rows, columns })),
  );

test('a rack seen as a picture says the same on its side and in a mirror', () => {
  fc.assert(
    fc.property(picture, ({ slots, rows, columns }) => {
      const at = (row: number, column: number) => slots[row * columns + column] ?? null;
      const cells = Array.from({ length: rows * columns }, (_, i) => i);
      const turned = cells.map((i) => at(i % rows, Math.floor(i / rows)));
      const mirrored = cells.map((i) => at(Math.floor(i / columns), columns - 1 - (i % columns)));
      const found = besideStep([{ slots, columns }]);
      close(besideStep([{ slots: turned, columns: rows }]), found);
      close(besideStep([{ slots: mirrored, columns }]), found);
    }),
  );
});

test('in one row a picture differs from neighbour to neighbour as a shelf without holes does', () => {
  fc.assert(
    fc.property(fc.array(thing, { minLength: 1, maxLength: 12 }), (slots) => {
      close(besideStep([{ slots, columns: slots.length }]), shelfFigures([slots]).meanStep);
    }),
  );
});
