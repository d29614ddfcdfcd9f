import {
  countRuleOf,
  familyOf,
  formFor,
  groupOf,
  isThere,
  mainLot,
  stockOf,
  type Folded,
  type Holding,
} from '@red-shelf/core';
import type { HoldingView, SupplyView } from './supply';

/** What is written down of a supply; the rest of its view follows from it and from its lots. */
export type WrittenSupply = Omit<SupplyView, 'family' | 'group' | 'stock' | 'holdings'>;
export type Usage = Pick<Folded, 'uses' | 'used' | 'lastUsedAt'>;

// Views are written out field by field: what is copied with "all but these" gets a shape of its own each time, and reading
// ten thousand shapes takes ten times as long as reading one.
const toHoldingView = ({ id, version, as, sizeUm, spot, items, left }: Holding): HoldingView => ({
  id,
  version,
  as,
  sizeUm,
  spot,
  items,
  left,
});

/** A supply's lots that are there to be seen, the main one first. */
function seenLots(lots: readonly Holding[]): HoldingView[] {
  const main = mainLot(lots);
  const others = lots.filter((lot) => lot !== main && isThere(lot));
  return (main ? [main, ...others] : others).map(toHoldingView);
}

/** A supply as clients see it, stock derived; and its family, where that is not known already. */
export function viewOf(
  written: WrittenSupply,
  usage: Usage,
  lots: readonly Holding[],
  family = written.familyOverride ?? familyOf(written.hex, written.finish).family,
): SupplyView {
  const stock = stockOf(lots, usage, countRuleOf(formFor(written)));
  const { id, version, number, kind, form, name, maker, range, code, hex, finish } = written;
  const { familyOverride, familyReason, note, facts, createdAt, updatedAt } = written;
  return {
    id,
    version,
    number,
    kind,
    form,
    name,
    maker,
    range,
    code,
    hex,
    finish,
    familyOverride,
    familyReason,
    note,
    facts,
    createdAt,
    updatedAt,
    family,
    group: groupOf(family),
    stock: { ...stock, parts: { ...stock.parts } },
    holdings: seenLots(lots),
  };
}

/** What was written down of a supply that is seen. */
export function writtenOf({
  family: _f,
  group: _g,
  stock: _s,
  holdings: _h,
  ...written
}: SupplyView): WrittenSupply {
  return written;
}

/** The lots of a supply that is seen. */
export const lotsOfView = ({ id, holdings }: SupplyView): Holding[] =>
  holdings.map((lot) => ({ ...lot, supplyId: id }));
