/** Words a supply's facts are chosen from. */

/** Where a supply stands in its life. `trial` has a date to decide; `gone` keeps its history. */
export const STATUSES = ['trial', 'current', 'retired', 'irreplaceable', 'leaving', 'gone'] as const;
export type Status = (typeof STATUSES)[number];
/** What it is good enough for. */
export const GRADES = ['best', 'practice', 'children', 'give away'] as const;
export type Grade = (typeof GRADES)[number];

/** What a person says of a thing they never used. */
export const UNUSED_WHY = ['not learned yet', 'do not like it', 'saving it'] as const;
export type UnusedWhy = (typeof UNUSED_WHY)[number];
