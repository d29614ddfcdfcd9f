import { mostKept } from './keep';
import { shareOut, stretches, type Stretch } from './spread';

/** A thing in its order: its group, and its place on the path now, counted from 0; null where it is not on it. */
export interface Laid<T> {
  readonly item: T;
  readonly group: string;
  readonly now: number | null;
}

/** A long group has room inside too, so that nothing is far from an open place: behind so many things at most. */
const PIECE = 12;

function inPieces<T>({ group, items }: Stretch<T, string>): Stretch<T, string>[] {
  const pieces = Math.ceil(items.length / PIECE);
  const cut = (piece: number): number => Math.round((items.length * piece) / pieces);
  return Array.from({ length: pieces }, (_, piece) => ({
    group,
    items: items.slice(cut(piece), cut(piece + 1)),
  }));
}

/** Where each thing goes on the path, and which group each place that stays open is kept for. */
export interface Layout<T> {
  readonly placed: ReadonlyMap<number, T>;
  readonly held: ReadonlyMap<number, string>;
}

/**
 * Lays an ordered list along a path of `places`, at least as many as things. As many as possible stay where they are;
 * between those that stay the rest stand in order, each group with its share of the open places behind it, and inside it
 * where it is long, by how fast it grows (`growth`, its size where nothing is known). At most `spare` places are kept open inside; the rest is at the end.
 */
export function layOut<T>(
  things: readonly Laid<T>[],
  places: number,
  growth: ReadonlyMap<string, number>,
  spare = places - things.length,
): Layout<T> {
  const kept = mostKept(
    things.map(({ now }) => now),
    places,
  );
  const sizes = new Map<string, number>();
  for (const { group } of things) sizes.set(group, (sizes.get(group) ?? 0) + 1);
  const weigh = (group: string, count: number): number => {
    const size = sizes.get(group) ?? 1;
    return ((growth.get(group) ?? size) * count) / size;
  };
  const placed = new Map<number, T>();
  const held = new Map<number, string>();
  /** Things `from` to `to` (left out) on the places `start` to `end` (left out); the first stays where it stands, unless it is the list's own. */
  const between = (from: number, to: number, start: number, end: number, most: number): void => {
    const runs = stretches(things.slice(from, to), ({ group }) => group).flatMap(inPieces);
    const open = Math.min(end - start - (to - from), most);
    const shares = shareOut(
      open,
      runs.map(({ group, items }) => weigh(group, items.length)),
    );
    let at = start;
    runs.forEach(({ group, items }, r) => {
      for (const { item } of items) placed.set(at++, item);
      for (let left = shares[r] ?? 0; left > 0; left--) held.set(at++, group);
    });
  };
  const stays = [...kept].sort((a, b) => a - b);
  const [first] = stays;
  if (first === undefined) {
    between(0, things.length, 0, places, spare);
    return { placed, held };
  }
  const firstAt = things[first]?.now ?? 0;
  between(0, first, 0, firstAt, places);
  // Nothing stands before it: what is open there is its group's.
  if (first === 0) for (let at = 0; at < firstAt; at++) held.set(at, things[0]?.group ?? '');
  stays.forEach((k, i) => {
    const next = stays[i + 1];
    const start = things[k]?.now ?? 0;
    const end = next === undefined ? places : (things[next]?.now ?? places);
    const last = next === undefined;
    between(k, next ?? things.length, start, end, last ? Math.max(0, spare - held.size) : places);
  });
  return { placed, held };
}
