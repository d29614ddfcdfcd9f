import type { ScrapClass, ScrapLimits } from '@red-shelf/core';
import type { Preferences } from '@red-shelf/contract';
import { many } from './words';

/** A scrap is small up to 8 cm on its shorter side, and makes a card front up to 15; a remnant ties a bow from 30 cm, and a parcel from 60. */
const SCRAP_LIMITS = { smallToUm: 80_000, cardToUm: 150_000, shortToUm: 300_000, middleToUm: 600_000 };
/** The person's own limits, and the usual ones where nothing was said. */
export const scrapLimits = ({ keepFromUm, scrapLimits: own }: Preferences): ScrapLimits => ({
  ...SCRAP_LIMITS,
  ...own,
  keepFromUm,
});

const CLASSES: Readonly<Record<ScrapClass, readonly [string, string]>> = {
  sliver: ['sliver', 'slivers'],
  small: ['small one', 'small ones'],
  card: ['of card size', 'of card size'],
  large: ['large one', 'large ones'],
  strip: ['strip of full length', 'strips of full length'],
  short: ['short one', 'short ones'],
  middle: ['of middle length', 'of middle length'],
  long: ['long one', 'long ones'],
};
/** "3 small ones", "1 strip of full length". */
export const sayClass = (of: ScrapClass, n: number): string => many(n, ...CLASSES[of]);
