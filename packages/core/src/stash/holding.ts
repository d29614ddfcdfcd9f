import type { LotAs } from '../kinds/definition';
import type { Spot } from './spot';

/** Width and height of a flat thing, µm. */
export interface FlatSize {
  readonly widthUm: number;
  readonly heightUm: number;
}

/** What there is of a lot: things, and what is left in them (uses, sheets, pieces or µm). */
export interface Tally {
  readonly items: number;
  readonly left: number;
}

/** A physical lot of one supply in one place. */
export interface Holding extends Tally {
  readonly id: string;
  readonly version: number;
  readonly supplyId: string;
  readonly as: LotAs;
  /** Of a base or a scrap, where it was said. */
  readonly sizeUm: FlatSize | null;
  /** Null while it has no place. */
  readonly spot: Spot | null;
}

type Lot = Pick<Holding, 'id' | 'as' | 'items' | 'left' | 'spot'>;

/** The lot a supply is thought of first: its oldest one of whole things. Every supply has one, also when it is used up. */
export function mainLot<L extends Pick<Lot, 'id' | 'as'>>(lots: readonly L[]): L | undefined {
  let main: L | undefined;
  for (const lot of lots) if (lot.as === 'whole' && (!main || lot.id < main.id)) main = lot;
  return main;
}

/** Whether a lot is there to be seen: it has something in it, or keeps a place for what comes back. */
export const isThere = ({ items, left, spot }: Pick<Lot, 'items' | 'left' | 'spot'>): boolean =>
  items > 0 || left > 0 || spot !== null;

/** Lots that have a place, the main one first. */
export function placedLots<L extends Lot>(lots: readonly L[]): readonly L[] {
  const main = mainLot(lots);
  const placed = lots.filter(({ spot }) => spot !== null);
  return main && placed.includes(main) ? [main, ...placed.filter((lot) => lot !== main)] : placed;
}
