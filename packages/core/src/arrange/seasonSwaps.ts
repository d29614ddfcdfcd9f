import { DAY } from '../stash/idle';
import { seasonOf, seasonState, SEASONS, type Hemisphere, type Season } from '../stash/seasons';
import type { Facts } from '../stash/facts';

/** A day on which things of one season come near, and those of others may go. */
export interface SeasonSwap {
  /** Ms since 1970, at midnight UTC. */
  readonly on: number;
  readonly comes: readonly Season[];
  readonly goes: readonly Season[];
  /** How many things that is. */
  readonly coming: number;
  readonly going: number;
}

/** Of the weeks to come, one year is looked at. */
const AHEAD_DAYS = 366;

/**
 * The days of the coming year on which what one works with changes: a season's things come into sight (a month ahead), or its time is
 * over. Only days that concern any of these things, the next one first.
 */
export function seasonSwaps(
  things: readonly { readonly facts: Facts }[],
  today: number,
  hemisphere: Hemisphere,
): SeasonSwap[] {
  const counts = new Map<Season, number>();
  for (const { facts } of things) {
    const season = seasonOf(facts);
    if (season) counts.set(season, (counts.get(season) ?? 0) + 1);
  }
  const first = Math.floor(today / DAY) * DAY;
  const seasons = SEASONS.filter((season) => counts.has(season));
  const inSight = (day: number): Set<Season> =>
    new Set(seasons.filter((season) => seasonState(season, day, hemisphere) !== 'later'));
  const swaps: SeasonSwap[] = [];
  let before = inSight(first);
  for (let day = first + DAY; day <= first + AHEAD_DAYS * DAY; day += DAY) {
    const now = inSight(day);
    const changed = seasons.filter((season) => now.has(season) !== before.has(season));
    before = now;
    if (changed.length === 0) continue;
    const comes = changed.filter((season) => now.has(season));
    const goes = changed.filter((season) => !now.has(season));
    const sum = (some: readonly Season[]): number =>
      some.reduce((total, season) => total + (counts.get(season) ?? 0), 0);
    swaps.push({ on: day, comes, goes, coming: sum(comes), going: sum(goes) });
  }
  return swaps;
}
