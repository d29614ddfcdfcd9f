import fc from 'fast-check';
import { cellAt, evenGrid } from './models/grid';
import { slotLabels } from './labels';
import { cellAfter, stayIn } from './stayIn';
import { testUnit } from './test/testUnit';
import { addressIn, spotCalled } from './unit';

const CELL = { widthUm: 102_000, heightUm: 22_000, depthUm: 102_000 };
const rack = (rows: number, columns: number, cell = CELL) =>
  testUnit({ model: evenGrid(rows, columns, cell), rules: { kinds: ['ink'] } });
const pad = (id: string, cell: number) => ({
  supply: { id, kind: 'ink' as const, form: 'full-pad', facts: {} },
  lot: { id, as: 'whole' as const, items: 1, left: 60, spot: { unitId: 'u', cell, rank: 0 } },
});

test('what is in a rack keeps row and column whatever size the rack gets, or has no place any more', () => {
  const size = fc.record({ rows: fc.integer({ min: 1, max: 8 }), columns: fc.integer({ min: 1, max: 8 }) });
  fc.assert(
    fc.property(size, size, (before, after) => {
      const [was, is] = [rack(before.rows, before.columns), rack(after.rows, after.columns)];
      const things = Array.from({ length: before.rows * before.columns }, (_, cell) => pad(`p${cell}`, cell));
      const { moved, lifted } = stayIn(was, is, things);
      const now = new Map(moved.map(({ thing, cell }) => [thing.supply.id, cell]));
      const gone = new Set(lifted.map(({ supply }) => supply.id));
      for (const { supply, lot } of things) {
        const from = cellAt(evenGrid(before.rows, before.columns, CELL), lot.spot.cell);
        const stays = from.row < after.rows && from.column < after.columns;
        expect(gone.has(supply.id)).toBe(!stays);
        if (!stays) continue;
        const cell = now.get(supply.id) ?? lot.spot.cell;
        expect(cellAt(evenGrid(after.rows, after.columns, CELL), cell)).toEqual(from);
      }
    }),
  );
});

test('what a smaller cell no longer takes has no place, also where its row and column are there', () => {
  const { lifted } = stayIn(rack(2, 2), rack(2, 3, { ...CELL, widthUm: 60_000 }), [pad('a', 3)]);
  expect(lifted.map(({ supply }) => supply.id)).toEqual(['a']);
  expect(cellAfter(evenGrid(2, 2, CELL), null, 1)).toBeUndefined();
});

test('a name of one’s own is printed and found, and stays with its row and column', () => {
  const facts = { spotNames: [{ row: 1, column: 0, name: 'Reds' }] };
  const [small, large] = [rack(2, 2), rack(2, 5)].map((unit) => ({ ...unit, label: 'A', facts }));
  expect([addressIn(small!, 2), addressIn(small!, 3)]).toEqual(['A·Reds', 'A2·02']);
  expect(addressIn(large!, 5)).toBe('A·Reds');
  expect(spotCalled('a·reds', [small!])).toEqual({ unitId: small!.id, cell: 2 });
  expect(slotLabels(small!, [null, null, null, null]).map(({ address }) => address)).toEqual([
    'A1·01',
    'A1·02',
    'A·Reds',
    'A2·02',
  ]);
});
