import { everyWay, smallestFirst } from './poolLoose';

/** Places that are alike: open cells of one size in a unit, or one place that things share. */
export interface Slots {
  readonly unitId: string;
  /** How many things the unit takes in all, whichever of its places they are in. */
  readonly atMost: number;
  /** Null where things share. */
  readonly cells: readonly number[] | null;
  /** How much of what things share there is left: volume, length or height. */
  readonly room: number;
}
export interface PoolItem {
  /** Of each of the places, how much of it one takes. */
  readonly takes: readonly number[];
  /** Of each of the places, whether it suits. */
  readonly suits: readonly boolean[];
}

/**
 * The most items that find a place, and where each goes (an index of `slots`, undefined where it finds none).
 *
 * Sets of items that cells can take at once are the independent sets of a matroid (a matching, limits of units included), so
 * taking items by weight and making room by moving others gives the heaviest such set, weight by weight (Edmonds, Matroids and the
 * greedy algorithm, 1971). What no loose place takes weighs most, then what is largest: what remains for loose places is then as
 * little and as small as can be, and goes in smallest first. With several loose places that part is tried in every way while
 * they are few, and they must take the same things; else `most` is false.
 */
export function matching(
  items: readonly PoolItem[],
  slots: readonly Slots[],
): { readonly at: readonly (number | undefined)[]; readonly most: boolean } {
  const at: (number | undefined)[] = items.map(() => undefined);
  const isCell = slots.map(({ cells }) => cells !== null);
  const loose = slots.flatMap(({ cells }, s) => (cells === null ? [s] : []));
  const inSlot = (s: number): number[] => at.flatMap((where, i) => (where === s ? [i] : []));
  const inUnit = (s: number): number[] =>
    at.flatMap((where, i) => (where !== undefined && slots[where]?.unitId === slots[s]?.unitId ? [i] : []));

  /** Finds a place for an item, moving others where that makes room. */
  const settle = (i: number, seen: Set<number>): boolean => {
    for (const [s, slot] of slots.entries()) {
      if (!isCell[s] || !items[i]?.suits[s] || seen.has(s)) continue;
      seen.add(s);
      const full = inSlot(s).length >= (slot.cells?.length ?? 0);
      const crowded = inUnit(s).length >= slot.atMost;
      if (!full && !crowded) {
        at[i] = s;
        return true;
      }
      for (const other of full ? inSlot(s) : inUnit(s)) {
        const was = at[other];
        at[other] = undefined;
        // A unit at its limit has room for this one exactly once the other has gone to another unit.
        at[i] = s;
        if (settle(other, seen)) return true;
        at[i] = undefined;
        at[other] = was;
      }
    }
    return false;
  };
  const anywhereLoose = (i: number): boolean => loose.some((s) => items[i]?.suits[s]);
  const takes = (i: number): number => Math.max(0, ...loose.map((s) => items[i]?.takes[s] ?? 0));
  const weight = (i: number): number => (anywhereLoose(i) ? takes(i) : Infinity);
  const byWeight = items
    .map((_, i) => i)
    .sort((p, q) => (weight(p) === weight(q) ? p - q : weight(q) > weight(p) ? 1 : -1));
  for (const i of byWeight) settle(i, new Set());

  const rest = items
    .flatMap((item, i) => (at[i] === undefined && anywhereLoose(i) ? [{ ...item, i }] : []))
    .sort((p, q) => takes(p.i) - takes(q.i) || p.i - q.i);
  const alike = items.every((item, i) =>
    loose.every((s) => item.suits[s] === item.suits[loose[0] ?? s] && item.takes[s] === takes(i)),
  );
  const places = slots.flatMap(({ cells, room, atMost }, s) =>
    cells === null ? [{ s, left: room, n: atMost }] : [],
  );
  const spread = places.length === 1 ? smallestFirst(rest, places) : everyWay(rest, places);
  for (const [i, s] of spread.at) at[i] = s;
  return { at, most: loose.length <= 1 || (alike && spread.all) };
}
