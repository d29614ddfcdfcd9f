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

test('where anything will do, or its family will, what one points at need not be open', () => {
  const wide = evenGrid(1, 7, { widthUm: 100 * MM, heightUm: 22 * MM, depthUm: 80 * MM });
  const kept = (tolerance?: 'exact' | 'family' | 'anywhere') =>
    testUnit({ id: 'r', model: wide, rules: { kinds: ['ink'] }, facts: tolerance ? { tolerance } : {} });
  // Two reds, a gap, a blue that is pointed at, a gap, a green, a gap.
  const now = living(['red1', 0], ['red2', 1], ['blue1', 3], ['green1', 5]);
  const goes = (what: string, tolerance?: 'exact' | 'family' | 'anywhere', cell = 3) => {
    const { set, refused } = setDownFrom(
      [pad(what, 90)],
      { unit: kept(tolerance), cell },
      now,
      (one, other) => other.lot.id.startsWith(one.lot.id),
    );
    return set[0]?.cell ?? refused[0]?.refusal.code;
  };
  expect([goes('red'), goes('red', 'exact')]).toEqual(['taken', 'taken']);
  expect([goes('red', 'anywhere'), goes('red', 'anywhere', 5)]).toEqual([2, 4]);
  expect([goes('red', 'family'), goes('blue', 'family'), goes('green', 'family')]).toEqual([2, 2, 4]);
  expect(goes('violet', 'family')).toBe('taken');
  expect(goes('red', 'family', 4)).toBe(4);
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
