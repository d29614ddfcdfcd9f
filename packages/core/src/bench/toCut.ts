import { colourDifference } from '../colour/lab';
import type { Kind } from '../kinds/definition';
import { formOf } from '../kinds/registry';
import type { Bodied } from '../stash/body';
import type { FlatSize, Holding } from '../stash/holding';
import { sheetSizeOf } from '../stash/sheetSize';
import type { CuttingStock } from './cut/types';

/** A supply whose sheets and scraps can be cut. */
export interface Cuttable extends Pick<Bodied, 'form' | 'facts'> {
  readonly id: string;
  readonly kind: Kind;
  readonly hex: string;
  readonly holdings: readonly Pick<Holding, 'id' | 'as' | 'items' | 'left' | 'sizeUm'>[];
}

/** A scrap or a sheet that can be cut, with whose it is. */
export interface ToCut extends CuttingStock {
  readonly supplyId: string;
}

/** A scrap that runs along a whole sheet and is at most this part of it wide is a strip: borders are made of those. */
const STRIP = 1 / 3;
const NEARLY_UM = 2000;

/** Whether a scrap is a strip of full length, which stays whole unless it is asked for. */
export function isFullStrip({ widthUm, heightUm }: FlatSize, sheet: FlatSize | null): boolean {
  if (!sheet) return false;
  const [short, long] = [Math.min(widthUm, heightUm), Math.max(widthUm, heightUm)];
  const [narrow, whole] = [Math.min(sheet.widthUm, sheet.heightUm), Math.max(sheet.widthUm, sheet.heightUm)];
  return long >= whole - NEARLY_UM && short <= narrow * STRIP;
}

/** Whether bases, panels and the like are cut from it: card, not ribbon. */
export const isCutToSize = ({ kind, form }: Pick<Cuttable, 'kind' | 'form'>): boolean =>
  formOf(kind, form).parts?.includes('base') === true;

/**
 * What of a supply can be cut: its sheets, where their size is known, and its scraps whose size was said; strips of full
 * length only where they may be.
 */
export function toCut(supply: Cuttable, strips: boolean): ToCut[] {
  // What is kept as bases and scraps of its own cannot be cut into more of them.
  if (!isCutToSize(supply)) return [];
  const sheet = sheetSizeOf(supply);
  return supply.holdings.flatMap((lot): ToCut[] => {
    const of = { id: lot.id, supplyId: supply.id };
    if (lot.as === 'whole' && sheet && lot.left > 0)
      return [{ ...of, ...sheet, count: lot.left, scrap: false }];
    if (lot.as !== 'scrap' || !lot.sizeUm || lot.items <= 0) return [];
    if (!strips && isFullStrip(lot.sizeUm, sheet)) return [];
    return [{ ...of, ...lot.sizeUm, count: lot.items, scrap: true }];
  });
}

/** Below this two colours are hardly told apart side by side (CIEDE2000). */
const HARDLY = 2.3;

/** Scraps of other sheets of the same kind whose colour is hardly told apart, the nearest first. */
export function nearScraps(supply: Cuttable, all: readonly Cuttable[], strips: boolean): ToCut[] {
  return all
    .filter(({ id, kind }) => id !== supply.id && kind === supply.kind)
    .map((other) => ({ other, difference: colourDifference(supply.hex, other.hex) }))
    .filter(({ difference }) => difference <= HARDLY)
    .sort((a, b) => a.difference - b.difference)
    .flatMap(({ other }) => toCut(other, strips).filter(({ scrap }) => scrap));
}

/** Whether what is left of a cut is worth keeping, by its shorter side. */
export const isWorthKeeping = ({ widthUm, heightUm }: FlatSize, leastUm: number): boolean =>
  Math.min(widthUm, heightUm) >= leastUm;
