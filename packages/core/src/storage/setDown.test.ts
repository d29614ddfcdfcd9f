import { evenGrid } from './models/grid';
import { setDownFrom } from './setDown';
import { testUnit } from './test/testUnit';
import type { RoomNow } from './mayLive';

const MM = 1000;
/** Wider than it is deep, but for one that is too wide any way round. */
const size = (mm: number) => ({ widthUm: mm * MM, heightUm: 20 * MM, depthUm: (mm > 100 ? mm : 70) * MM });
const pad = (id: string, widthMm: number, unitId: string | null = null) => ({
  supply: { id: `s-${id}`, kind: 'ink' as const, form: 'full-pad', facts: { size: size(widthMm) } },
  lot: { id, as: 'whole' as const, items: 1, left: 1, spot: unitId ? { unitId, cell: 0, rank: 0 } : null },
});
const rack = testUnit({
  id: 'r',
  model: evenGrid(1, 4, { widthUm: 100 * MM, heightUm: 22 * MM, depthUm: 80 * MM }),
  rules: { kinds: ['ink'] },
});
const living = (...there: (readonly [string, number])[]): RoomNow => ({
  livingIn: (unitId) =>
    unitId === 'r'
      ? there.map(([id, cell]) => ({
          ...pad(id, 90),
          lot: { ...pad(id, 90).lot, spot: { unitId, cell, rank: 0 } },
        }))
      : [],
});

test('the first goes where one points, the others to the next open cells that take them', () => {
  const { set, refused } = setDownFrom(
    [pad('a', 98), pad('b', 90), pad('c', 90)],
    { unit: rack, cell: 0 },
    living(['x', 1]),
  );
  expect(set.map(({ thing, cell }) => [thing.lot.id, cell])).toEqual([
    ['a', 0],
    ['b', 2],
    ['c', 3],
  ]);
  expect(set[0]?.clear).toEqual({ acrossUm: 2 * MM, aboveUm: 2 * MM, beforeUm: 10 * MM });
  expect(refused).toEqual([]);
});

test('a cell that is taken or too narrow refuses with its measure; what is carried makes room for itself', () => {
  const wide = setDownFrom([pad('a', 104)], { unit: rack, cell: 0 }, living());
  expect(wide.refused[0]?.refusal).toMatchObject({ code: 'too_wide', needUm: 104 * MM, haveUm: 100 * MM });
  const taken = setDownFrom([pad('a', 90)], { unit: rack, cell: 1 }, living(['x', 1]));
  expect(taken.refused[0]?.refusal).toEqual({ code: 'taken', by: 's-x' });
  const own = setDownFrom([pad('x', 90, 'r')], { unit: rack, cell: 1 }, living(['x', 1]));
  expect(own.refused).toEqual([]);
});

test('more than there are cells is said, and no cell is given twice', () => {
  const five = ['a', 'b', 'c', 'd', 'e'].map((id) => pad(id, 90));
  const { set, refused } = setDownFrom(five, { unit: rack, cell: 0 }, living());
  expect(new Set(set.map(({ cell }) => cell)).size).toBe(4);
  expect(refused.map(({ thing }) => thing.lot.id)).toEqual(['e']);
});

test('on a shelf each is judged with those set down before it', () => {
  const shelf = testUnit({
    id: 'r',
    model: {
      model: 'run',
      how: 'stand',
      lengthUm: 200 * MM,
      heightUm: 90 * MM,
      depthUm: 90 * MM,
      lipUm: 0,
      fingerUm: 0,
    },
    rules: { kinds: ['ink'] },
  });
  const { set, refused } = setDownFrom(
    ['a', 'b', 'c'].map((id) => pad(id, 90)),
    { unit: shelf, cell: null },
    { livingIn: () => [] },
  );
  expect(set).toHaveLength(2);
  expect(refused[0]?.refusal).toMatchObject({ code: 'run_full', haveUm: 20 * MM });
});
