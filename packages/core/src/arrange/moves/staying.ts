import type { Spot } from '../../stash/spot';

/**
 * What need not be lifted: what stands in its spot; and of what shares a length or a height before and after, as many as keep their
 * order among one another (longest increasing subsequence, Schensted 1961, n log n).
 */
export function staying<Id>(current: ReadonlyMap<Id, Spot>, target: ReadonlyMap<Id, Spot>): ReadonlySet<Id> {
  const stays = new Set<Id>();
  const shared = new Map<string, { id: Id; now: number; then: number }[]>();
  for (const [id, to] of target) {
    const from = current.get(id);
    if (!from || from.unitId !== to.unitId || from.cell !== to.cell) continue;
    if (to.cell !== null) {
      if (from.rank === to.rank) stays.add(id);
      continue;
    }
    const row = shared.get(to.unitId) ?? [];
    row.push({ id, now: from.rank, then: to.rank });
    shared.set(to.unitId, row);
  }
  for (const row of shared.values()) {
    row.sort((p, q) => p.now - q.now);
    for (const index of longestRising(row.map(({ then }) => then))) {
      const kept = row[index];
      if (kept) stays.add(kept.id);
    }
  }
  return stays;
}

/** Indices of a longest strictly rising run of numbers, from its end to its beginning. */
function longestRising(values: readonly number[]): number[] {
  const ends: number[] = [];
  const before: (number | undefined)[] = [];
  values.forEach((value, i) => {
    let [low, high] = [0, ends.length];
    while (low < high) {
      const middle = (low + high) >> 1;
      if ((values[ends[middle] ?? 0] ?? 0) < value) low = middle + 1;
      else high = middle;
    }
    before[i] = ends[low - 1];
    ends[low] = i;
  });
  const run: number[] = [];
  for (let at = ends.at(-1); at !== undefined; at = before[at]) run.push(at);
  return run;
}
