import { colourDifference } from '../colour/lab';
import type { Kind } from '../kinds/definition';
import { formOf } from '../kinds/registry';
import type { FlatSize, Holding } from '../stash/holding';
import { sheetSizeOf } from '../stash/sheetSize';
import { isFullStrip, isWorthKeeping, type Cuttable } from './toCut';

/** What a scrap is good for by its size, the smallest first; a remnant of ribbon by its length. */
export const SCRAP_CLASSES = [
  'sliver',
  'small',
  'card',
  'large',
  'strip',
  'short',
  'middle',
  'long',
] as const;
export type ScrapClass = (typeof SCRAP_CLASSES)[number];

/**
 * A scrap on its shorter side below which it is a sliver, and up to which it is small, or fits a card; a remnant up to which it is
 * short, or of middle length, µm.
 */
export interface ScrapLimits {
  readonly keepFromUm: number;
  readonly smallToUm: number;
  readonly cardToUm: number;
  readonly shortToUm: number;
  readonly middleToUm: number;
}

/** One lot of scraps of a size that was said, with whose it is. */
export interface ScrapLot<S> {
  readonly supply: S;
  readonly lot: Pick<Holding, 'id' | 'as' | 'items' | 'left' | 'sizeUm' | 'spot'>;
  readonly sizeUm: FlatSize;
}
type Scrappy = Cuttable & {
  readonly holdings: readonly Pick<Holding, 'id' | 'as' | 'items' | 'left' | 'sizeUm' | 'spot'>[];
};

/** All scraps whose size is known, and of each kind how many there are whose size is not. */
export function scrapsIn<S extends Scrappy>(
  supplies: readonly S[],
): { readonly sized: ScrapLot<S>[]; readonly unsized: ReadonlyMap<Kind, number> } {
  const sized: ScrapLot<S>[] = [];
  const unsized = new Map<Kind, number>();
  for (const supply of supplies)
    for (const lot of supply.holdings)
      if (lot.as === 'scrap' && lot.items > 0) {
        if (lot.sizeUm) sized.push({ supply, lot, sizeUm: lot.sizeUm });
        else unsized.set(supply.kind, (unsized.get(supply.kind) ?? 0) + lot.items);
      }
  return { sized, unsized };
}

/** Whether what remains of it is told by its length alone. */
const isLong = ({ kind, form }: Pick<Cuttable, 'kind' | 'form'>): boolean =>
  formOf(kind, form).counting === 'length';

/** The size class of a scrap: a strip where it runs along a whole sheet of its own, else by its shorter side. */
export function scrapClass({ supply, sizeUm }: ScrapLot<Cuttable>, limits: ScrapLimits): ScrapClass {
  const long = Math.max(sizeUm.widthUm, sizeUm.heightUm);
  if (isLong(supply)) return long < limits.shortToUm ? 'short' : long < limits.middleToUm ? 'middle' : 'long';
  if (!isWorthKeeping(sizeUm, Math.min(limits.keepFromUm, limits.smallToUm))) return 'sliver';
  if (isFullStrip(sizeUm, sheetSizeOf(supply))) return 'strip';
  const short = Math.min(sizeUm.widthUm, sizeUm.heightUm);
  return short < limits.smallToUm ? 'small' : short < limits.cardToUm ? 'card' : 'large';
}

/** Whether a piece comes out of a scrap, turned or not. */
const holds = (scrap: FlatSize, { widthUm, heightUm }: FlatSize): boolean =>
  (scrap.widthUm >= widthUm && scrap.heightUm >= heightUm) ||
  (scrap.widthUm >= heightUm && scrap.heightUm >= widthUm);

/** Farther away it is another colour, ΔE (CIEDE2000). */
const SAME_COLOUR = 10;

/**
 * Is there a scrap for this? Those that a piece comes out of, the smallest first, so that large ones stay large; of one colour only those near
 * it, `hex` null for any. n log n.
 */
export function scrapsFor<S extends Scrappy>(
  need: FlatSize,
  hex: string | null,
  scraps: readonly ScrapLot<S>[],
): ScrapLot<S>[] {
  const area = ({ sizeUm }: ScrapLot<S>): number => sizeUm.widthUm * sizeUm.heightUm;
  return scraps
    .filter(
      (scrap) =>
        holds(scrap.sizeUm, need) && (hex === null || colourDifference(hex, scrap.supply.hex) <= SAME_COLOUR),
    )
    .sort((p, q) => area(p) - area(q) || (p.lot.id < q.lot.id ? -1 : 1));
}

/**
 * The size of what remains of a thing: of ribbon a length, as wide as it is; of a sheet a share of it, taken off its height, by its own
 * size or the usual one. µm; `share` from 0 to 1.
 */
export function remainsOf(
  supply: Pick<Cuttable, 'kind' | 'form' | 'facts'>,
  remains: { readonly lengthUm: number } | { readonly share: number },
): FlatSize {
  if ('lengthUm' in remains) {
    const { width } = supply.facts.attributes ?? {};
    const widthUm = typeof width === 'number' && width > 0 ? width : USUAL_RIBBON_UM;
    return { widthUm, heightUm: remains.lengthUm };
  }
  const { envelope } = formOf(supply.kind, supply.form);
  const sheet = sheetSizeOf(supply) ?? envelope;
  return { widthUm: sheet.widthUm, heightUm: Math.max(1, Math.round(sheet.heightUm * remains.share)) };
}
/** As wide as ribbon usually is, µm. */
const USUAL_RIBBON_UM = 16_000;

/** How many pieces of a size come out of one scrap, cut straight through: in rows one way or the other. */
export function piecesFrom(scrap: FlatSize, { widthUm, heightUm }: FlatSize): number {
  const rows = (w: number, h: number): number =>
    Math.floor(scrap.widthUm / w) * Math.floor(scrap.heightUm / h);
  return Math.max(rows(widthUm, heightUm), rows(heightUm, widthUm));
}

/** What makes room in a pocket: what is below the person's own limit, and what could be cut from the rest. */
export interface Clearing<Z extends FlatSize> {
  /** Scraps too small to keep. */
  readonly slivers: number;
  /** Of each size, how many come out of how many scraps; the most first. */
  readonly cuts: readonly { readonly size: Z; readonly pieces: number; readonly from: number }[];
}

/** What could be done with the scraps of a pocket that overflows. Scraps times sizes. */
export function clearing<S extends Scrappy, Z extends FlatSize>(
  scraps: readonly ScrapLot<S>[],
  sizes: readonly Z[],
  keepFromUm: number,
): Clearing<Z> {
  const [keep, slivers] = [scraps, scraps].map((all, i) =>
    all.filter(({ sizeUm }) => isWorthKeeping(sizeUm, keepFromUm) === (i === 0)),
  ) as [ScrapLot<S>[], ScrapLot<S>[]];
  const count = (lots: readonly ScrapLot<S>[]): number => lots.reduce((sum, { lot }) => sum + lot.items, 0);
  const cuts = sizes.map((size) => {
    const from = keep.filter(({ sizeUm }) => piecesFrom(sizeUm, size) > 0);
    const pieces = from.reduce((sum, { sizeUm, lot }) => sum + lot.items * piecesFrom(sizeUm, size), 0);
    return { size, pieces, from: count(from) };
  });
  return {
    slivers: count(slivers),
    cuts: cuts.filter(({ pieces }) => pieces > 0).sort((p, q) => q.pieces - p.pieces),
  };
}
