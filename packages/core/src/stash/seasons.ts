import type { Facts } from './facts';
import { DAY } from './idle';

export const SEASONS = ['spring', 'summer', 'autumn', 'winter', 'holiday'] as const;
export type Season = (typeof SEASONS)[number];
export const HEMISPHERES = ['north', 'south'] as const;
export type Hemisphere = (typeof HEMISPHERES)[number];

/** First day of each season as month and day, and how long it lasts in days; meteorological, northern. */
const STARTS: Readonly<Record<Season, readonly [month: number, day: number, days: number]>> = {
  spring: [3, 1, 92],
  summer: [6, 1, 92],
  autumn: [9, 1, 91],
  winter: [12, 1, 90],
  holiday: [11, 15, 53],
};
const OPPOSITE: Readonly<Record<Season, Season>> = {
  spring: 'autumn',
  summer: 'winter',
  autumn: 'spring',
  winter: 'summer',
  holiday: 'holiday',
};
/** So long before its season a thing comes into sight again: cards are made ahead. */
const AHEAD_DAYS = 30;

/** The season a thing is for: its own answer, else a tag that names one; null when it is for all year. */
export function seasonOf({ attributes, tags = [] }: Facts): Season | null {
  const said = attributes?.season;
  const words = [typeof said === 'string' ? said : '', ...tags].map((word) => word.toLowerCase());
  return SEASONS.find((season) => words.includes(season)) ?? null;
}

/** `now`: it is the season; `soon`: it begins within 30 days; `later`: neither. */
export function seasonState(
  season: Season,
  now: number,
  hemisphere: Hemisphere = 'north',
): 'now' | 'soon' | 'later' {
  const [month, day, days] = STARTS[hemisphere === 'north' ? season : OPPOSITE[season]];
  const year = new Date(now).getUTCFullYear();
  // A season may have begun last year, or begin early next year.
  const starts = [year - 1, year, year + 1].map((each) => Date.UTC(each, month - 1, day));
  if (starts.some((start) => now >= start && now < start + days * DAY)) return 'now';
  return starts.some((start) => start > now && start - now <= AHEAD_DAYS * DAY) ? 'soon' : 'later';
}

/** Whether a thing is out of season: for a season that is neither here nor near. */
export function outOfSeason(facts: Facts, now: number, hemisphere?: Hemisphere): boolean {
  const season = seasonOf(facts);
  return season !== null && seasonState(season, now, hemisphere) === 'later';
}
