import { clampChroma, converter, formatHex, modeLch65, modeRgb, useMode } from 'culori/fn';

useMode(modeRgb);
useMode(modeLch65);
const toLch = converter('lch65');

/** A colour by hue and chroma on a wheel and by lightness on a strip. */
export interface WheelColour {
  /** CIELAB (D65) lightness 0–100. */
  readonly lightness: number;
  /** Share of the wheel's radius, 0–1; the rim is chroma 100. */
  readonly radius: number;
  /** Degrees, 0 at red, counter-clockwise. */
  readonly hue: number;
}
/** Chroma at the rim of the wheel. */
const RIM = 100;

/** The nearest colour a screen can show, keeping hue and lightness. */
export function hexOnWheel({ lightness, radius, hue }: WheelColour): string {
  return formatHex(clampChroma({ mode: 'lch65', l: lightness, c: radius * RIM, h: hue }, 'lch65'));
}

/** Where a colour stands on the wheel; grey stands in the middle with hue 0. */
export function onWheel(hex: string): WheelColour {
  const lch = toLch(hex);
  if (!lch) return { lightness: 50, radius: 0, hue: 0 };
  return { lightness: lch.l, radius: Math.min(1, lch.c / RIM), hue: lch.h ?? 0 };
}
