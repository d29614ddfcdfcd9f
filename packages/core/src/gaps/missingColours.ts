import { colourDifference } from '../colour/lab';
import type { Kind } from '../kinds/definition';
import { hasColour, type Family } from '../colour/families';
import { inStash } from '../stash/standing';
import type { Supply } from '../stash/supply';
import { leftInAll } from '../stock/leftInAll';
import type { Stock } from '../stock/stock';
import { useOf } from '../stock/usage';
import { colourHoles } from './holes';
import { ownedOfRange, type RangeEntry } from './range';

/** A supply as missing colours see it. */
export type ColourOwned = Pick<
  Supply,
  'id' | 'name' | 'code' | 'maker' | 'range' | 'kind' | 'form' | 'hex' | 'facts'
> & {
  readonly family: Family;
  readonly stock: Pick<Stock, 'left' | 'uses' | 'used'> & Partial<Pick<Stock, 'parts'>>;
};

/** A maker's range that is kept as a checklist. */
export interface KnownRange {
  readonly id: string;
  readonly maker: string;
  readonly name: string;
  readonly kind: Kind;
  readonly entries: readonly RangeEntry[];
}

/** A colour that is missed, with what is nearest, and the colour of a range that would fill it. */
export interface HoleRow<T> {
  readonly kind: Kind;
  readonly hex: string;
  readonly weight: number;
  readonly nearest: T | null;
  readonly difference: number;
  readonly fill: {
    readonly range: KnownRange;
    readonly entry: RangeEntry;
    readonly difference: number;
  } | null;
}
/** How far a range is owned. */
export interface RangeRow {
  readonly range: KnownRange;
  readonly owned: number;
  /** Owned once, and used up. */
  readonly usedUp: number;
  /** What is missing of it, what is missed most first. */
  readonly missing: readonly RangeEntry[];
}

/** With fewer colours of a kind nobody misses one. */
const LEAST_COLOURS = 8;
/** A colour of a range fills a hole when it is no farther from it than this, ΔE. */
const FILLS = 10;
const HOLES = 4;

/** What is missing of one kind: its holes, and its ranges, as they come. */
interface MissingOfKind<T> {
  readonly holes: readonly HoleRow<T>[];
  readonly ranges: readonly RangeRow[];
}

/**
 * Colours that are missed of one kind: the holes of the person's own circle weighted by what they really use, each with the missing colour
 * of a range that would fill it; and what is missing of each range, what would fill a hole first. `items` and `ranges` are of that kind
 * alone.
 */
export function missingOfKind<T extends ColourOwned>(
  items: readonly T[],
  ranges: readonly KnownRange[],
  kind: Kind,
): MissingOfKind<T> {
  const here = items.filter((item) => inStash(item) && hasColour(item));
  const known = ranges.map((range) => {
    const owned = ownedOfRange(range.entries, range, here);
    const missing = range.entries.filter((_, i) => !owned[i]);
    const usedUp = new Set(owned.flatMap((item) => (item && leftInAll(item) === 0 ? [item.id] : []))).size;
    return { range, owned: range.entries.length - missing.length, usedUp, missing };
  });
  const own = here.map((item) => ({ item, hex: item.hex, uses: useOf(item) }));
  const holes =
    own.length < LEAST_COLOURS
      ? []
      : colourHoles(own, { most: HOLES }).map(({ hex, weight, nearest, difference }): HoleRow<T> => ({
          ...{ kind, hex, weight, difference },
          nearest: nearest?.item ?? null,
          fill: bestFill(hex, known),
        }));
  const filling = new Map(holes.flatMap(({ fill, weight }) => (fill ? [[fill.entry, weight] as const] : [])));
  return {
    holes,
    ranges: known
      .filter(({ owned, missing }) => owned > 0 && missing.length > 0)
      .map((row) => ({
        ...row,
        missing: [...row.missing].sort((p, q) => (filling.get(q) ?? 0) - (filling.get(p) ?? 0)),
      })),
  };
}

/** Kind by kind put together: what a range would fill first, then what is missed most; of ranges what is nearest to being whole. */
export const kindsTogether = <T>(kinds: readonly MissingOfKind<T>[]): MissingOfKind<T> => ({
  holes: kinds
    .flatMap(({ holes }) => holes)
    .sort((p, q) => Number(q.fill !== null) - Number(p.fill !== null) || q.weight - p.weight),
  ranges: kinds.flatMap(({ ranges }) => ranges).sort((p, q) => p.missing.length - q.missing.length),
});

function bestFill(
  hex: string,
  offered: readonly { readonly range: KnownRange; readonly missing: readonly RangeEntry[] }[],
): HoleRow<unknown>['fill'] {
  let best: HoleRow<unknown>['fill'] = null;
  for (const { range, missing } of offered)
    for (const entry of missing) {
      const difference = colourDifference(hex, entry.hex);
      if (difference <= FILLS && difference < (best?.difference ?? Infinity))
        best = { range, entry, difference };
    }
  return best;
}
