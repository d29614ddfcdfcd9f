import fc from 'fast-check';
import { colourDifference, labOf } from '../colour/lab';
import type { ColouredItem } from './order';
import { rainbowOrder } from './rainbow';
import { numbersFrom } from './smooth/numbers';
import { twoWay } from './twoWay';

const anyColours = (count: number, seed: number): ColouredItem[] => {
  const number = numbersFrom(seed);
  return Array.from({ length: count }, (_, i) => ({
    id: `${i}`,
    hex: `#${(number() >>> 8).toString(16).padStart(6, '0')}`,
  }));
};
/** Differences to the neighbours at the right and below, all together. */
function differences(row: readonly (ColouredItem | null)[], columns: number): number {
  let sum = 0;
  row.forEach((each, cell) => {
    const right = cell % columns < columns - 1 ? row[cell + 1] : null;
    for (const other of [right, row[cell + columns]])
      if (each && other) sum += colourDifference(each.hex, other.hex);
  });
  return sum;
}

test('of few things the best picture there is, or nearly', () => {
  fc.assert(
    fc.property(fc.nat(), (seed) => {
      const items = anyColours(5, seed);
      let least = Infinity;
      const go = (row: ColouredItem[], left: readonly ColouredItem[]): void => {
        if (left.length === 0) least = Math.min(least, differences(row, 3));
        for (const each of left)
          go(
            [...row, each],
            left.filter((other) => other !== each),
          );
      };
      go([], items);
      // Any way round: which way light lies may cost a little where there are so few.
      expect(differences(twoWay(items, { rows: 2, columns: 3 }, { down: 0 }), 3)).toBeLessThanOrEqual(
        1.03 * least,
      );
    }),
    { numRuns: 8, seed: 11 },
  );
});

test('every thing once, open cells at the end, nearer to its neighbours than row after row, the same for a seed', () => {
  const items = anyColours(46, 3);
  const size = { rows: 6, columns: 8 };
  const row = twoWay(items, size, { budgetMs: 60 });
  expect(row.flatMap((each) => each?.id ?? []).sort()).toEqual(items.map(({ id }) => id).sort());
  expect(row.slice(46)).toEqual([null, null]);
  expect(differences(row, 8)).toBeLessThan(0.8 * differences(rainbowOrder(items, { within: 'smooth' }), 8));
  expect(twoWay([...items].reverse(), size, { budgetMs: 60 })).toEqual(row);
});

test('light above dark, in racks of any shape', () => {
  for (const [rows, columns] of [
    [6, 10],
    [12, 5],
    [3, 20],
  ] as const) {
    const row = twoWay(anyColours(60, 8), { rows, columns }, { budgetMs: 60 });
    const light = row.map((each) => labOf(each?.hex ?? '#000').l);
    const third = (from: number): number => light.slice(from, from + 20).reduce((sum, l) => sum + l, 0) / 20;
    expect(third(0)).toBeGreaterThan(third(20) + 8);
    expect(third(20)).toBeGreaterThan(third(40) + 8);
  }
});

test('what stays is worked round, what does not fit a cell stands elsewhere, and nearer to today less is moved', () => {
  const items = anyColours(20, 5);
  const size = { rows: 4, columns: 6 };
  const takes = (item: ColouredItem, cell: number): boolean => item.id !== '3' || cell % 6 === 0;
  const cells = Array.from({ length: 24 }, (_, cell) => cell).filter((cell) => cell !== 8 && cell !== 23);
  const standing = new Map([[8, '#c23b42']]);
  const ask = (near: number, now?: ReadonlyMap<string, number>) =>
    twoWay(items, size, { budgetMs: 30, cells, standing, takes, near, ...(now ? { now } : {}) });
  const row = ask(0);
  expect([row[8], row[23]]).toEqual([null, null]);
  expect(row.findIndex((each) => each?.id === '3') % 6).toBe(0);
  expect(row.filter((each) => each !== null)).toHaveLength(20);
  const now = new Map(items.map(({ id }, i) => [id, cells[(i * 7) % 20] ?? 0]));
  const moved = (near: number): number =>
    ask(near, now).filter((each, cell) => each && now.get(each.id) !== cell).length;
  expect(moved(1)).toBeLessThan(moved(0.1));
  expect(moved(0.1)).toBeLessThanOrEqual(moved(0));
  const stood = new Map(row.flatMap((each, cell) => (each ? [[each.id, cell] as const] : [])));
  expect(ask(0.5, stood)).toEqual(row);
  expect(() => twoWay(items, size, { cells, takes: () => false, budgetMs: 1 })).toThrow(/fit into none/);
});

test('any number of things stands in any rack that has room for it', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 0, max: 12 }),
      fc.integer({ min: 1, max: 5 }),
      fc.integer({ min: 1, max: 5 }),
      (n, rows, columns) => {
        const items = anyColours(n, 1);
        if (n > rows * columns) {
          expect(() => twoWay(items, { rows, columns })).toThrow(/do not go into/);
          return;
        }
        const row = twoWay(items, { rows, columns }, { budgetMs: 1 });
        expect(row).toHaveLength(rows * columns);
        expect(row.slice(0, n).every((each) => each !== null)).toBe(true);
      },
    ),
  );
});
