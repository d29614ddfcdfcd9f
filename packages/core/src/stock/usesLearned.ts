import { standing } from './fold';
import type { Told } from './uses';

/** How many uses a fill gave, from a person's own refills. */
export interface UsesLearned {
  /** Uses of one whole fill. */
  readonly usesPerFill: number;
  /** From so many refills. */
  readonly refills: number;
}

/** Fewer say little. */
const ENOUGH = 2;

/**
 * Uses a whole fill gives: what was used between one refill and the next, over what the later one filled up; by mass where it was weighed
 * and the masses empty and full are known, else a whole fill. The sum over all of them, as a refill that was small says less.
 * Null until there were two such stretches. n log n in the history.
 */
export function usesLearned(
  history: readonly Told[],
  supplyId: string,
  masses: { readonly emptyMg: number; readonly fullMg: number } | null,
): UsesLearned | null {
  const told = standing(history)
    .filter((event) => event.supplyId === supplyId)
    .sort((p, q) => (p.at < q.at ? -1 : p.at > q.at ? 1 : 0));
  const holds = masses ? masses.fullMg - masses.emptyMg : 0;
  let [used, filled, refills] = [0, 0, 0];
  let since: number | null = null;
  for (const event of told) {
    if (event.act === 'use' && event.of === 'whole' && since !== null) since += event.amount;
    if (event.act === 'count' && since !== null) since += event.unlogged ?? 0;
    if (event.act === 'buy') since = null;
    if (event.act !== 'refill') continue;
    if (since !== null && since > 0) {
      const gained = event.weights ? event.weights.afterMg - event.weights.beforeMg : 0;
      used += since;
      filled += gained > 0 && holds > 0 ? gained / holds : 1;
      refills++;
    }
    since = 0;
  }
  if (refills < ENOUGH || filled === 0) return null;
  return { usesPerFill: Math.max(1, Math.round(used / filled)), refills };
}
