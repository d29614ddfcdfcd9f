import type { SupplyView } from '@red-shelf/contract';
import { useDeferredValue, useEffect, useMemo } from 'react';
import { usePreferences, type Stash } from './queries';
import { useAllHeld } from './useHeld';
import { useAddresses } from './where';
import { makeSearch } from './search';

const READY_AFTER_MS = 4000;

/** Supplies a query finds, best first; undefined when nothing is searched for. */
export function useFound(stash: Stash | undefined, query: string): readonly SupplyView[] | undefined {
  const {
    preferences: { purposes },
  } = usePreferences();
  const addresses = useAddresses(stash);
  const held = useAllHeld();
  const wanted = useDeferredValue(query.trim());
  // Prepared when first searched, so that merely looking at the stash costs nothing.
  const search = useMemo(() => {
    let made: ReturnType<typeof makeSearch> | undefined;
    return (text: string) =>
      stash && (made ??= makeSearch(stash.supplies, addresses, purposes, held)).find(text);
  }, [stash, addresses, purposes, held]);
  // A moment after the screen stands, so that the first key finds it ready too.
  useEffect(() => {
    const timer = setTimeout(() => search('a'), READY_AFTER_MS);
    return () => clearTimeout(timer);
  }, [search]);
  return useMemo(() => (wanted === '' ? undefined : search(wanted)), [search, wanted]);
}
