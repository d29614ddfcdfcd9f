import fc from 'fast-check';
import type { Family } from './families';
import { familyOf } from './family';
import prototypes from './familyPrototypes.json';
import { scoreFamilies, type Prototype } from './familyScore';
import { hexOfLab, labOf } from './lab';

/** What a table of named colours must never do, whichever lists it was made from. */

const TABLE = prototypes as unknown as readonly Prototype[];
const anyHex = fc.integer({ min: 0, max: 0xffffff }).map((n) => `#${n.toString(16).padStart(6, '0')}`);
const lch = (l: number, chroma: number, hue: number): string =>
  hexOfLab({
    l,
    a: chroma * Math.cos((hue * Math.PI) / 180),
    b: chroma * Math.sin((hue * Math.PI) / 180),
  });
/** Families met along a walk, each said once while it lasts. */
const met = (hexes: readonly string[]): Family[] =>
  hexes.map((hex) => familyOf(hex).family).filter((family, i, all) => family !== all[i - 1]);

test('from black to white the greys lie between, and nothing else does', () => {
  const greys = Array.from({ length: 101 }, (_, l) => lch(l, 0, 0));
  expect(met(greys)).toEqual(['black', 'grey', 'white']);
});

test.each([
  ['muted, as card is', 62, 40],
  ['as ink is', 55, 55],
])('round the circle, %s, the rainbow comes in its order', (_, l, chroma) => {
  const walk = met(Array.from({ length: 180 }, (__, i) => lch(l, chroma, (20 + 2 * i) % 360)));
  // Brown may stand where orange and yellow are muted, and pink begins and ends the circle.
  const rainbow: Family[] = [...new Set(walk)].filter((family) => family !== 'brown' && family !== 'pink');
  const order: Family[] = ['red', 'orange', 'yellow', 'green', 'teal', 'blue', 'purple'];
  expect(rainbow).toEqual(order.filter((family) => rainbow.includes(family)));
  for (const family of ['green', 'teal', 'blue', 'purple'] as const) expect(walk).toContain(family);
  expect(walk.filter((family) => family === 'blue')).toHaveLength(1);
});

test('every share is a share: none below nothing, all of them together one, the best first', () => {
  fc.assert(
    fc.property(anyHex, (hex) => {
      const shares = scoreFamilies(labOf(hex), TABLE).map(({ share }) => share);
      expect(Math.min(...shares)).toBeGreaterThanOrEqual(0);
      expect(shares.reduce((sum, share) => sum + share, 0)).toBeCloseTo(1, 9);
      expect(shares).toEqual([...shares].sort((p, q) => q - p));
    }),
  );
});

test('a colour next to another is judged nearly alike: no cliff between two tins of the same paint', () => {
  fc.assert(
    fc.property(anyHex, fc.constantFrom(0, 8, 16), (hex, shift) => {
      const n = Number.parseInt(hex.slice(1), 16);
      const channel = (n >> shift) & 255;
      const other = `#${(channel < 255 ? n + (1 << shift) : n - (1 << shift)).toString(16).padStart(6, '0')}`;
      const shareOf = (at: string, family: Family) =>
        scoreFamilies(labOf(at), TABLE).find((score) => score.family === family)?.share ?? 0;
      const { family } = familyOf(hex);
      expect(Math.abs(shareOf(hex, family) - shareOf(other, family))).toBeLessThan(0.2);
    }),
    { numRuns: 500 },
  );
});

test('the table is the same for every family that has a hue, and holds no colour twice over', () => {
  const families = new Set(TABLE.map(([family]) => family));
  expect([...families].sort()).toEqual(
    'black blue brown green grey orange pink purple red teal white yellow'.split(' '),
  );
  const places = TABLE.map(([family, x, y, z]) => [family, x, y, z].join(' '));
  expect(new Set(places).size).toBe(places.length);
  expect(TABLE.every(([, , , , weight]) => weight > 0)).toBe(true);
});
