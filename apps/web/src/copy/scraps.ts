import type { ScrapClass } from '@red-shelf/core';
import { many } from './words';

/** A scrap is small up to 8 cm on its shorter side, and makes a card front up to 15. */
export const SCRAP_LIMITS = { smallToUm: 80_000, cardToUm: 150_000 } as const;

const CLASSES: Readonly<Record<ScrapClass, readonly [string, string]>> = {
  sliver: ['sliver', 'slivers'],
  small: ['small one', 'small ones'],
  card: ['of card size', 'of card size'],
  large: ['large one', 'large ones'],
  strip: ['strip of full length', 'strips of full length'],
};
/** "3 small ones", "1 strip of full length". */
export const sayClass = (of: ScrapClass, n: number): string => many(n, ...CLASSES[of]);
