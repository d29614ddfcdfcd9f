/**
 * Shares `total` indivisible places among claims in proportion to their weights
 * (largest remainder, Hamilton's method). Where there is enough for everyone, each claim gets at least `least`, one or none.
 * Answers as many whole numbers as weights, adding up to `total`; ties go to the earlier claim.
 */
export function shareOut(total: number, weights: readonly number[], least: 0 | 1 = 1): number[] {
  if (weights.length === 0) return [];
  const each = total >= weights.length ? least : 0;
  const rest = total - each * weights.length;
  const sum = weights.reduce((a, b) => a + b, 0);
  const exact = weights.map((w) => (rest * (sum > 0 ? w : 1)) / (sum > 0 ? sum : weights.length));
  const shares = exact.map((x) => Math.floor(x));
  const left = rest - shares.reduce((a, b) => a + b, 0);
  const byRemainder = exact
    .map((x, i) => ({ i, remainder: x - Math.floor(x) }))
    .sort((p, q) => q.remainder - p.remainder || p.i - q.i);
  for (const { i } of byRemainder.slice(0, left)) shares[i] = (shares[i] ?? 0) + 1;
  return shares.map((share) => share + each);
}

/** A stretch of neighbours of one family. */
export interface Stretch<T, G> {
  readonly group: G;
  readonly items: readonly T[];
}

/** Cuts an ordered list where its group changes. */
export function stretches<T, G>(items: readonly T[], group: (item: T) => G): Stretch<T, G>[] {
  const found: { group: G; items: T[] }[] = [];
  for (const item of items) {
    const last = found.at(-1);
    if (last && last.group === group(item)) last.items.push(item);
    else found.push({ group: group(item), items: [item] });
  }
  return found;
}
