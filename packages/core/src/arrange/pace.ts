import { asSingleLifts } from './moves/goes';

/** How long one lift takes a person: seconds, and from how many of their own it is known; 0 where it is a guess. */
export interface Pace {
  readonly seconds: number;
  readonly lifts: number;
}

/** What one lift takes before anything is known: lift, carry, set down. */
const GUESS_S = 12;
/** What is quicker was not done by hand, what is slower was done with something between. */
const QUICKEST_S = 2;
const SLOWEST_S = 120;
const ENOUGH = 8;

/** When things were set down in one go, ms since 1970, and how many. */
export interface Carried {
  readonly at: number;
  readonly count: number;
}

/**
 * The pace of a person from when things were set down, in any order: the median of what lies between one go and the next, each for as
 * many single lifts as it was worth, but for what is too quick or too slow to be one lift. A guess until there are eight of them.
 */
export function paceOf(goes: readonly Carried[]): Pace {
  const sorted = [...goes].sort((a, b) => a.at - b.at);
  const gaps = sorted
    .slice(1)
    .map(({ at, count }, i) => (at - (sorted[i]?.at ?? at)) / 1000 / asSingleLifts(count, 1))
    .filter((gap) => gap >= QUICKEST_S && gap <= SLOWEST_S)
    .sort((a, b) => a - b);
  if (gaps.length < ENOUGH) return { seconds: GUESS_S, lifts: 0 };
  return { seconds: gaps[gaps.length >> 1] ?? GUESS_S, lifts: gaps.length };
}
