import type { Facts } from '../stash/facts';
import { inStash } from '../stash/standing';
import { byText } from '../text/byText';

/** Something whose day to decide or to wake has come, or comes soon. */
export interface Due<T> {
  readonly item: T;
  readonly why: 'trial' | 'dormant';
  /** ISO date, or null for a trial without one. */
  readonly on: string | null;
  readonly due: boolean;
}

/** Trials to decide on and dormant purposes to look at again; those that are due first, then by their day. */
export function dueOnes<T extends { readonly id: string; readonly facts: Facts }>(
  items: readonly T[],
  today: string,
): Due<T>[] {
  const found = items.flatMap((item): Due<T>[] => {
    const { status, decideOn, dormant } = item.facts;
    if (!inStash(item)) return [];
    return [
      ...(status === 'trial'
        ? [{ item, why: 'trial' as const, on: decideOn ?? null, due: !decideOn || decideOn <= today }]
        : []),
      ...(dormant
        ? [{ item, why: 'dormant' as const, on: dormant.wakeOn, due: dormant.wakeOn <= today }]
        : []),
    ];
  });
  return found.sort((p, q) => byText(p.on ?? '', q.on ?? '') || byText(p.item.id, q.item.id));
}
