import type { Supply } from '../stash/supply';
import { DAY, idleDays, inPeace, type StockHistory } from '../stash/idle';

/** A thing as forgetting sees it: how it was used, and whether it is out of sight. */
export type Forgettable = StockHistory &
  Pick<Supply, 'id'> & {
    /** Its place is deep storage, or it has none. */
    readonly outOfSight: boolean;
  };

const TEN = 10;
/** A thing used within the last quarter of a year is not forgotten. */
const FORGOTTEN_DAYS = 90;
const WEEK = 7 * DAY;
/** Monday 1970-01-05, so that weeks begin on Mondays. */
const FIRST_MONDAY = 4 * DAY;

/**
 * Ten forgotten things to bring back into circulation, another ten every week, until all have had their turn.
 * Deep storage comes before what is in sight, the longest idle first. `now` is ms since 1970.
 */
export function forgottenTen<T extends Forgettable>(items: readonly T[], now: number): T[] {
  const forgotten = items
    .map((item) => ({ item, idle: idleDays(item, now) }))
    .filter(({ item, idle }) => !inPeace(item) && idle > FORGOTTEN_DAYS)
    .sort(
      (p, q) =>
        Number(q.item.outOfSight) - Number(p.item.outOfSight) ||
        q.idle - p.idle ||
        (p.item.id < q.item.id ? -1 : 1),
    )
    .map(({ item }) => item);
  if (forgotten.length <= TEN) return forgotten;
  const week = Math.floor((now - FIRST_MONDAY) / WEEK);
  const turns = Math.ceil(forgotten.length / TEN);
  const from = (((week % turns) + turns) % turns) * TEN;
  return forgotten.slice(from, from + TEN);
}
