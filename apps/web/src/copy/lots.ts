import { formFor, sayLeft, type LotAs } from '@red-shelf/core';
import type { HoldingView, SupplyView } from '@red-shelf/contract';
import { sayLength, type Units } from './measure';

const SORTS: Readonly<Record<Exclude<LotAs, 'whole'>, string>> = {
  pack: 'unopened packs',
  base: 'cut bases',
  scrap: 'scraps',
};
const ONE: typeof SORTS = { pack: 'unopened pack', base: 'cut base', scrap: 'scrap' };

/** "unopened packs", "cut bases", "scraps". */
export const sayLotSort = (as: Exclude<LotAs, 'whole'>): string => SORTS[as];

/** What a lot is, where it is not the whole thing: "scraps 11 × 6 cm". */
export function sayLotWhat({ as, sizeUm }: Pick<HoldingView, 'as' | 'sizeUm'>, units: Units): string {
  if (as === 'whole') return '';
  const size = sizeUm ? ` ${sayLength(sizeUm.widthUm, units)} × ${sayLength(sizeUm.heightUm, units)}` : '';
  return SORTS[as] + size;
}

/** How much there is of a lot: "2 · half", "18 sheets", "3 scraps". */
export function sayLotAmount(supply: SupplyView, lot: HoldingView): string {
  if (lot.as !== 'whole') return `${lot.items} ${lot.items === 1 ? ONE[lot.as] : SORTS[lot.as]}`;
  return sayLeft({ items: lot.items, left: lot.left }, formFor(supply));
}
