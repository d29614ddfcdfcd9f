import fc from 'fast-check';
import { FAMILIES, FAMILY_GROUPS } from '../colour/families';
import { makeStandIn } from './behind';
import { makerCounts } from './counts';
import { labOf } from '../colour/lab';
import { pairSubjects, shareIntoDrawers } from './drawers';
import { makeGrouping } from './groups';
import { headingOf, SORT_KEYS, type Recipe, type Sortable } from './headings';
import { makeRecipeOrder, makeRecipesOrder, recipeOf } from './recipe';
import { DEFAULT_SCHEME, stretchesOf, withNeutrals } from './scheme';

const thing = (id: string, more: Partial<Sortable> = {}): Sortable => ({
  id,
  kind: 'ribbon',
  form: 'spool',
  name: id,
  maker: 'Hollin & Quay',
  range: '',
  code: '',
  finish: 'matte',
  family: 'green',
  lab: labOf('#4c9a52'),
  facts: {},
  uses: 0,
  ...more,
});
const sorted = (recipe: Recipe, items: readonly Sortable[]): string =>
  [...items]
    .sort(makeRecipeOrder(recipe, DEFAULT_SCHEME, items))
    .map(({ id }) => id)
    .join(' ');

test('hung ribbon keeps prints and solids apart, each by colour; a scrap file keeps them together', () => {
  const items = [
    thing('red-dot', { family: 'red', facts: { attributes: { pattern: 'dot' } } }),
    thing('red', { family: 'red', facts: { attributes: { pattern: 'solid' } } }),
    thing('blue', { family: 'blue' }),
  ];
  expect(sorted(['print or solid', 'family'], items)).toBe('red blue red-dot');
  expect(sorted(['family', 'print or solid'], items)).toBe('red red-dot blue');
});

test('numbers in codes count as numbers; small makers share one heading, which stands last', () => {
  expect(
    sorted(['code'], [thing('a', { code: '10' }), thing('b', { code: '9' }), thing('c', { code: '101' })]),
  ).toBe('b a c');
  const makers = [
    thing('odd', { maker: 'Aldous Rill' }),
    ...['x', 'y', 'z'].map((id) => thing(id, { maker: 'Yarrow Press' })),
  ];
  expect(sorted(['maker'], makers)).toBe('x y z odd');
  expect(headingOf('maker', thing('odd', { maker: 'Aldous Rill' }), makerCounts(makers))).toBe('mixed');
});

test('what is used most comes first in bands; a form’s own recipe is the exception to its kind’s', () => {
  expect(
    sorted(
      ['how often used', 'name'],
      [thing('b', { uses: 2 }), thing('a', { uses: 30 }), thing('c', { uses: 5 })],
    ),
  ).toBe('a c b');
  const recipes = { companion: ['family'] as const, 'companion/stamp': ['code'] as const };
  expect(recipeOf(recipes, { kind: 'companion', form: 'stamp' })).toEqual(['code']);
  expect(recipeOf(recipes, { kind: 'companion', form: 'gems' })).toEqual(['family']);
  expect(recipeOf(recipes, { kind: 'ink', form: 'spray' })).toEqual(['family', 'lightness', 'finish']);
});

const anything = fc.record({
  family: fc.constantFrom(...FAMILIES),
  maker: fc.constantFrom('A', 'B', 'C', ''),
  uses: fc.nat(30),
  code: fc.constantFrom('1', '2', '10', ''),
  hex: fc.constantFrom('#112233', '#c23b42', '#f0f0e0', '#4c9a52'),
  season: fc.constantFrom('winter', 'all year', undefined),
});
const pile = fc
  .array(anything, { maxLength: 25 })
  .map((drawn) =>
    drawn.map(({ hex, season, ...rest }, i) =>
      thing(String(i), { ...rest, lab: labOf(hex), facts: season ? { attributes: { season } } : {} }),
    ),
  );
const recipes = fc.uniqueArray(fc.constantFrom(...SORT_KEYS), { maxLength: 4 });

test('every recipe is a total order: the same things come out the same way however they came in', () => {
  fc.assert(
    fc.property(pile, recipes, (items, recipe) => {
      expect(sorted(recipe, [...items].reverse())).toBe(sorted(recipe, items));
    }),
  );
});

test('things under one heading of the first key stand together', () => {
  fc.assert(
    fc.property(pile, recipes, (items, recipe) => {
      const [key] = recipe;
      if (!key || ['lightness', 'name', 'code'].includes(key)) return;
      const counts = makerCounts(items);
      // What stands behind a plain colour counts with it.
      const standIn = makeStandIn(recipe, items);
      const headings = [...items]
        .sort(makeRecipeOrder(recipe, DEFAULT_SCHEME, items))
        .map((item) => headingOf(key, standIn(item).host, counts));
      const runs = headings.filter((heading, i) => heading !== headings[i - 1]);
      expect(runs.length).toBe(new Set(headings).size);
    }),
    // Found once, and looked at every time: clear stands behind a yellow of its colour, another yellow after both.
    {
      examples: [
        [
          ['yellow', 'yellow', 'clear'].map((family, i) =>
            thing(String(i), { family: family as Sortable['family'], code: '1', maker: 'A' }),
          ),
          ['family', 'finish behind colour'],
        ],
      ],
    },
  );
});

test('drawers: small neighbours are merged, a large family is split', () => {
  const groups = [
    { group: 'red', count: 6 },
    { group: 'orange', count: 5 },
    { group: 'yellow', count: 1 },
    { group: 'green', count: 24 },
  ];
  expect(
    shareIntoDrawers(groups, 3).map(
      ({ parts, count }) => `${parts.map(({ group }) => group).join('+')} ${count}`,
    ),
  ).toEqual(['red+orange+yellow 12', 'green 12', 'green 12']);
  expect(shareIntoDrawers([], 4)).toEqual([]);
  expect(shareIntoDrawers([{ group: 'red', count: 2 }], 5)).toHaveLength(2);
});

test('drawers hold everything once, in order, and no drawer is empty', () => {
  const counts = fc.array(fc.nat(40), { minLength: 1, maxLength: 13 });
  fc.assert(
    fc.property(counts, fc.integer({ min: 1, max: 12 }), (drawn, n) => {
      const groups = drawn.map((count, i) => ({ group: String.fromCharCode(97 + i), count }));
      const drawers = shareIntoDrawers(groups, n);
      const total = drawn.reduce((a, b) => a + b, 0);
      expect(drawers.length).toBe(Math.min(n, total));
      expect(drawers.every(({ count }) => count > 0)).toBe(true);
      const spoken = drawers.flatMap(({ parts }) =>
        parts.flatMap(({ group, from, to }) =>
          Array.from({ length: to - from }, (_, i) => `${group}${from + i}`),
        ),
      );
      expect(spoken).toEqual(
        groups.flatMap(({ group, count }) => Array.from({ length: count }, (_, i) => `${group}${i}`)),
      );
    }),
  );
});

test('subjects are paired so that drawers are about even, each subject whole', () => {
  const drawers = pairSubjects(
    [9, 7, 6, 5, 4, 3].map((count, i) => ({ group: `s${i}`, count })),
    3,
  );
  expect(drawers.map(({ count }) => count)).toEqual([12, 11, 11]);
  expect(drawers.flatMap(({ parts }) => parts)).toHaveLength(6);
});

test('purposes stand in the person’s order; unknown ones follow by name, and none at all comes last', () => {
  const items = ['tea', 'coffee', 'birthdays', 'moving, coffee', ''].map((purpose, i) =>
    thing(purpose || `none${i}`, {
      kind: 'sticker',
      form: 'sheet',
      facts: purpose ? { attributes: { purpose } } : {},
    }),
  );
  const scheme = {
    ...DEFAULT_SCHEME,
    purposes: [
      { name: 'Moving', also: [] },
      { name: 'coffee', also: [] },
    ],
  };
  expect([...items].sort(makeRecipeOrder(['purpose'], scheme, items)).map(({ id }) => id)).toEqual([
    'moving, coffee',
    'coffee',
    'birthdays',
    'tea',
    'none4',
  ]);
});

describe('special finishes behind the nearest plain colour', () => {
  const of = (id: string, hex: string, family: Sortable['family'], more: Partial<Sortable> = {}): Sortable =>
    thing(id, { lab: labOf(hex), family, ...more });
  const shelf = [
    of('rose', '#e8a0b4', 'pink'),
    of('sky', '#9cc3ea', 'blue'),
    of('navy', '#1c2f5e', 'blue'),
    of('sky-foil', '#a0c4e4', 'metallic', { finish: 'metallic' }),
    of('sky-glitter', '#98b8e0', 'metallic', { finish: 'glitter' }),
    of('night-shimmer', '#203060', 'blue', { finish: 'shimmer' }),
    of('rose-clear', '#ecb0c0', 'clear', { finish: 'clear' }),
  ];

  test('each stands right behind its colour, the nearest first; without the key they are a stretch of their own', () => {
    expect(sorted(['family', 'lightness', 'finish behind colour'], shelf)).toBe(
      'sky sky-foil sky-glitter navy night-shimmer rose rose-clear',
    );
    expect(sorted(['family', 'lightness', 'finish'], shelf)).toBe(
      'sky night-shimmer navy rose sky-foil sky-glitter rose-clear',
    );
  });

  test('they count as of the family they stand in, and only what stands under the same heading is beside them', () => {
    const recipes = { ribbon: ['family', 'lightness', 'finish behind colour'] as const };
    const { groupOf } = makeGrouping(recipes, DEFAULT_SCHEME, shelf);
    expect(shelf.map(groupOf)).toEqual(['pink', 'blue', 'blue', 'blue', 'blue', 'blue', 'pink']);
    const makers = shelf.map((each, i) => ({ ...each, maker: i === 3 ? 'Yarrow Press' : 'Hollin & Quay' }));
    const own = [...makers, ...['y1', 'y2'].map((id) => of(id, '#b3262b', 'red', { maker: 'Yarrow Press' }))];
    expect(sorted(['maker', 'family', 'lightness', 'finish behind colour'], own)).toBe(
      'sky sky-glitter navy night-shimmer rose rose-clear y1 sky-foil y2',
    );
  });

  test('what follows another recipe is not beside them, and the order stays total', () => {
    const pads = shelf.map((each) => ({ ...each, id: `pad-${each.id}`, kind: 'ink' as const, form: 'pad' }));
    const recipes = { ribbon: ['family', 'finish behind colour'] as const };
    const all = [
      ...pads.filter(({ finish }) => finish === 'matte'),
      ...shelf.filter((each) => each.finish !== 'matte'),
    ];
    const order = makeRecipesOrder(recipes, DEFAULT_SCHEME, all);
    expect(
      [...all]
        .sort(order)
        .map(({ id }) => id)
        .slice(-4),
    ).toEqual(['night-shimmer', 'sky-foil', 'sky-glitter', 'rose-clear']);
    fc.assert(
      fc.property(fc.shuffledSubarray(shelf, { minLength: 7 }), (shuffled) => {
        expect(sorted(['finish behind colour'], shuffled)).toBe(sorted(['finish behind colour'], shelf));
      }),
    );
  });
});

test('black, grey and white are three stretches where one of them is named', () => {
  const scheme = { familyOrder: ['white', 'red'], lightness: 'light-first' } as const;
  expect(stretchesOf(scheme).slice(0, 3)).toEqual(['white', 'red', 'orange']);
  expect(stretchesOf(scheme)).toHaveLength(16);
  const items = (['black', 'red', 'white', 'grey'] as const).map((family) => thing(family, { family }));
  const order = makeRecipeOrder(['family'], scheme, items);
  expect([...items].sort(order).map(({ id }) => id)).toEqual(['white', 'red', 'grey', 'black']);
  expect(items.map((item) => headingOf('family', item, new Map(), scheme))).toEqual([
    'black',
    'red',
    'white',
    'grey',
  ]);
  const apart = withNeutrals(DEFAULT_SCHEME, 'apart');
  expect(apart.slice(8, 12)).toEqual(['brown', 'white', 'grey', 'black']);
  expect(withNeutrals({ familyOrder: apart }, 'together')).toEqual(FAMILY_GROUPS);
});
