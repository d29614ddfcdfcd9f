import { viewOf, type SupplyView, type UnitView } from '@red-shelf/contract';
import type { SupplyWithState } from '../db/supplyRepository';
import type { UnitRecord } from '../db/unitRepository';

const NO_USAGE = { uses: 0, used: 0, lastUsedAt: null } as const;

/** A supply as clients see it, family and stock derived. */
export function supplyToView({ supply, usage, lots }: SupplyWithState): SupplyView {
  return viewOf(supply, usage ?? NO_USAGE, lots);
}

/** A unit as clients see it. */
export const unitToView = (unit: UnitRecord): UnitView => {
  const { id, version, parentId, sort, label, name, model, rules, facts } = unit;
  return { id, version, parentId, sort, label, name, model, rules, facts };
};
