import { inStash } from '../stash/standing';
import { useOf } from '../stock/usage';
import { idleDays, inPeace, type StockHistory } from '../stash/idle';

/** How a place or a kind stands against its limit. */
export interface CapVerdict<T> {
  readonly count: number;
  readonly cap: number;
  /** How many must leave for `coming` more to stay within the limit. */
  readonly mustLeave: number;
  /** Who might leave: the least used first, then those idle the longest. Never what is left in peace. */
  readonly candidates: readonly T[];
}

const MOST_CANDIDATES = 5;

/**
 * One in, one out: whether `coming` more things go over a limit, and which would be missed least.
 * What is gone does not count; a collection counts for room but is never asked to leave.
 */
export function capVerdict<T extends StockHistory & { readonly id: string }>(
  items: readonly T[],
  cap: number,
  coming: number,
  now: number,
): CapVerdict<T> {
  const here = items.filter(inStash);
  const mustLeave = Math.max(0, here.length + coming - cap);
  if (mustLeave === 0) return { count: here.length, cap, mustLeave, candidates: [] };
  const ranked = here
    .filter((item) => !inPeace(item))
    .map((item) => ({ item, idle: idleDays(item, now) }))
    .sort((p, q) => useOf(p.item) - useOf(q.item) || q.idle - p.idle || (p.item.id < q.item.id ? -1 : 1));
  return {
    count: here.length,
    cap,
    mustLeave,
    candidates: ranked.slice(0, Math.max(MOST_CANDIDATES, mustLeave)).map(({ item }) => item),
  };
}
