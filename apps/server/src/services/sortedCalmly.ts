import { breathe, chunks } from '../db/tx';

/** So many things are sorted, or merged, at a stretch: some ten ms. */
const AT_ONCE = 4000;

/** Sorts as `sort` does, stably, and lets everything else have its turn: parts are sorted, then merged two by two. */
export async function sortedCalmly<T>(items: readonly T[], order: (a: T, b: T) => number): Promise<T[]> {
  let runs: T[][] = [];
  for (const some of chunks(items, AT_ONCE)) {
    runs.push([...some].sort(order));
    if (items.length > AT_ONCE) await breathe();
  }
  while (runs.length > 1) {
    const merged: T[][] = [];
    for (const [a = [], b = []] of chunks(runs, 2)) merged.push(await mergedOf(a, b, order));
    runs = merged;
  }
  return runs[0] ?? [];
}

async function mergedOf<T>(a: readonly T[], b: readonly T[], order: (a: T, b: T) => number): Promise<T[]> {
  const out: T[] = [];
  let [i, k] = [0, 0];
  while (i < a.length || k < b.length) {
    const [p, q] = [a[i], b[k]];
    const first = k >= b.length || (i < a.length && order(p as T, q as T) <= 0);
    out.push((first ? p : q) as T);
    if (first) i++;
    else k++;
    if (out.length % AT_ONCE === 0) await breathe();
  }
  return out;
}
