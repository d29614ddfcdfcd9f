import type { NeedBody } from '@red-shelf/contract';
import { sayLength, type Units } from './measure';

/** A need in words: "2 dividers of 200 × 300 mm for card file C". */
export function sayNeed({ what, widthUm, heightUm, count, where }: NeedBody, units: Units): string {
  const size = widthUm > 0 ? ` of ${sayLength(widthUm, units)} × ${sayLength(heightUm, units)}` : '';
  const plural = what === 'box' ? 'boxes' : what === 'pouch' ? 'pouches' : `${what}s`;
  return `${count} ${count === 1 ? what : plural}${size} for ${where}`;
}
