import { colourDifference } from '../colour/lab';
import { sayDifference, type SaidDifference } from '../colour/sayDifference';
import type { Kind } from '../kinds/definition';
import type { Supply } from '../stash/supply';
import { inStash } from '../stash/standing';
import { leftInAll } from '../stock/leftInAll';
import type { Stock } from '../stock/stock';

/** What each that is made takes of one kind in one colour: "a pale green ribbon, 80 cm each". */
export interface ColourNeed {
  readonly kind: Kind;
  readonly hex: string;
  /** In the unit of the kind: sheets, pieces, uses, µm; a part of one where several are made from it. */
  readonly each: number;
}

type Owned = Pick<Supply, 'id' | 'kind' | 'form' | 'hex' | 'facts'> & {
  readonly stock: Pick<Stock, 'left'> & Partial<Pick<Stock, 'parts'>>;
};

/** Something owned that could be taken for a need. */
export interface NeedAnswer<S> {
  readonly supply: S;
  readonly difference: SaidDifference;
  readonly free: number;
  /** Whether what is free of it does for all that is made. */
  readonly enough: boolean;
  /** It cannot be bought again, and this would use it up. */
  readonly usesUp: boolean;
}

/** So much is needed for all that are made, in whole units: what is begun is needed whole. */
export const totalNeed = ({ each }: Pick<ColourNeed, 'each'>, makes: number): number =>
  // A tenth of a sheet ten times is one sheet, whatever a computer makes of tenths.
  Math.ceil(each * makes - 1e-6);

/** Whether a thing cannot be bought again. */
export const isScarce = ({ facts }: Pick<Supply, 'facts'>): boolean =>
  facts.status === 'retired' || facts.status === 'irreplaceable';

/** Farther away it is another colour, ΔE (CIEDE2000). */
const SAME_COLOUR = 20;

/**
 * What one owns that could be taken for a need, the nearest in colour first; where none of these has enough left, the nearest that has
 * comes last. `freeOf` is what no kit or project keeps. Linear in the supplies, but for the sort.
 */
export function answersTo<S extends Owned>(
  need: ColourNeed,
  makes: number,
  supplies: readonly S[],
  freeOf: (supply: S) => number,
  most = 3,
): NeedAnswer<S>[] {
  const total = totalNeed(need, makes);
  const near = supplies
    .filter((each) => each.kind === need.kind && inStash(each) && freeOf(each) > 0)
    .map((supply) => ({ supply, deltaE: colourDifference(need.hex, supply.hex) }))
    .filter(({ deltaE }) => deltaE <= SAME_COLOUR)
    .sort((a, b) => a.deltaE - b.deltaE || (a.supply.id < b.supply.id ? -1 : 1))
    .map(({ supply }): NeedAnswer<S> => {
      const free = freeOf(supply);
      const usesUp = isScarce(supply) && total >= leftInAll(supply);
      return {
        ...{ supply, free, usesUp, enough: free >= total },
        difference: sayDifference(need.hex, supply.hex),
      };
    });
  const first = near.slice(0, most);
  const enough = near.find((each) => each.enough);
  return enough && !first.some((each) => each.enough) ? [...first.slice(0, most - 1), enough] : first;
}

/** For a colour the nearest owned of each of some kinds; null for a kind of which nothing is left. Linear in the supplies. */
export function nearestOfEach<S extends Owned>(
  hex: string,
  kinds: readonly Kind[],
  supplies: readonly S[],
): { readonly kind: Kind; readonly nearest: { supply: S; difference: SaidDifference } | null }[] {
  const best = new Map<Kind, { supply: S; deltaE: number }>();
  for (const supply of supplies) {
    if (!inStash(supply) || leftInAll(supply) <= 0) continue;
    const deltaE = colourDifference(hex, supply.hex);
    if (deltaE < (best.get(supply.kind)?.deltaE ?? Infinity)) best.set(supply.kind, { supply, deltaE });
  }
  return kinds.map((kind) => {
    const { supply } = best.get(kind) ?? {};
    return { kind, nearest: supply ? { supply, difference: sayDifference(hex, supply.hex) } : null };
  });
}
