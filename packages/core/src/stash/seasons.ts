import type { Facts } from './facts';
import { DAY } from './idle';

export const SEASONS = ['spring', 'summer', 'autumn', 'winter', 'holiday'] as const;
export type Season = (typeof SEASONS)[number];
export const HEMISPHERES = ['north', 'south'] as const;
export type Hemisphere = (typeof HEMISPHERES)[number];

type MonthDay = readonly [month: number, day: number];
/** Each season from its first day to the first day after it, as month and day; meteorological, northern. */
const SPANS: Readonly<Record<Season, { readonly from: MonthDay; readonly to: MonthDay }>> = {
  spring: { from: [3, 1], to: [6, 1] },
  summer: { from: [6, 1], to: [9, 1] },
  autumn: { from: [9, 1], to: [12, 1] },
  winter: { from: [12, 1], to: [3, 1] },
  holiday: { from: [11, 15], to: [1, 7] },
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
  const named = (word: unknown): Season | undefined =>
    SEASONS.find((season) => season === String(word).toLowerCase());
  return named(said) ?? tags.map(named).find((season) => season !== undefined) ?? null;
}

/** `now`: it is the season; `soon`: it begins within 30 days; `later`: neither. */
export function seasonState(
  season: Season,
  now: number,
  hemisphere: Hemisphere = 'north',
): 'now' | 'soon' | 'later' {
  const { from, to } = SPANS[hemisphere === 'north' ? season : OPPOSITE[season]];
  const dayIn = (year: number, [month, day]: MonthDay): number => Date.UTC(year, month - 1, day);
  const year = new Date(now).getUTCFullYear();
  // A season may have begun last year, or begin early next year.
  const spans = [year - 1, year, year + 1].map((each) => ({
    start: dayIn(each, from),
    end: dayIn(to[0] < from[0] ? each + 1 : each, to),
  }));
  if (spans.some(({ start, end }) => now >= start && now < end)) return 'now';
  return spans.some(({ start }) => start > now && start - now <= AHEAD_DAYS * DAY) ? 'soon' : 'later';
}

/** Whether a thing is out of season: for a season that is neither here nor near. */
export function outOfSeason(facts: Facts, now: number, hemisphere?: Hemisphere): boolean {
  const season = seasonOf(facts);
  return season !== null && seasonState(season, now, hemisphere) === 'later';
}
