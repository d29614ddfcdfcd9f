import { quantileOfF } from '../measure/quantiles';
import { DAY } from '../stash/idle';

/** When a place or a group of it is full: the middle, and a range that holds in four of five cases; ms since 1970. */
export interface FullWhen {
  readonly median: number;
  readonly low: number;
  readonly high: number;
}

/** Normal quantiles of 10%, 50% and 90%. */
const TENTH = 1.2816;
/** Farther away is not in sight. */
const HORIZON_DAYS = 20 * 365.25;
/** What is not known of the rate yet counts as half a purchase (Jeffreys' prior for a rate). */
const HALF = 0.5;

/**
 * When `open` spots are filled, from when things came: so many in so long that the rate is known only so well, and the next ones come
 * when they come. The time to the k-th of them over the time watched is (k/a)·F with 2k and 2a degrees of freedom, a being half a
 * purchase more than were seen. `bought` and `since` are ms since 1970; what came before `since` does not count. Null where it is not in
 * sight within twenty years.
 */
export function fullWhen(
  open: number,
  bought: readonly number[],
  since: number,
  now: number,
): FullWhen | null {
  if (open <= 0) return { median: now, low: now, high: now };
  const watched = Math.max(1, (now - since) / DAY);
  const a = bought.filter((time) => time > since && time <= now).length + HALF;
  const at = (z: number): number =>
    now + Math.min(HORIZON_DAYS, watched * (open / a) * quantileOfF(2 * open, 2 * a, z)) * DAY;
  const median = at(0);
  return median >= now + HORIZON_DAYS * DAY ? null : { median, low: at(-TENTH), high: at(TENTH) };
}
