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
      expect(differences(twoWay(items, { rows: 2, columns: 3 }), 3)).toBeLessThanOrEqual(1.03 * least);
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

test('light above dark', () => {
  const row = twoWay(anyColours(60, 8), { rows: 6, columns: 10 }, { budgetMs: 60 });
  const lightness = (from: number, to: number): number =>
    row.slice(from, to).reduce((sum, each) => sum + labOf(each?.hex ?? '#000').l, 0);
  expect(lightness(0, 30)).toBeGreaterThan(lightness(30, 60));
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
