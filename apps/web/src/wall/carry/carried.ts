import { useMemo, useSyncExternalStore } from 'react';
import type { Living } from '../../api/contents';
import type { Stash } from '../../api/queries';

/** What is carried, by lot: it has its place until it is set down somewhere else. */
let lots: readonly string[] = [];
const listeners = new Set<() => void>();
const become = (next: readonly string[]): void => {
  lots = next;
  for (const each of listeners) each();
};
const subscribe = (listener: () => void): (() => void) => {
  listeners.add(listener);
  return () => listeners.delete(listener);
};

/** Takes one more thing in hand. */
export const lift = (lotId: string): void => {
  if (!lots.includes(lotId)) become([...lots, lotId]);
};
/** Lets go of what is carried: of some, or of all. What was not set down stays where it was. */
export const letGoOf = (lotIds?: readonly string[]): void =>
  become(lotIds ? lots.filter((id) => !lotIds.includes(id)) : []);

/** The things in hand, as they are now; what is gone meanwhile is no longer carried. */
export function useCarried(stash: Stash | undefined): readonly Living[] {
  const ids = useSyncExternalStore(subscribe, () => lots);
  return useMemo(() => {
    if (!stash || ids.length === 0) return NOTHING;
    const wanted = new Map(ids.map((id, i) => [id, i]));
    const found: Living[] = [];
    for (const supply of stash.supplies)
      for (const lot of supply.holdings) if (wanted.has(lot.id)) found.push({ supply, lot });
    return found.sort((p, q) => (wanted.get(p.lot.id) ?? 0) - (wanted.get(q.lot.id) ?? 0));
  }, [stash, ids]);
}
const NOTHING: readonly Living[] = [];
