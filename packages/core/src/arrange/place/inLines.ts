import { shareOut, stretches } from '../spread';
import { layOut, type Laid, type Layout } from './layOut';

/**
 * Lays groups in rows or columns of their own, each beginning in a new one, in their order; spare ones go to the groups that grow. Null
 * where there are too few. `lines` says for each place of the path which row or column it is in.
 */
export function layInLines<T>(
  things: readonly Laid<T>[],
  lines: readonly number[],
  growth: ReadonlyMap<string, number>,
): Layout<T> | null {
  const runs = stretches(things, ({ group }) => group);
  const rows = stretches(lines, (line) => line).map(({ items }) => items.length);
  /** How many lines each group takes at least, one after another from the first. */
  const takes: number[] = [];
  let next = 0;
  for (const { items } of runs) {
    let [count, room] = [0, 0];
    while (room < items.length && next + count < rows.length) room += rows[next + count++] ?? 0;
    if (room < items.length) return null;
    takes.push(count);
    next += count;
  }
  const spare = shareOut(
    rows.length - next,
    runs.map(({ group, items }) => growth.get(group) ?? items.length),
    0,
  );
  const placed = new Map<number, T>();
  const held = new Map<number, string>();
  let [row, start] = [0, 0];
  for (const [r, { items }] of runs.entries()) {
    const end = row + (takes[r] ?? 0) + (spare[r] ?? 0);
    const places = rows.slice(row, end).reduce((sum, length) => sum + length, 0);
    // With unequal lines later ones may be shorter than those that were counted.
    if (places < items.length) return null;
    const from = start;
    const part = layOut(
      items.map((each) => ({ ...each, now: within(each.now, from, places) })),
      places,
      growth,
    );
    for (const [place, item] of part.placed) placed.set(from + place, item);
    for (const [place, group] of part.held) held.set(from + place, group);
    row = end;
    start += places;
  }
  return { placed, held };
}

const within = (now: number | null, from: number, places: number): number | null =>
  now !== null && now >= from && now < from + places ? now - from : null;
