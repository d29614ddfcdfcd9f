import { findTemplate, groupOf, familyOf } from '@red-shelf/core';
import type { SupplyView, UnitView } from '@red-shelf/contract';
import type { SupplyWithState } from '../db/supplyRepository';
import type { UnitRecord } from '../db/wallRepository';

const NO_STOCK = { items: 0, left: 0, parts: {}, state: 'out', uses: 0, lastUsedAt: null } as const;

/** A supply as clients see it, family and stock derived. */
export function supplyToView({ supply, stock, placement }: SupplyWithState): SupplyView {
  const { removedAt: _, ...fields } = supply;
  const family = supply.familyOverride ?? familyOf(supply.hex, supply.finish).family;
  const { items, left, parts, state, uses, lastUsedAt } = stock ?? NO_STOCK;
  return {
    ...fields,
    family,
    group: groupOf(family),
    stock: { items, left, parts, state, uses, lastUsedAt },
    place: placement ? { unitId: placement.unitId, slot: placement.slot } : null,
  };
}

const mm = (um: number): number => um / 1000;

/** A unit as clients see it; what its template knows is filled in. */
export function unitToView(record: UnitRecord): UnitView {
  const template = findTemplate(record.template);
  if (!template) throw new Error(`Unit ${record.id} has the unknown template "${record.template}"`);
  return {
    id: record.id,
    version: record.version,
    letter: record.letter,
    name: record.name,
    template: record.template,
    rows: record.rows,
    columns: record.columns,
    slot: {
      widthMm: mm(record.slotWidthUm),
      heightMm: mm(record.slotHeightUm),
      depthMm: mm(record.slotDepthUm),
    },
    wallMm: template.wallMm,
    frontMm: template.frontMm,
    holds: [...template.holds],
    end: template.end,
    facts: record.facts,
  };
}
