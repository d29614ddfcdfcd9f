import { slotCount } from '@red-shelf/core';
import type { SupplyView } from '@red-shelf/contract';
import { useDeferredValue, useEffect, useMemo } from 'react';
import { usePreferences, type Stash } from '../api/queries';
import { useWhere } from '../order/useWhere';
import { makeSearch } from '../stash/search';

/** What lives in every slot of every unit, in reading order. */
export function useSlots(stash: Stash | undefined): ReadonlyMap<string, (SupplyView | null)[]> {
  return useMemo(() => {
    const slots = new Map<string, (SupplyView | null)[]>(
      (stash?.wall.units ?? []).map((unit) => [
        unit.id,
        Array<SupplyView | null>(slotCount(unit)).fill(null),
      ]),
    );
    for (const supply of stash?.supplies ?? []) {
      const unit = supply.place && slots.get(supply.place.unitId);
      if (unit && supply.place) unit[supply.place.slot] = supply;
    }
    return slots;
  }, [stash]);
}

const READY_AFTER_MS = 800;

/** Supplies a query finds, best first; undefined when nothing is searched for. */
export function useFound(stash: Stash | undefined, query: string): readonly SupplyView[] | undefined {
  const {
    preferences: { purposes },
  } = usePreferences();
  const where = useWhere(stash);
  const wanted = useDeferredValue(query.trim());
  // Prepared when first searched, so that merely looking at the stash costs nothing.
  const search = useMemo(() => {
    let made: ReturnType<typeof makeSearch> | undefined;
    return (text: string) => stash && (made ??= makeSearch(stash.supplies, where, purposes)).find(text);
  }, [stash, where, purposes]);
  // A moment after the screen stands, so that the first key finds it ready too.
  useEffect(() => {
    const timer = setTimeout(() => search('a'), READY_AFTER_MS);
    return () => clearTimeout(timer);
  }, [search]);
  return useMemo(() => (wanted === '' ? undefined : search(wanted)), [search, wanted]);
}
