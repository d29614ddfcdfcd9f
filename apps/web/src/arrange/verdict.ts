import type { ArrangePreview } from '@red-shelf/contract';
import { many } from '../copy/words';

/** Seconds one thing takes to lift, carry and set down; the person's own pace will replace it. */
const SECONDS_A_MOVE = 12;

/** Whether it is worth the evening, in a sentence or two. */
export function sayVerdict({ before, after, moves, leftOver }: ArrangePreview): {
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
  const calmer = before.figures.familyBreaks - after.figures.familyBreaks;
  if (gained > 0) return { head: `${many(gained, 'thing')} more in place.`, body: `${work} ${left}` };
  if (gained < 0) return { head: `${many(-gained, 'thing')} fewer in place.`, body: `${work} ${left}` };
  if (calmer > 0) return { head: 'Easier to find things.', body: `${work} ${left}` };
  return { head: 'Little to gain.', body: `The families stand together as well now. ${work} ${left}` };
}
