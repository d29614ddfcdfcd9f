import { fullWhen, type FullWhen } from '../arrange/full';
import { SETTLING_MS } from '../arrange/growth';
import { holdsOf, type Model } from '../storage/models/models';

/** A place with cells, and what stands in it. */
export interface RoomUnit {
  readonly id: string;
  readonly model: Model | null;
}
export interface RoomRow<U> {
  readonly unit: U;
  readonly filled: number;
  readonly of: number;
  /** When it is full at the pace things come to it; null where that is not in sight. */
  readonly full: FullWhen | null;
}

/** From this share on a place is nearly full. */
const NEARLY = 0.85;
/** What will be full within so long is told, however empty it is, ms. */
const SOON_MS = 120 * 86_400_000;

/**
 * Places with cells that are nearly full, or will be within four months: the soonest first. `cellsIn` gives the cells of a unit that
 * are taken, and since when each thing in it is there (ms since 1970); `now` the same.
 */
export function roomLeft<U extends RoomUnit>(
  units: readonly U[],
  thingsIn: (unitId: string) => readonly { readonly cell: number | null; readonly since: number }[],
  now: number,
): RoomRow<U>[] {
  const rows = units.flatMap((unit): RoomRow<U>[] => {
    if (!unit.model || holdsOf(unit.model).shares) return [];
    const of = holdsOf(unit.model).order.length;
    const things = thingsIn(unit.id);
    const filled = new Set(things.flatMap(({ cell }) => (cell === null ? [] : [cell]))).size;
    if (of === 0 || filled === 0) return [];
    const since = Math.min(...things.map((thing) => thing.since)) + SETTLING_MS;
    const full =
      since < now
        ? fullWhen(
            of - filled,
            things.map((thing) => thing.since),
            since,
            now,
          )
        : null;
    const soon = full !== null && full.median - now < SOON_MS;
    return filled / of >= NEARLY || soon ? [{ unit, filled, of, full }] : [];
  });
  return rows.sort(
    (p, q) =>
      (p.full?.median ?? Infinity) - (q.full?.median ?? Infinity) || q.filled / q.of - p.filled / p.of,
  );
}
