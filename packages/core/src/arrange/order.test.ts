import fc from 'fast-check';
import { colourDifference, labOf } from '../colour/lab';
import { familyGroupOf, type ColouredItem } from './order';
import { numbersFrom } from './smooth/numbers';
import { rainbowOrder } from './rainbow';

const item = (id: string, hex: string, more: Partial<ColouredItem> = {}): ColouredItem => ({
  id,
  hex,
  ...more,
});
const ids = (items: readonly ColouredItem[]): string[] => items.map(({ id }) => id);

test('family first, then light to dark, neutrals and metallics at the end', () => {
  const items = [
    item('gold', '#c9a94a', { finish: 'metallic' }),
    item('black', '#101010'),
    item('navy', '#1c2f5e'),
    item('sky', '#9cc3ea'),
    item('red', '#b3262b'),
    item('cream', '#f7f3e6'),
    item('leaf', '#4c9a52'),
  ];
  expect(ids(rainbowOrder(items))).toEqual(['red', 'leaf', 'sky', 'navy', 'cream', 'black', 'gold']);
});

test('a scheme moves families and turns lightness round', () => {
  const items = [
    item('sky', '#9cc3ea'),
    item('navy', '#1c2f5e'),
    item('rose', '#ee9dbb'),
    item('red', '#b3262b'),
  ];
  const scheme = { familyOrder: ['pink', 'red'], within: 'dark-first' } as const;
  expect(ids(rainbowOrder(items, scheme))).toEqual(['rose', 'red', 'navy', 'sky']);
});

test('the person’s family wins over the computed one', () => {
  const items = [item('teal', '#2f9596', { family: 'red' }), item('orange', '#e07b2a')];
  expect(ids(rainbowOrder(items))).toEqual(['teal', 'orange']);
});

test('nothing and one thing are ordinary', () => {
  expect(rainbowOrder([])).toEqual([]);
  expect(ids(rainbowOrder([item('a', '#fff')]))).toEqual(['a']);
});

test('the order is total and stable: any shuffle comes out the same, and sorting again changes nothing', () => {
  const hexes = fc.constantFrom('#b3262b', '#b3262c', '#4c9a52', '#101010', '#fafafa', '#2f9596');
  const lists = fc.uniqueArray(fc.record({ id: fc.string({ minLength: 1, maxLength: 4 }), hex: hexes }), {
    selector: ({ id }) => id,
    maxLength: 25,
  });
  fc.assert(
    fc.property(lists, fc.integer(), (items, seed) => {
      const shuffled = [...items].sort(
        (p, q) => ((p.id.charCodeAt(0) * 31 + seed) % 7) - ((q.id.charCodeAt(0) * 17 + seed) % 5),
      );
      const before = JSON.stringify(shuffled);
      const sorted = rainbowOrder(shuffled, {});
      expect(sorted).toEqual(rainbowOrder(items));
      expect(rainbowOrder(sorted)).toEqual(sorted);
      expect(JSON.stringify(shuffled)).toBe(before);
    }),
  );
});

/** Colours all over what a screen can show. */
const anyColours = (count: number, seed: number): ColouredItem[] => {
  const number = numbersFrom(seed);
  return Array.from({ length: count }, (_, i) =>
    item(`${i}`, `#${(number() >>> 8).toString(16).padStart(6, '0')}`),
  );
};
const pathOf = (items: readonly ColouredItem[]): number =>
  items.slice(1).reduce((sum, { hex }, i) => sum + colourDifference(items[i]?.hex ?? hex, hex), 0);
const breaksOf = (items: readonly ColouredItem[]): number =>
  items.slice(1).filter((each, i) => familyGroupOf(each) !== familyGroupOf(items[i] ?? each)).length;

/** The shortest path through all of them, each family whole and in its turn, by trying every one. */
function shortest(items: readonly ColouredItem[]): number {
  let least = Infinity;
  const inTurn = rainbowOrder(items).map(familyGroupOf);
  const go = (path: ColouredItem[], left: readonly ColouredItem[]): void => {
    if (left.length === 0) least = Math.min(least, pathOf(path));
    for (const each of left)
      if (familyGroupOf(each) === inTurn[path.length])
        go(
          [...path, each],
          left.filter((other) => other !== each),
        );
  };
  go([], items);
  return least;
}

test('smooth: of few things the shortest path there is, families whole and in their turn', () => {
  fc.assert(
    fc.property(fc.integer({ min: 2, max: 8 }), fc.nat(), (count, seed) => {
      const items = anyColours(count, seed);
      const smooth = rainbowOrder(items, { within: 'smooth' });
      expect(ids(smooth).sort()).toEqual(ids(items).sort());
      expect(smooth.map(familyGroupOf)).toEqual(rainbowOrder(items).map(familyGroupOf));
      expect(pathOf(smooth)).toBeLessThanOrEqual(shortest(items) + 1e-6);
    }),
    { numRuns: 80 },
  );
});

test('smooth: of many a much shorter path than by lightness, the same for a seed however they came in', () => {
  const items = anyColours(150, 5);
  const smooth = rainbowOrder(items, { within: 'smooth', seed: 3 });
  expect(pathOf(smooth)).toBeLessThan(0.75 * pathOf(rainbowOrder(items)));
  expect(breaksOf(smooth)).toBe(new Set(items.map(familyGroupOf)).size - 1);
  expect(ids(rainbowOrder([...items].reverse(), { within: 'smooth', seed: 3 }))).toEqual(ids(smooth));
  expect(pathOf(rainbowOrder(items, { within: 'smooth', budgetMs: 400 }))).toBeLessThanOrEqual(
    pathOf(rainbowOrder(items, { within: 'smooth', budgetMs: 0 })),
  );
});

test('more than are looked at together are laid out family by family, each from where the last ended', () => {
  const items = anyColours(1300, 2);
  const smooth = rainbowOrder(items, { within: 'smooth', budgetMs: 100 });
  expect(ids(smooth).sort()).toEqual(ids(items).sort());
  expect(breaksOf(smooth)).toBe(new Set(items.map(familyGroupOf)).size - 1);
  expect(pathOf(smooth)).toBeLessThan(0.5 * pathOf(rainbowOrder(items)));
});

test('between: the less smooth, the more pairs of a family stand light to dark', () => {
  const items = anyColours(120, 9);
  const agreeing = (within: { smooth: number }): number => {
    const path = rainbowOrder(items, { within });
    const pairs = path.flatMap((a, i) =>
      path.slice(i + 1).flatMap((b) => (familyGroupOf(a) === familyGroupOf(b) ? [[a, b] as const] : [])),
    );
    return pairs.filter(([a, b]) => labOf(a.hex).l >= labOf(b.hex).l).length / pairs.length;
  };
  expect(agreeing({ smooth: 0 })).toBe(1);
  expect(agreeing({ smooth: 0.25 })).toBeGreaterThan(0.9);
  expect(agreeing({ smooth: 0.25 })).toBeGreaterThan(agreeing({ smooth: 0.5 }));
  expect(agreeing({ smooth: 0.5 })).toBeGreaterThan(agreeing({ smooth: 1 }));
});

test('what cannot be ordered is refused with a sentence', () => {
  const twice = [item('a', '#fff'), item('a', '#000')];
  expect(() => rainbowOrder(twice)).toThrow('Two things have the id “a”; each stands in one place only.');
  expect(() => rainbowOrder([], { within: { smooth: 2 } })).toThrow(
    'Smoothness goes from 0 to 1; 2 does not.',
  );
});
