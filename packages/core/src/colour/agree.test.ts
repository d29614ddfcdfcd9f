import { familyOf, type Finish } from './family';
import type { Family } from './families';

/** Colours nobody argues about, muted ones of card and ink among them. */
const AGREED: Readonly<Partial<Record<Family, string>>> = {
  red: '#ff0000 #800000 #b3262b #c8102e #9b1b1e #d33a3a #a52a2a #cc3344',
  orange: '#ffa500 #ff8c00 #e07b2a #f58220 #d9692b #f4a04c #ff8c1a',
  yellow: '#f2d04f #ffe14d #f7e27a #fff2a0 #e8c51f',
  green: '#808000 #4c9a52 #2e7d32 #7cb66a #1f5a2c #a5c96b #556b2f',
  teal: '#40e0d0 #2f9596 #008080 #1d7f86 #3fb3b0',
  blue: '#0000ff #000080 #87ceeb #3468b0 #1f4e9c #6fa3d8 #14306b #a9cdee #4a7fb5',
  purple: '#800080 #74509c #5b2a86 #9a77bf #4a2c63 #b79ad2',
  pink: '#ffc0cb #ff69b4 #ee9dbb #f4b6cd #e0679a #f7cfdd #d94f8a',
  brown: '#8b4513 #d2b48c #6b4a33 #7d5a41 #5a3a22 #8a6446 #4d3424',
  black: '#111111 #0a0a0a #1a1a1a',
  grey: '#c0c0c0 #808080 #8d8d8b #777777 #a8a8a6 #5f6062 #b8b8b8',
  white: '#fbfaf6 #ffffff #f8f5ee #f4f2ea',
};
const cases = Object.entries(AGREED).flatMap(([family, all]) =>
  all.split(' ').map((hex) => [hex, family] as const),
);

test.each(cases)('%s is %s', (hex, family) => expect(familyOf(hex).family).toBe(family));

test.each([
  ['#557f90', 'blue'],
  ['#b0bd9b', 'green'],
  ['#aab58c', 'green'],
  ['#f2dcdc', 'pink'],
])('muted, %s is still called %s', (hex, family) => expect(familyOf(hex).family).toBe(family));

test('beside a light yellow-green lies yellow, not brown', () => {
  for (const hex of ['#d9e8a0', '#cfe08c', '#dfe8b0', '#c8d890', '#e3eab5', '#c5d86d'])
    expect(familyOf(hex)).toMatchObject({ family: 'green', runnerUp: 'yellow' });
});

test('the app is surer of these than of what lies between two families', () => {
  const sure = cases.map(([hex]) => familyOf(hex).confidence);
  const torn = ['#b8860b', '#7a8f86', '#c3b091', '#8fbcae', '#a0522d'].map((hex) => familyOf(hex).confidence);
  const mean = (values: readonly number[]): number => values.reduce((sum, v) => sum + v, 0) / values.length;
  expect(mean(sure)).toBeGreaterThan(mean(torn));
});

test.each<[Finish, string, Family]>([
  ['metallic', '#c0a040', 'metallic'],
  ['holographic', '#c0c0d0', 'metallic'],
  ['glitter', '#d04060', 'metallic'],
  ['clear', '#e0f0ff', 'clear'],
  ['neon', '#39ff14', 'green'],
  ['shimmer', '#74509c', 'purple'],
  ['matte', '#74509c', 'purple'],
])('a %s %s is filed under %s', (finish, hex, family) => expect(familyOf(hex, finish).family).toBe(family));
