import { DAY } from '../stash/idle';

/** A thing as growth counts it: its group, and when it came; ISO 8601. */
export interface Grown {
  readonly group: string;
  readonly createdAt: string;
}

/** What was written down in the first weeks was there before. */
const SETTLING_DAYS = 21;
export const SETTLING_MS = SETTLING_DAYS * DAY;
/** A purchase of half a year ago says half as much of the next ones. */
const HALF_LIFE_DAYS = 182;
/** As many purchases as it takes to outweigh the guess that groups grow as they are large. */
const GUESS = 4;

/**
 * How fast each group grows, to share room out by: purchases, the older the less, and a guess by size for as long as
 * there are few. In things, on one scale for all groups. `now` is ms since 1970.
 */
export function growthOf(things: readonly Grown[], now: number): ReadonlyMap<string, number> {
  const times = things.map(({ createdAt }) => Date.parse(createdAt));
  const settled = times.reduce((least, time) => Math.min(least, time), Infinity) + SETTLING_DAYS * DAY;
  const growth = new Map<string, number>();
  things.forEach(({ group }, i) => {
    const time = times[i] ?? 0;
    const bought = time > settled ? 0.5 ** (Math.max(0, now - time) / DAY / HALF_LIFE_DAYS) : 0;
    growth.set(group, (growth.get(group) ?? 0) + bought + GUESS / things.length);
  });
  return growth;
}

/** A colour of a range that is not owned yet is bought as likely as one in ten is. */
const A_GAP = 0.1;

/** The same, with the known gaps of ranges counted, by the group each of them would stand in. */
export function withGaps(
  growth: ReadonlyMap<string, number>,
  gaps: readonly string[],
): ReadonlyMap<string, number> {
  const all = new Map(growth);
  for (const group of gaps) if (all.has(group)) all.set(group, (all.get(group) ?? 0) + A_GAP);
  return all;
}
