import { converter, differenceCiede2000, formatHex, modeLab65, modeRgb, useMode, type Rgb } from 'culori/fn';
import { NotAColourError } from './notAColour';

/** CIELAB relative to the D65 white point: l 0–100, a and b unbounded, about ±128. */
export interface Lab {
  readonly l: number;
  readonly a: number;
  readonly b: number;
}

// Only these two ways to write a colour are needed here; all of them are a while in coming.
useMode(modeRgb);
useMode(modeLab65);
// culori's mode `lab` is relative to D50; sRGB's own white, D65, is mode `lab65`.
const toLab65 = converter('lab65');
const toRgb = converter('rgb');
const difference = differenceCiede2000();
const remembered = new Map<string, Lab>();
const REMEMBER_AT_MOST = 20_000;

const SIX = /^#[0-9a-f]{6}$/i;
/** The usual way to write a colour, read without trying every other one: ten thousand are read at once. */
function fromSix(hex: string): Rgb {
  const n = Number.parseInt(hex.slice(1), 16);
  return { mode: 'rgb', r: (n >> 16) / 255, g: ((n >> 8) & 255) / 255, b: (n & 255) / 255 };
}

/** CIELAB (D65) of an sRGB hex. Throws NotAColourError when `hex` is not a colour. */
export function labOf(hex: string): Lab {
  const known = remembered.get(hex);
  if (known) return known;
  const lab = toLab65(SIX.test(hex) ? fromSix(hex) : hex);
  if (!lab) throw new NotAColourError(hex);
  const value: Lab = { l: lab.l, a: lab.a, b: lab.b };
  if (remembered.size >= REMEMBER_AT_MOST) remembered.clear();
  remembered.set(hex, value);
  return value;
}

/** The sRGB hex of a CIELAB (D65) colour; what a screen cannot show is clipped. */
export const hexOfLab = (lab: Lab): string => formatHex(toRgb({ mode: 'lab65', ...lab }));

/**
 * Colour difference CIEDE2000 (kL = kC = kH = 1) between two D65 CIELAB colours.
 * Formula: Sharma, Wu & Dalal, "The CIEDE2000 Color-Difference Formula", Color Res. Appl. 30 (2005).
 */
export const ciede2000 = (x: Lab, y: Lab): number =>
  difference({ mode: 'lab65', l: x.l, a: x.a, b: x.b }, { mode: 'lab65', l: y.l, a: y.a, b: y.b });

/** CIEDE2000 between two sRGB hex colours; about 1 is just visible side by side. */
export const colourDifference = (hexA: string, hexB: string): number => ciede2000(labOf(hexA), labOf(hexB));

/** Hue angle in degrees, 0–360, of a CIELAB colour; meaningless near grey. */
export const hueOf = ({ a, b }: Lab): number => ((Math.atan2(b, a) * 180) / Math.PI + 360) % 360;

/** CIELAB chroma: distance from grey. */
export const chromaOf = ({ a, b }: Lab): number => Math.hypot(a, b);

/** The text colour, black or white, that reads best on `hex` (WCAG relative luminance). */
export function inkOn(hex: string): '#000000' | '#ffffff' {
  const { l } = labOf(hex);
  // L* → relative luminance Y; the black/white contrast crossover is Y ≈ 0.179.
  const y = l > 8 ? ((l + 16) / 116) ** 3 : l / 903.3;
  return y > 0.179 ? '#000000' : '#ffffff';
}
