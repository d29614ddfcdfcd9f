import { keyed, makeRainbowOrder } from '@red-shelf/core';
import type { Preferences, SupplyView } from '@red-shelf/contract';
import { isInOrder } from './queries';

type Key = ReturnType<typeof keyed<SupplyView>>;
const known = new WeakMap<SupplyView, Key>();
/** What comparing needs, worked out once for each: after a change most things are the ones they were. */
function keyOf(supply: SupplyView): Key {
  const key = known.get(supply) ?? keyed(supply);
  known.set(supply, key);
  return key;
}

/** Supplies in the person's own rainbow order. */
export function inRainbow(supplies: readonly SupplyView[], preferences: Preferences): readonly SupplyView[] {
  if (isInOrder(supplies, preferences)) return supplies;
  const order = makeRainbowOrder(preferences);
  return supplies
    .map(keyOf)
    .sort(order)
    .map(({ item }) => item);
}
