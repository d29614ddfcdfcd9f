/**
 * Which of an ordered list of things may stay where they are, as many as possible. `now[k]` is the place on the path of
 * the k-th thing, counted from 0, null where it is not on it; the path has `places`. The others must find room between
 * those that stay, so a thing may stay when, with as many before and after it, everything still goes in: place − rank may
 * only grow. The longest such run is a longest non-decreasing subsequence (Schensted 1961), in n log n.
 */
export function mostKept(now: readonly (number | null)[], places: number): ReadonlySet<number> {
  const most = places - now.length;
  /** ends[l]: the rank at which the best run of l + 1 things ends. */
  const ends: number[] = [];
  const before: (number | null)[] = [];
  const slack = (k: number): number => (now[k] ?? 0) - k;
  now.forEach((place, k) => {
    before.push(null);
    if (place === null || place - k < 0 || place - k > most) return;
    let [low, high] = [0, ends.length];
    while (low < high) {
      const middle = (low + high) >> 1;
      if (slack(ends[middle] ?? 0) <= slack(k)) low = middle + 1;
      else high = middle;
    }
    before[k] = ends[low - 1] ?? null;
    ends[low] = k;
  });
  const kept = new Set<number>();
  for (let at: number | null = ends.at(-1) ?? null; at !== null; at = before[at] ?? null) kept.add(at);
  return kept;
}
