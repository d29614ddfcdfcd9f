import fc from 'fast-check';
import { rainbowOrder, type ColouredItem } from './order';
import { DEFAULT_SCHEME } from './scheme';

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
  const scheme = { familyOrder: ['pink', 'red'], lightness: 'dark-first' } as const;
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
      const sorted = rainbowOrder(shuffled, DEFAULT_SCHEME);
      expect(sorted).toEqual(rainbowOrder(items));
      expect(rainbowOrder(sorted)).toEqual(sorted);
      expect(JSON.stringify(shuffled)).toBe(before);
    }),
  );
});
