import type { Supply } from '../stash/supply';
import { DAY, idleDays, inPeace, type StockHistory } from '../stash/idle';

/** A thing as forgetting sees it: how it was used. */
export type Forgettable = StockHistory & Pick<Supply, 'id'>;

type Kept = { readonly holdings: readonly { readonly spot: { readonly unitId: string } | null }[] };
/** Whether all of a thing is out of sight: in units that are deep storage, or without a place. */
export const outOfSight =
  (isDeep: (unitId: string) => boolean) =>
  ({ holdings }: Kept): boolean =>
    holdings.every(({ spot }) => spot === null || isDeep(spot.unitId));

const TEN = 10;
/** A thing used within the last quarter of a year is not forgotten. */
const FORGOTTEN_DAYS = 90;
const WEEK = 7 * DAY;
/** Monday 1970-01-05, so that weeks begin on Mondays. */
const FIRST_MONDAY = 4 * DAY;

/**
 * Ten forgotten things to bring back into circulation, another ten every week, until all have had their turn.
 * What is out of sight (its place is deep storage, or it has none) comes before what is in sight, the longest idle first.
 * `now` is ms since 1970.
 */
export function forgottenTen<T extends Forgettable>(
  items: readonly T[],
  now: number,
  isOutOfSight: (item: T) => boolean,
): T[] {
  const forgotten = items
    .filter((item) => !inPeace(item))
    .map((item) => ({ item, idle: idleDays(item, now) }))
    .filter(({ idle }) => idle > FORGOTTEN_DAYS)
    .map((each) => ({ ...each, hidden: Number(isOutOfSight(each.item)) }))
    .sort((p, q) => q.hidden - p.hidden || q.idle - p.idle || (p.item.id < q.item.id ? -1 : 1))
    .map(({ item }) => item);
  if (forgotten.length <= TEN) return forgotten;
  const week = Math.floor((now - FIRST_MONDAY) / WEEK);
  const turns = Math.ceil(forgotten.length / TEN);
  const from = (((week % turns) + turns) % turns) * TEN;
  return forgotten.slice(from, from + TEN);
}
