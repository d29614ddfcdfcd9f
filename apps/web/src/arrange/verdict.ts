import type { ArrangePreview } from '@red-shelf/contract';
import type { SortKey } from '@red-shelf/core';
import { many } from '../copy/words';

/** Seconds one thing takes to lift, carry and set down; the person's own pace will replace it. */
const SECONDS_A_MOVE = 12;

/** A mean step from one colour to the next that is smaller by so much is seen, ΔE (CIEDE2000). */
const CLEARLY_SMOOTHER = 2;
/** A break fewer is worth about as many moves: more is an evening for nothing. */
const MOVES_FOR_A_BREAK = 12;

const PLURALS: Partial<Record<SortKey, string>> = { family: 'families', 'how often used': 'uses' };
/** What stands together, in the plural: "families", "makers". */
const groupsOf = (by: SortKey | null): string => (by === null ? 'groups' : (PLURALS[by] ?? `${by}s`));

/** What a break is called: where the family, or the maker, changes. */
export const breaksOf = (by: SortKey | null): string => `${by ?? 'group'} breaks`;

/** Whether it is worth the evening, in a sentence or two. */
export function sayVerdict({ before, after, moves, leftOver, by }: ArrangePreview): {
  head: string;
  body: string;
} {
  if (moves === 0)
    return { head: 'In order already.', body: 'Everything stands where this order would put it.' };
  const minutes = Math.max(1, Math.round((moves * SECONDS_A_MOVE) / 60));
  const work = `${many(moves, 'move')}, about ${many(minutes, 'minute')} at ${SECONDS_A_MOVE} seconds each.`;
  const left =
    leftOver.length === 0
      ? 'Nothing is left over.'
      : `${many(leftOver.length, 'thing')} would be left over; see below.`;
  const gained = after.figures.placed - before.figures.placed;
  const calmer = before.figures.breaks - after.figures.breaks;
  if (gained > 0) return { head: `${many(gained, 'thing')} more in place.`, body: `${work} ${left}` };
  if (gained < 0) return { head: `${many(-gained, 'thing')} fewer in place.`, body: `${work} ${left}` };
  const groups = groupsOf(by);
  if (calmer * MOVES_FOR_A_BREAK >= moves) return { head: 'Easier to find things.', body: `${work} ${left}` };
  if (calmer > 0)
    return {
      head: 'Little to gain.',
      body: `Only ${many(calmer, 'break')} between ${groups} fewer. ${work} ${left}`,
    };
  const smoother = (before.figures.meanStep ?? 0) - (after.figures.meanStep ?? 0);
  if (calmer === 0 && by === 'family' && smoother >= CLEARLY_SMOOTHER)
    return { head: 'Calmer to look at.', body: `The families stand together as well now. ${work} ${left}` };
  return { head: 'Little to gain.', body: `The ${groups} stand together as well now. ${work} ${left}` };
}
