import { colourDifference } from '../colour/lab';
import { hexOnWheel, onWheel } from '../colour/wheel';
import { colourHoles } from './holes';

const at = (hue: number, lightness: number): string => hexOnWheel({ lightness, radius: 0.45, hue });
const hueOfHex = (hex: string): number => onWheel(hex).hue;
const around = (a: number, b: number): number => Math.min(Math.abs(a - b), 360 - Math.abs(a - b));
/** Everything but the greens, and light to dark. */
const withoutGreen = (uses: (hue: number, lightness: number) => number) =>
  Array.from({ length: 24 }, (_, i) => i * 15)
    .filter((hue) => around(hue, 140) > 45)
    .flatMap((hue) =>
      [30, 45, 60, 75, 88].map((lightness) => ({ hex: at(hue, lightness), uses: uses(hue, lightness) })),
    );

test('a hole in the circle is found, with what is nearest to it; no two of them are alike', () => {
  const owned = withoutGreen(() => 3);
  const holes = colourHoles(owned);
  expect(holes.length).toBeGreaterThan(1);
  for (const { hex, nearest, difference } of holes) {
    expect(around(hueOfHex(hex), 140)).toBeLessThan(50);
    expect(difference).toBeGreaterThanOrEqual(12);
    expect(colourDifference(hex, nearest!.hex)).toBeCloseTo(difference, 6);
    for (const other of owned)
      expect(colourDifference(hex, other.hex)).toBeGreaterThanOrEqual(difference - 1e-9);
  }
  holes.forEach((hole, i) => {
    for (const other of holes.slice(i + 1))
      expect(colourDifference(hole.hex, other.hex)).toBeGreaterThan(11.9);
  });
  expect(holes[0]!.weight).toBe(1);
  expect(holes.map(({ weight }) => weight)).toEqual(
    [...holes.map(({ weight }) => weight)].sort((a, b) => b - a),
  );
});

test('what is used around it decides which is missed most', () => {
  const gaps = [50, 230];
  const owned = (loved: number) =>
    Array.from({ length: 36 }, (_, i) => i * 10)
      .filter((hue) => gaps.every((gap) => around(hue, gap) > 40))
      .flatMap((hue) =>
        [30, 45, 60, 75, 88].map((lightness) => ({
          hex: at(hue, lightness),
          uses: around(hue, loved) < 75 ? 40 : 0,
        })),
      );
  for (const gap of gaps) expect(around(hueOfHex(colourHoles(owned(gap))[0]!.hex), gap)).toBeLessThan(45);
});

test('the missing ones of a range that fill a hole are named best first; what is owned nearly already is not', () => {
  const owned = withoutGreen(() => 2);
  const range = [at(140, 55), at(0, 60), at(120, 75), at(200, 45)];
  const holes = colourHoles(owned, { candidates: range });
  expect(holes.map(({ hex }) => hex)).toEqual(expect.arrayContaining([range[0], range[2]]));
  expect(holes).toHaveLength(2);
  expect(colourHoles(owned, { candidates: range, most: 1 })).toHaveLength(1);
});

test('one who owns nothing lacks everything; a full circle has no holes', () => {
  const all = colourHoles([]);
  expect(all).toHaveLength(12);
  expect(all.every(({ nearest, difference }) => nearest === null && difference === Infinity)).toBe(true);
  const full = [25, 40, 55, 70, 85].flatMap((lightness) =>
    Array.from({ length: 48 }, (_, i) =>
      [0.2, 0.35, 0.5, 0.7].map((radius) => hexOnWheel({ lightness, radius, hue: i * 12 })),
    ).flat(),
  );
  expect(colourHoles(full.map((hex) => ({ hex, uses: 1 })))).toEqual([]);
  expect(() => colourHoles([{ hex: '#aabbcc', uses: -1 }])).toThrow(/-1 uses are none/);
  expect(() => colourHoles([{ hex: 'green-ish', uses: 1 }])).toThrow();
});
