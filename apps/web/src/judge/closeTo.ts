import {
  colourDifference,
  inStash,
  leftInAll,
  sayDifference,
  type Kind,
  type SaidDifference,
} from '@red-shelf/core';
import type { SupplyView } from '@red-shelf/contract';
import type { Stash } from '../api/queries';

/** What one owns that is close to a colour, the nearest first. */
export interface Close {
  readonly supply: SupplyView;
  readonly difference: SaidDifference;
}
const MOST = 3;
/** Farther away it is no stand-in, ΔE. */
const CLOSE = 10;

/** Things of a kind, with something left, that could do instead of one of a colour. */
export function closeTo(
  { kind, hex, not }: { readonly kind: Kind; readonly hex: string | null; readonly not: string | null },
  { supplies }: Pick<Stash, 'supplies'>,
): Close[] {
  if (hex === null) return [];
  return supplies
    .filter((each) => each.kind === kind && each.id !== not && inStash(each) && leftInAll(each) > 0)
    .map((supply) => ({ supply, deltaE: colourDifference(hex, supply.hex) }))
    .filter(({ deltaE }) => deltaE <= CLOSE)
    .sort((a, b) => a.deltaE - b.deltaE)
    .slice(0, MOST)
    .map(({ supply }) => ({ supply, difference: sayDifference(hex, supply.hex) }));
}
