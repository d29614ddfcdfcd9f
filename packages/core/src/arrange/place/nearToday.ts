import { mostKept } from './keep';
import type { Laid } from './layOut';

/**
 * The same things in an order nearer to how they stand: inside a group, each stretch of so large a part of it (`near`, 0 to 1) keeps
 * the order it has today, so that what stands among its likes need not be lifted. 0 changes nothing; with 1 only groups are kept in
 * order. What is not on the path keeps its place in the order. n log n.
 */
export function nearToday<T>(things: readonly Laid<T>[], near: number): Laid<T>[] {
  if (near <= 0) return [...things];
  const row: Laid<T>[] = [];
  for (let from = 0; from < things.length;) {
    let end = from + 1;
    while (end < things.length && things[end]?.group === things[from]?.group) end++;
    const part = Math.max(1, Math.round(near * (end - from)));
    for (; from < end; from += part) row.push(...asToday(things.slice(from, Math.min(end, from + part))));
    from = end;
  }
  return row;
}

/**
 * Of the order asked for, one nearer to today, and one nearer only for what can stay by it: that in which most stay where they are on a
 * path of so many places.
 */
export function nearestOrder<T>(
  things: readonly Laid<T>[],
  near: number,
  places: number,
): readonly Laid<T>[] {
  if (near <= 0) return things;
  const keptIn = (row: readonly Laid<T>[]): ReadonlySet<number> =>
    mostKept(
      row.map(({ now }) => now),
      places,
    );
  const nearer = nearToday(things, near);
  const byItem = new Map(things.map((each) => [each.item, each]));
  const kept = keptIn(nearer);
  const staying = new Set(nearer.filter((_, i) => kept.has(i)));
  // What is lifted anyway stands where the order has it.
  const only = nearToday(
    things.map((each) => (staying.has(each) ? each : { ...each, now: null })),
    near,
  ).map((each) => byItem.get(each.item) ?? each);
  return [things, nearer, only].reduce((best, row) => (keptIn(row).size > keptIn(best).size ? row : best));
}

/** Those that stand somewhere, as they stand, in the places they have together. */
function asToday<T>(part: readonly Laid<T>[]): Laid<T>[] {
  const standing = part.filter(({ now }) => now !== null).sort((p, q) => (p.now ?? 0) - (q.now ?? 0));
  let next = 0;
  return part.map((each) => (each.now === null ? each : (standing[next++] ?? each)));
}
