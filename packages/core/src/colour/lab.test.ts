import { existsSync, readFileSync } from 'node:fs';
import { resolve } from 'node:path';
import { ciede2000, colourDifference, inkOn, labOf } from './lab';

/** Sharma, Wu & Dalal's 34 pairs, kept outside the repository: [L1, a1, b1, L2, a2, b2, ΔE00]. */
const table = resolve(__dirname, '../../../../../shared/tables/ciede2000_sharma34.json');
/** Three of the pairs, for a checkout that stands alone. */
const some = [
  [50, 2.6772, -79.7751, 50, 0, -82.7485, 2.0425],
  [50, 2.5, 0, 73, 25, -18, 27.1492],
  [50, -1, 2, 50, 0, 0, 2.3669],
];
const pairs: number[][] = existsSync(table) ? (JSON.parse(readFileSync(table, 'utf8')) as number[][]) : some;

test.each(pairs)('CIEDE2000 of (%d %d %d) and (%d %d %d) is %d', (l1, a1, b1, l2, a2, b2, expected) => {
  const x = { l: l1, a: a1, b: b1 };
  const y = { l: l2, a: a2, b: b2 };
  expect(Math.abs(ciede2000(x, y) - expected)).toBeLessThan(1e-4);
  expect(ciede2000(y, x)).toBeCloseTo(ciede2000(x, y), 10);
});

test('the white point is D65: sRGB white and grey have no a and b', () => {
  const white = labOf('#ffffff');
  expect(white.l).toBeCloseTo(100, 3);
  expect(Math.hypot(white.a, white.b)).toBeLessThan(0.01);
  expect(Math.hypot(labOf('#808080').a, labOf('#808080').b)).toBeLessThan(0.01);
});

test('a colour differs from itself by nothing', () => expect(colourDifference('#35979a', '#35979a')).toBe(0));

test('letters are black on light colours and white on dark ones', () => {
  expect(inkOn('#f4e27a')).toBe('#000000');
  expect(inkOn('#1f2f5c')).toBe('#ffffff');
});
