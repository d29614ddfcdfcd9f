import { converter, formatHex, modeLrgb, modeRgb, useMode } from 'culori/fn';
import { ciede2000, labOf, type Lab } from './lab';

/** A picture: RGBA bytes row by row, sRGB. */
export interface Picture {
  readonly width: number;
  readonly height: number;
  readonly data: ArrayLike<number>;
}
/** A spot in a picture, in pixels. */
export interface Spot {
  readonly x: number;
  readonly y: number;
  readonly radius: number;
}
/** Linear-light red, green and blue, 0–1. */
type Linear = readonly [number, number, number];

export interface Sample {
  readonly hex: string;
  /** Mean CIEDE2000 of the pixels from their average: an even swatch is below 3. */
  readonly spread: number;
  readonly pixels: number;
}
export type WhiteRefusal = 'too_dark' | 'burnt_out' | 'not_white';

useMode(modeRgb);
useMode(modeLrgb);
const toRgb = converter('rgb');
const toLinear = (byte: number): number => {
  const v = byte / 255;
  return v <= 0.04045 ? v / 12.92 : ((v + 0.055) / 1.055) ** 2.4;
};
const TABLE = Float64Array.from({ length: 256 }, (_, i) => toLinear(i));
const hexOf = ([r, g, b]: Linear): string => {
  const clip = (v: number) => Math.min(1, Math.max(0, v));
  return formatHex(toRgb({ mode: 'lrgb', r: clip(r), g: clip(g), b: clip(b) }));
};

/** The pixels within a spot, in linear light. */
function pixelsIn({ width, height, data }: Picture, { x, y, radius }: Spot): Linear[] {
  const found: Linear[] = [];
  const r = Math.max(1, Math.round(radius));
  for (let py = Math.max(0, Math.floor(y - r)); py <= Math.min(height - 1, y + r); py++)
    for (let px = Math.max(0, Math.floor(x - r)); px <= Math.min(width - 1, x + r); px++) {
      if ((px - x) ** 2 + (py - y) ** 2 > r * r) continue;
      const at = 4 * (py * width + px);
      found.push([TABLE[data[at] ?? 0] ?? 0, TABLE[data[at + 1] ?? 0] ?? 0, TABLE[data[at + 2] ?? 0] ?? 0]);
    }
  return found;
}

/** Light adds up in linear light, so that is where it is averaged. */
function mean(pixels: readonly Linear[]): Linear {
  const sum = pixels.reduce<[number, number, number]>(
    (s, p) => [s[0] + p[0], s[1] + p[1], s[2] + p[2]],
    [0, 0, 0],
  );
  const n = Math.max(1, pixels.length);
  return [sum[0] / n, sum[1] / n, sum[2] / n];
}

/** What the light does to white paper: how much each channel must be raised. White card reflects about 0.86. */
export type Light = Linear;
export const NO_CORRECTION: Light = [1, 1, 1];
const PAPER_REFLECTS = 0.86;

/** Lamplight after the camera's own correction tints white by less than this, channel against channel. */
const MOST_TINT = 3;
/** White paper is about the brightest thing in a picture of a swatch; a shadow may halve it. */
const LEAST_OF_BRIGHTEST = 0.4;
/** Rec. 709 luminance of linear light. */
const luminance = ([r, g, b]: Linear): number => 0.2126 * r + 0.7152 * g + 0.0722 * b;

/** Luminance that all but the brightest twentieth of a picture stays below, from a grid of its pixels. */
function brightest({ width, height, data }: Picture): number {
  const step = Math.max(1, Math.floor(Math.max(width, height) / 64));
  const seen: number[] = [];
  for (let y = 0; y < height; y += step)
    for (let x = 0; x < width; x += step) {
      const at = 4 * (y * width + x);
      const channel = (i: number): number => TABLE[data[at + i] ?? 0] ?? 0;
      seen.push(luminance([channel(0), channel(1), channel(2)]));
    }
  return seen.sort((p, q) => p - q)[Math.floor(seen.length * 0.95)] ?? 0;
}

/**
 * The correction that makes a spot white paper: a von Kries scaling in linear sRGB
 * (J. von Kries, "Chromatic adaptation", 1902). Refuses a spot too dark, burnt out,
 * plainly coloured or far darker than the brightest of the picture.
 */
export function lightFrom(
  picture: Picture,
  white: Spot,
): { ok: true; light: Light } | { ok: false; code: WhiteRefusal } {
  const [r, g, b] = mean(pixelsIn(picture, white));
  const [least, most] = [Math.min(r, g, b), Math.max(r, g, b)];
  if (most < 0.08) return { ok: false, code: 'too_dark' };
  if (least > 0.985) return { ok: false, code: 'burnt_out' };
  if (most / Math.max(least, 1e-6) > MOST_TINT) return { ok: false, code: 'not_white' };
  if (luminance([r, g, b]) < LEAST_OF_BRIGHTEST * brightest(picture)) return { ok: false, code: 'not_white' };
  return { ok: true, light: [PAPER_REFLECTS / r, PAPER_REFLECTS / g, PAPER_REFLECTS / b] };
}

/** The average colour of a spot under a light, with its spread; pixels far off (glints, dust) are left out. */
export function sampleSpot(picture: Picture, spot: Spot, light: Light = NO_CORRECTION): Sample {
  const lit = pixelsIn(picture, spot).map(([r, g, b]): Linear => [r * light[0], g * light[1], b * light[2]]);
  const labs = lit.map((pixel) => labOf(hexOf(pixel)));
  const far = (from: Lab) => labs.map((lab) => ciede2000(from, lab));
  const first = far(labOf(hexOf(mean(lit))));
  const limit = 2.5 * (first.reduce((sum, d) => sum + d, 0) / Math.max(1, first.length)) + 1;
  const kept = lit.filter((_, i) => (first[i] ?? 0) <= limit);
  const hex = hexOf(mean(kept));
  const centre = labOf(hex);
  const spread =
    kept.reduce((sum, pixel) => sum + ciede2000(centre, labOf(hexOf(pixel))), 0) / Math.max(1, kept.length);
  return { hex, spread, pixels: kept.length };
}
