import { holdsOf } from '../storage/models/models';
import { isRefusal, mayLive, type Lodger, type RoomNow } from '../storage/mayLive';
import type { Unit } from '../storage/unit';
import { insertOne, type InsertOptions } from './insertOne';
import type { ColouredItem } from './order';

/** Something in its place, as one more is set among it. */
export interface Settled extends ColouredItem, Lodger {
  /** It is not moved over. */
  readonly stays?: boolean;
}

/** A thing that moves over to make room. */
export interface MovesOver<T> {
  readonly thing: T;
  readonly from: number;
  readonly to: number;
}

/** Where one thing more goes in a unit. */
export interface OneMore<T> {
  /** Null where things share the place. */
  readonly cell: number | null;
  /** What it is set before, where things share the place; null behind all. */
  readonly before: T | null;
  readonly over: readonly MovesOver<T>[];
  /** Where it may stand with nothing moved, a few things from where it belongs; null where that is no other. */
  readonly near: { readonly cell: number } | null;
}

/** So many things may stand between where it is set and where it belongs. */
const NEAR = 2;

/**
 * Where one thing more goes in a unit that stands in order, with the fewest things moved over (`insertOne`), and where it could stand
 * with nothing moved, two things from there at most. Only cells that take it, and whatever would move over into them, are used; what is
 * to stay is passed over. `slots` are things by cell, or in their order. Null where the unit does not take it.
 */
export function oneMore<T extends Settled>(
  thing: T,
  unit: Unit,
  slots: readonly (T | null)[],
  room: RoomNow,
  options: Pick<InsertOptions<T>, 'rates' | 'order'> = {},
): OneMore<T> | null {
  const { model } = unit;
  if (!model) return null;
  const bare: RoomNow = { ...room, livingIn: () => [] };
  const takes = (who: T, cell: number | null, now: RoomNow): boolean => {
    const answer = mayLive(who, { unit, cell }, now);
    return answer === null || (!isRefusal(answer) && !answer.some(({ code }) => STAYS_OUT.has(code)));
  };
  const holds = holdsOf(model);
  if (holds.shares) {
    if (!takes(thing, null, room)) return null;
    const there = slots.flatMap((slot) => slot ?? []);
    return { cell: null, before: there[rankAmong(there, thing, options)] ?? null, over: [], near: null };
  }
  if (unit.rules.cap !== undefined && slots.filter(Boolean).length >= unit.rules.cap) return null;
  const cells = holds.order.filter((cell) => {
    const there = slots[cell] ?? null;
    return !there?.stays && takes(thing, cell, bare);
  });
  const run = cells.map((cell) => slots[cell] ?? null);
  if (!run.includes(null)) return null;
  const exact = insertOne(run, thing, options);
  const over = exact.shifts.flatMap(({ from, to }): MovesOver<T>[] => {
    const moved = run[from];
    return moved ? [{ thing: moved, from: cells[from] ?? 0, to: cells[to] ?? 0 }] : [];
  });
  const fits = over.every(({ thing: moved, to }) => takes(moved, to, bare));
  const near = insertOne(run, thing, { ...options, tolerance: fits ? NEAR : Infinity });
  if (!fits) return { cell: cells[near.spot] ?? 0, before: null, over: [], near: null };
  return {
    cell: cells[exact.spot] ?? 0,
    before: null,
    over,
    near: over.length > 0 && near.shifts.length === 0 ? { cell: cells[near.spot] ?? 0 } : null,
  };
}

/** Behind how many of those that share a place it belongs. */
function rankAmong<T extends Settled>(
  there: readonly T[],
  thing: T,
  options: Pick<InsertOptions<T>, 'order'>,
): number {
  // An open spot between each two, and only one of them is where it belongs.
  const gaps = there.flatMap((each) => [null, each]);
  const { spot } = insertOne([...gaps, null], thing, options);
  return Math.floor(spot / 2);
}

const STAYS_OUT: ReadonlySet<string> = new Set(['kept_for_others', 'belongs_elsewhere']);
