import fc from 'fast-check';
import { colourDifference } from './lab';
import { dominantColours, proposeHome } from './dominant';
import { lightFrom, sampleSpot, type Picture } from './photo';
import { hexOnWheel, onWheel } from './wheel';

const bytes = (hex: string) => [1, 3, 5].map((i) => parseInt(hex.slice(i, i + 2), 16));
/** A picture painted by a function of the pixel, under a light that scales linear channels. */
function paint(
  width: number,
  height: number,
  at: (x: number, y: number) => string,
  light = [1, 1, 1],
): Picture {
  const data = new Uint8ClampedArray(4 * width * height);
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++)
      bytes(at(x, y)).forEach((byte, channel) => {
        const v = byte / 255;
        const linear = (v <= 0.04045 ? v / 12.92 : ((v + 0.055) / 1.055) ** 2.4) * (light[channel] ?? 1);
        data[4 * (y * width + x) + channel] =
          255 * (linear <= 0.0031308 ? 12.92 * linear : 1.055 * linear ** (1 / 2.4) - 0.055);
      });
  return { width, height, data };
}
const PAPER = '#eeeeee';

test('yellow lamplight is taken out by tapping the white of the paper', () => {
  const picture = paint(60, 30, (x) => (x < 30 ? PAPER : '#4c7a92'), [1, 0.85, 0.55]);
  const raw = sampleSpot(picture, { x: 45, y: 15, radius: 8 });
  expect(colourDifference(raw.hex, '#4c7a92')).toBeGreaterThan(8);
  const light = lightFrom(picture, { x: 15, y: 15, radius: 6 });
  if (!light.ok) throw new Error(light.code);
  const seen = sampleSpot(picture, { x: 45, y: 15, radius: 8 }, light.light);
  expect(colourDifference(seen.hex, '#4c7a92')).toBeLessThan(1.5);
  expect(seen.spread).toBeLessThan(1);
});

test('the swatch itself is not taken for white paper', () => {
  const picture = paint(60, 30, (x) => (x < 30 ? PAPER : '#4f7468'));
  expect(lightFrom(picture, { x: 45, y: 15, radius: 5 })).toEqual({ ok: false, code: 'not_white' });
});

test('a glint does not spoil the average, and an uneven spot has a spread', () => {
  const glint = paint(40, 40, (x, y) => (x === 20 && y > 18 ? '#ffffff' : '#a02020'));
  const seen = sampleSpot(glint, { x: 20, y: 20, radius: 8 });
  expect(colourDifference(seen.hex, '#a02020')).toBeLessThan(1);
  const stripes = paint(40, 40, (x) => (x % 2 ? '#a02020' : '#20a020'));
  expect(sampleSpot(stripes, { x: 20, y: 20, radius: 8 }).spread).toBeGreaterThan(15);
});

test.each([
  ['#050505', 'too_dark'],
  ['#ffffff', 'burnt_out'],
  ['#d02020', 'not_white'],
])('%s is no white paper: %s', (hex, code) =>
  expect(
    lightFrom(
      paint(20, 20, () => hex),
      { x: 10, y: 10, radius: 4 },
    ),
  ).toEqual({ ok: false, code }),
);

test('a patterned sheet: its colours by share, and the home is what one would reach for it as', () => {
  const sheet = paint(120, 120, (x) => (x < 66 ? '#f4f1e8' : x < 102 ? '#3468b0' : '#d07030'));
  const colours = dominantColours(sheet);
  expect(colours).toHaveLength(3);
  expect(colours[0]?.share).toBeCloseTo(0.55, 1);
  expect(colours.reduce((sum, { share }) => sum + share, 0)).toBeCloseTo(1, 1);
  const home = proposeHome(colours);
  expect(colourDifference(home?.hex ?? '', '#3468b0')).toBeLessThan(3);
});

test('the wheel gives back the colour that stands on it', () => {
  fc.assert(
    fc.property(fc.integer({ min: 0, max: 0xffffff }), (n) => {
      const hex = `#${n.toString(16).padStart(6, '0')}`;
      const at = onWheel(hex);
      if (at.radius >= 1) return;
      expect(colourDifference(hexOnWheel(at), hex)).toBeLessThan(1.2);
    }),
  );
  expect(hexOnWheel({ lightness: 50, radius: 1, hue: 200 })).toMatch(/^#[0-9a-f]{6}$/);
});
