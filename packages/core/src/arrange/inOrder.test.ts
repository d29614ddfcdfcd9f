import { colourDifference, labOf } from '../colour/lab';
import { familyGroupOf } from './order';
import { DEFAULT_SCHEME } from './scheme';
import type { Recipe, Sortable } from './headings';
import { inOrder, type Ordering } from './inOrder';
import { doublesIn } from './moves/doubles';
import { numbersFrom } from './smooth/numbers';
import { keepTogether } from './together';

type Thing = Sortable & { readonly hex: string };
const thing = (id: string, hex: string, more: Partial<Sortable> = {}): Thing => ({
  ...{ id, hex, kind: 'ink', form: 'full-pad', name: id, maker: '', range: '', code: '' },
  ...{ finish: 'matte', facts: {}, lab: labOf(hex), uses: 0 },
  family:
    familyGroupOf({ id, hex }) === 'neutral' ? 'grey' : (familyGroupOf({ id, hex }) as Sortable['family']),
  ...more,
});
const drawn = (count: number, seed: number): Thing[] => {
  const number = numbersFrom(seed);
  return Array.from({ length: count }, (_, i) =>
    thing(`t${String(i).padStart(3, '0')}`, `#${(number() >>> 8).toString(16).padStart(6, '0')}`, {
      maker: ['Osselwick', 'Plimmet Lane', 'Tarnwick Mill'][number() % 3]!,
    }),
  );
};
const by = (recipe: Recipe, more: Partial<Ordering> = {}): Ordering => ({
  ...DEFAULT_SCHEME,
  recipes: { ink: recipe },
  ...more,
});
const pathOf = (row: readonly Thing[]): number =>
  row.slice(1).reduce((sum, { hex }, i) => sum + colourDifference(row[i]!.hex, hex), 0);

test('smooth: a much shorter way under the same headings, whatever order they came in', () => {
  const things = drawn(90, 4);
  const recipe: Recipe = ['maker', 'family', 'lightness'];
  const light = inOrder(things, by(recipe));
  const smooth = inOrder(things, by(recipe, { smooth: 1 }));
  const heads = (row: readonly Thing[]): string[] =>
    row.map(({ maker, family }) => `${maker} ${family}`).filter((head, i, all) => head !== all[i - 1]);
  expect(heads(smooth)).toEqual(heads(light));
  expect(pathOf(smooth)).toBeLessThan(0.85 * pathOf(light));
  expect(inOrder([...things].reverse(), by(recipe, { smooth: 1 }))).toEqual(smooth);
  const between = inOrder(things, by(recipe, { smooth: 0.5 }));
  expect(pathOf(between)).toBeLessThan(pathOf(light));
  expect(pathOf(between)).toBeGreaterThan(pathOf(smooth));
});

test('a name or a code leaves nothing to be smoothed; special finishes stay behind the colour they stand behind', () => {
  const things = drawn(30, 2);
  const named = by(['maker', 'name']);
  expect(inOrder(things, { ...named, smooth: 1 })).toEqual(inOrder(things, named));
  const plain = drawn(20, 5).map((each) => ({ ...each, family: 'green' as const }));
  const shiny = plain.slice(0, 3).map((host, i) => ({
    ...host,
    ...{ id: `shiny${i}`, finish: 'shimmer' as const },
  }));
  const row = inOrder(
    [...shiny, ...plain],
    by(['family', 'lightness', 'finish behind colour'], { smooth: 1 }),
  ).map(({ id }) => id);
  shiny.forEach(({ id }, i) => expect(row[row.indexOf(id) - 1]).toBe(plain[i]!.id));
  expect(() => inOrder(things, by([], { smooth: 1.5 }))).toThrow(
    'Smoothness goes from 0 to 1; 1.5 does not.',
  );
});

test('what belongs together stands where the first of it stands; doubles are told by what they are and hold', () => {
  expect(keepTogether([...'abcdef'], (each) => ('aeiou'.includes(each) ? 'vowels' : null)).join('')).toBe(
    'aebcdf',
  );
  const lot = (id: string, left: number) => ({
    ...{ id, supplyId: 's', as: 'whole' as const, items: 1, left, sizeUm: null },
  });
  const same = doublesIn([lot('a', 3), lot('b', 3), lot('c', 2)]);
  expect([same?.('a', 'b'), same?.('a', 'c')]).toEqual([true, false]);
  expect(doublesIn([lot('a', 3), lot('b', 2)])).toBeUndefined();
});
