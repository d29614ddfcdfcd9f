import type { SupplyView } from '@red-shelf/contract';
import { useDeferredValue, useEffect, useMemo } from 'react';
import { usePreferences, type Stash } from './queries';
import { useAllHeld } from './useHeld';
import { useAddresses } from './where';
import { whileIdle } from '../ui/whenIdle';
import { makeSearch, preparing, type Known } from './search';

const READY_AFTER_MS = 300;

/** What searching the stash needs to know of it; undefined until it is there. */
export function useKnown(stash: Stash | undefined): Known | undefined {
  const {
    preferences: { purposes },
  } = usePreferences();
  const addresses = useAddresses(stash);
  const held = useAllHeld();
  return useMemo(
    () => stash && ([stash.supplies, addresses, purposes, held] as const),
    [stash, addresses, purposes, held],
  );
}

/** Supplies a query finds, best first; undefined when nothing is searched for. */
export function useFound(stash: Stash | undefined, query: string): readonly SupplyView[] | undefined {
  const wanted = useDeferredValue(query.trim());
  const known = useKnown(stash);
  // Prepared when first searched, so that merely looking at the stash costs nothing.
  const search = useMemo(() => {
    let made: ReturnType<typeof makeSearch> | undefined;
    return (text: string) => known && (made ??= makeSearch(...known)).find(text);
  }, [known]);
  // A moment after the screen stands, bit by bit, so that the first key finds it ready too.
  useEffect(() => {
    let stop = (): void => undefined;
    const timer = setTimeout(() => {
      if (known) stop = whileIdle(preparing(...known));
    }, READY_AFTER_MS);
    return () => {
      clearTimeout(timer);
      stop();
    };
  }, [known]);
  return useMemo(() => (wanted === '' ? undefined : search(wanted)), [search, wanted]);
}
