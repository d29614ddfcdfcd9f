import { keyed, makeRainbowOrder } from '@red-shelf/core';
import type { Preferences, SupplyView } from '@red-shelf/contract';
import { isInOrder } from './queries';

/** Supplies in the person's own rainbow order. */
export function inRainbow(supplies: readonly SupplyView[], preferences: Preferences): readonly SupplyView[] {
  if (isInOrder(supplies, preferences)) return supplies;
  const order = makeRainbowOrder(preferences);
  return supplies
    .map((supply) => keyed(supply))
    .sort(order)
    .map(({ item }) => item);
}
