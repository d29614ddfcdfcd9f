import type { Costs } from './tour';

/** So many nodes are worked out to the end; the work doubles with each. */
export const MOST_EXACT = 11;

/** The shortest round through every node, from node 0 on, over all sets of nodes (Held & Karp 1962): n² 2ⁿ. */
export function shortestRound({ n, cost }: Costs): readonly number[] {
  if (n < 4) return Array.from({ length: n }, (_, i) => i);
  const ends = n - 1;
  const sets = 1 << ends;
  // Node i + 1 is bit i: the shortest way from 0 through a set that ends in one of it, and what came before that.
  const least = new Float64Array(sets * ends).fill(Infinity);
  const before = new Int8Array(sets * ends).fill(-1);
  const d = (i: number, j: number): number => cost[i * n + j] ?? Infinity;
  for (let i = 0; i < ends; i++) least[(1 << i) * ends + i] = d(0, i + 1);
  for (let set = 1; set < sets; set++)
    for (let last = 0; last < ends; last++) {
      const way = least[set * ends + last] ?? Infinity;
      if (way === Infinity) continue;
      for (let next = 0; next < ends; next++) {
        if (set & (1 << next)) continue;
        const at = (set | (1 << next)) * ends + next;
        const longer = way + d(last + 1, next + 1);
        if (longer >= (least[at] ?? Infinity)) continue;
        least[at] = longer;
        before[at] = last;
      }
    }
  let set = sets - 1;
  let last = 0;
  for (let i = 1; i < ends; i++)
    if ((least[set * ends + i] ?? 0) + d(i + 1, 0) < (least[set * ends + last] ?? 0) + d(last + 1, 0))
      last = i;
  const round: number[] = [];
  while (last >= 0) {
    round.push(last + 1);
    const came = before[set * ends + last] ?? -1;
    set &= ~(1 << last);
    last = came;
  }
  return [0, ...round];
}
