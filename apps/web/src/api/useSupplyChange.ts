import type { Facts } from '@red-shelf/core';
import type { SupplyView } from '@red-shelf/contract';
import { order, routes } from './client';
import { useChange } from './useChange';

/** Changes some of what a supply is, everything else as it was seen; the contract leaves out what cannot be edited. */
export const useSupplyChange = (supply: SupplyView) =>
  useChange((changes: Partial<Pick<SupplyView, 'familyOverride' | 'familyReason' | 'facts'>>) =>
    order(routes.editSupply, { id: supply.id, body: { ...supply, ...changes } }),
  );

/** As useSupplyChange, for its facts alone. */
export const useFactsChange = (supply: SupplyView) =>
  useChange((facts: Facts) => order(routes.editSupply, { id: supply.id, body: { ...supply, facts } }));
