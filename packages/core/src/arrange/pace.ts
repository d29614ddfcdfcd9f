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

/**
 * The pace of a person from when things were set down, ms since 1970 in any order: the median of what lies between one and the next,
 * but for what is too quick or too slow to be one lift. A guess until there are eight of them.
 */
export function paceOf(times: readonly number[]): Pace {
  const sorted = [...times].sort((a, b) => a - b);
  const gaps = sorted
    .slice(1)
    .map((time, i) => (time - (sorted[i] ?? time)) / 1000)
    .filter((gap) => gap >= QUICKEST_S && gap <= SLOWEST_S)
    .sort((a, b) => a - b);
  if (gaps.length < ENOUGH) return { seconds: GUESS_S, lifts: 0 };
  return { seconds: gaps[gaps.length >> 1] ?? GUESS_S, lifts: gaps.length };
}
