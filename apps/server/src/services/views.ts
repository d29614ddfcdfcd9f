import {
  countRuleOf,
  familyOf,
  formFor,
  groupOf,
  isThere,
  mainLot,
  stockOf,
  type Holding,
} from '@red-shelf/core';
import type { HoldingView, SupplyView, UnitView } from '@red-shelf/contract';
import type { SupplyWithState } from '../db/supplyRepository';
import type { UnitRecord } from '../db/unitRepository';

const NO_USAGE = { uses: 0, used: 0, lastUsedAt: null } as const;

const toHoldingView = ({ supplyId: _, ...lot }: Holding): HoldingView => lot;

/** A supply's lots that are there to be seen, the main one first. */
function seenLots(lots: readonly Holding[]): HoldingView[] {
  const main = mainLot(lots);
  const others = lots.filter((lot) => lot !== main && isThere(lot));
  return (main ? [main, ...others] : others).map(toHoldingView);
}

/** A supply as clients see it, family and stock derived. */
export function supplyToView({ supply, usage, lots }: SupplyWithState): SupplyView {
  const { removedAt: _, ...fields } = supply;
  const family = supply.familyOverride ?? familyOf(supply.hex, supply.finish).family;
  const stock = stockOf(lots, usage ?? NO_USAGE, countRuleOf(formFor(supply)));
  return {
    ...fields,
    family,
    group: groupOf(family),
    stock: { ...stock, parts: { ...stock.parts } },
    holdings: seenLots(lots),
  };
}

/** A unit as clients see it. */
export const unitToView = ({ removedAt: _, position: __, ...unit }: UnitRecord): UnitView => unit;
