import { formFor, sayLeft, type Kind } from '@red-shelf/core';
import type { HoldingView, SupplyView } from '@red-shelf/contract';
import type { Units } from './measure';
import { manyParts, partsName, sayRemains } from './parts';

/** What a lot is, where it is not the whole thing: "scraps 11 × 6 cm", "remnants 40 cm". */
export function sayLotWhat(
  { as, sizeUm }: Pick<HoldingView, 'as' | 'sizeUm'>,
  kind: Kind,
  units: Units,
): string {
  if (as === 'whole') return '';
  const size = sizeUm ? ` ${sayRemains(kind, sizeUm, units)}` : '';
  return partsName(as, kind) + size;
}

/** How much there is of a lot: "2 · half", "18 sheets", "3 scraps". */
export function sayLotAmount(supply: SupplyView, lot: HoldingView): string {
  if (lot.as !== 'whole') return manyParts(lot.items, lot.as, supply.kind);
  return sayLeft({ items: lot.items, left: lot.left }, formFor(supply));
}
