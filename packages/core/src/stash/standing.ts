/** Words a supply's facts are chosen from. */

/** Where a supply stands in its life. `trial` has a date to decide; `gone` keeps its history. */
export const STATUSES = ['trial', 'current', 'retired', 'irreplaceable', 'leaving', 'gone'] as const;
export type Status = (typeof STATUSES)[number];

/**
 * Whether a thing is in the stash: the one rule of what is counted, offered, placed, compared and asked for. What was let
 * go keeps its history, and nothing else.
 */
export const inStash = ({ facts }: { readonly facts: { readonly status?: Status | undefined } }): boolean =>
  facts.status !== 'gone';
/** What it is good enough for. */
export const GRADES = ['best', 'practice', 'children', 'give away'] as const;
export type Grade = (typeof GRADES)[number];

/** How a thing that is let go looks. */
export const CONDITIONS = ['as new', 'used a little', 'well used'] as const;

/** What a person says of a thing they never used. */
export const UNUSED_WHY = ['not learned yet', 'do not like it', 'saving it'] as const;
export type UnusedWhy = (typeof UNUSED_WHY)[number];
