import fc from 'fast-check';
import { isRefusal, mayLive, type Lodger, type RoomNow } from '../storage/mayLive';
import { evenGrid } from '../storage/models/grid';
import { holdsOf, type Model } from '../storage/models/models';
import { findTemplate } from '../storage/templates';
import { testUnit } from '../storage/test/testUnit';
import { roomIn, unitFromTemplate, type Unit } from '../storage/unit';
import { remediesFor } from './remedies';

const MM = 1000;
const size = (w: number, h: number, d: number) => ({ widthUm: w * MM, heightUm: h * MM, depthUm: d * MM });
type There = Lodger & {
  readonly lot: { readonly spot: { unitId: string; cell: number | null; rank: number } };
};

const pad = (id: string, form = 'full-pad'): Lodger => ({
  supply: { id, kind: 'ink', form, facts: {} },
  lot: { id: `${id}-lot`, as: 'whole', items: 1, left: 60, spot: null },
});
const pads = (count: number, form?: string): Lodger[] =>
  Array.from({ length: count }, (_, i) => pad(`p${i}`, form));
const rack = (id: string, columns: number, more: Partial<Unit> = {}): Unit =>
  testUnit({ id, model: evenGrid(1, columns, size(102, 22, 70)), ...more });
const standing = (things: readonly There[]): RoomNow => ({
  livingIn: (unitId) => things.filter(({ lot }) => lot.spot.unitId === unitId),
});
const EMPTY = standing([]);

/** How many go in, by setting down one after another until none may live anywhere in it. */
function setDownOneByOne(things: readonly Lodger[], unit: Unit, room: RoomNow): number {
  const there: There[] = room.livingIn(unit.id).map((each) => each as There);
  const before = there.length;
  const { cells } = holdsOf(unit.model as Model);
  const spots = cells === 0 ? [null] : Array.from({ length: cells }, (_, cell) => cell);
  for (const thing of things) {
    const cell = spots.find((each) => {
      const answer = mayLive(thing, { unit, cell: each }, { ...room, livingIn: () => there });
      return answer === null || (!isRefusal(answer) && answer.every(({ code }) => code === 'care'));
    });
    if (cell === undefined) break;
    there.push({ ...thing, lot: { ...thing.lot, spot: { unitId: unit.id, cell, rank: 0 } } });
  }
  return there.length - before;
}

test('a place that stands already comes before a new one, the one that takes most before others', () => {
  const three = pads(3);
  expect(remediesFor(three, [rack('small', 2), rack('large', 5)], EMPTY)).toEqual([
    { items: three, unitId: 'large', template: null, takes: 3 },
  ]);
  const full = standing([
    { ...pad('there'), lot: { ...pad('there').lot, spot: { unitId: 'large', cell: 0, rank: 0 } } },
  ]);
  expect(
    remediesFor(pads(9), [rack('large', 5), rack('spare', 9, { facts: { standing: 'spare' } })], full),
  ).toEqual([expect.objectContaining({ unitId: 'large', takes: 4 })]);
});

test('what is kept for others does not count as room', () => {
  const room: RoomNow = { ...EMPTY, keptFor: () => new Set(['somebody else’s']) };
  const [remedy] = remediesFor(pads(2), [rack('kept', 5)], room);
  expect(remedy?.unitId).toBeNull();
  expect(remedy?.template).not.toBeNull();
});

test('one more of a template takes what it says, and none that takes as many is smaller', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 1, max: 40 }),
      fc.constantFrom('full-pad', 'mini-pad', 'refill'),
      (count, form) => {
        const [remedy] = remediesFor(pads(count, form), [], EMPTY);
        const template = findTemplate(remedy?.template ?? '');
        expect(template).toBeDefined();
        const unit = unitFromTemplate(template!);
        expect(remedy?.takes).toBe(setDownOneByOne(pads(count, form), unit, EMPTY));
        // A smaller one would have been found for one thing less of room.
        const places = roomIn(unit) ?? Infinity;
        const [fewer] = remediesFor(pads(Math.max(1, count - 1), form), [], EMPTY);
        const smaller = roomIn(unitFromTemplate(findTemplate(fewer?.template ?? '')!)) ?? Infinity;
        expect(smaller).toBeLessThanOrEqual(places);
      },
    ),
    { numRuns: 30 },
  );
});

test('a unit takes as many as can be set down in it one after another, whatever is there', () => {
  const model = fc.oneof(
    fc
      .record({ columns: fc.integer({ min: 1, max: 6 }), high: fc.constantFrom(15, 22, 40) })
      .map(({ columns, high }): Model => evenGrid(2, columns, size(102, high, 70))),
    fc
      .integer({ min: 60, max: 500 })
      .map((w): Model => ({ model: 'loose', ...size(w, 60, 120), fillPercent: 70 })),
  );
  fc.assert(
    fc.property(
      model,
      fc.integer({ min: 1, max: 12 }),
      fc.integer({ min: 0, max: 4 }),
      fc.option(fc.integer({ min: 0, max: 8 }), { nil: undefined }),
      (holding, count, already, cap) => {
        const unit = testUnit({
          id: 'u',
          model: holding,
          rules: { kinds: ['ink'], ...(cap === undefined ? {} : { cap }) },
        });
        const there: There[] = [];
        for (const [i, each] of pads(already).entries()) {
          const cell = holding.model === 'grid' ? i : null;
          if (setDownOneByOne([each], unit, standing(there)) === 0) break;
          there.push({
            ...each,
            supply: { ...each.supply, id: `t${i}` },
            lot: { ...each.lot, id: `t${i}`, spot: { unitId: 'u', cell, rank: i } },
          });
        }
        const room = standing(there);
        const [remedy] = remediesFor(pads(count), [unit], room);
        const takes = remedy?.unitId === 'u' ? remedy.takes : 0;
        expect(takes).toBe(setDownOneByOne(pads(count), unit, room));
      },
    ),
    { numRuns: 150 },
  );
});

test('every thing stands in one remedy at most, with others of its own sort', () => {
  const forms = fc.array(fc.constantFrom('full-pad', 'mini-pad', 'wide-pad'), { maxLength: 20 });
  fc.assert(
    fc.property(forms, fc.integer({ min: 0, max: 4 }), (wanted, columns) => {
      const things = wanted.map((form, i) => pad(`p${i}`, form));
      const found = remediesFor(things, columns > 0 ? [rack('r', columns)] : [], EMPTY);
      const named = found.flatMap(({ items }) => items.map(({ lot }) => lot.id));
      expect(new Set(named).size).toBe(named.length);
      for (const { items, takes, unitId, template } of found) {
        expect(new Set(items.map(({ supply }) => supply.form)).size).toBe(1);
        expect(takes).toBeGreaterThan(0);
        expect(takes).toBeLessThanOrEqual(items.length);
        expect((unitId === null) !== (template === null)).toBe(true);
      }
    }),
    { numRuns: 40 },
  );
});
