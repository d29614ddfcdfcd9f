import type { ArrangePreview } from '@red-shelf/contract';
import { asSingleLifts, type SortKey } from '@red-shelf/core';
import { many } from '../copy/words';

/** A mean step from one colour to the next that is smaller by so much is seen, ΔE (CIEDE2000). */
const CLEARLY_SMOOTHER = 2;

const PLURALS: Partial<Record<SortKey, string>> = { family: 'families', 'how often used': 'uses' };
/** What stands together, in the plural: "families", "makers". */
const groupsOf = (by: SortKey | null): string => (by === null ? 'groups' : (PLURALS[by] ?? `${by}s`));

/** What a break is called: where the family, or the maker, changes. */
export const breaksOf = (by: SortKey | null): string => `${by ?? 'group'} breaks`;

/** Seconds in words: "40 seconds", "12 minutes", "3 hours". */
function sayLong(seconds: number): string {
  if (seconds < 90) return many(Math.max(1, Math.round(seconds)), 'second');
  const minutes = Math.round(seconds / 60);
  return minutes < 120 ? many(minutes, 'minute') : many(Math.round(minutes / 60), 'hour');
}

/** What carrying it out takes, at this person's own pace, and what it saves in a year of looking; seconds. */
function costOf({ lifts, goes, pace, before, after, looksAYear }: ArrangePreview): {
  readonly takes: number;
  readonly saves: number;
} {
  const shorter = (before.figures.lookUp ?? 0) - (after.figures.lookUp ?? 0);
  return { takes: asSingleLifts(lifts, goes) * pace.seconds, saves: Math.max(0, shorter * looksAYear) };
}

/** Of racks that are filled as pictures: how much less things differ from their neighbours, ΔE; null of others. */
function calmerBy({ before, after }: ArrangePreview): number | null {
  const [now, then] = [before.figures.beside, after.figures.beside];
  return now === null || then === null ? null : now - then;
}

/** Whether within a year it gives back what it takes, or things find a place by it. */
export function isWorthIt(plan: ArrangePreview): boolean {
  if (plan.after.figures.placed > plan.before.figures.placed) return true;
  const calmer = calmerBy(plan);
  if (calmer !== null) return calmer >= CLEARLY_SMOOTHER;
  const { takes, saves } = costOf(plan);
  return saves >= takes;
}

/** Whether it is worth the evening, in a sentence or two. */
export function sayVerdict(plan: ArrangePreview): { head: string; body: string } {
  const { before, after, lifts, goes, leftOver, by, pace } = plan;
  if (lifts === 0)
    return { head: 'In order already.', body: 'Everything stands where this order would put it.' };
  const { takes, saves } = costOf(plan);
  const own = pace.lifts > 0 ? 'at your own pace' : `at ${pace.seconds} seconds each`;
  const inGoes = goes < lifts ? ` in ${many(goes, 'go', 'goes')}` : '';
  const work = `${many(lifts, 'lift')}${inGoes}, about ${sayLong(takes)} ${own}.`;
  const left =
    leftOver.length === 0
      ? 'Nothing is left over.'
      : `${many(leftOver.length, 'thing')} would be left over; see below.`;
  const gained = after.figures.placed - before.figures.placed;
  if (gained > 0) return { head: `${many(gained, 'thing')} more in place.`, body: `${work} ${left}` };
  const calmer = calmerBy(plan);
  if (calmer !== null) {
    const [now, then] = [before.figures.beside ?? 0, after.figures.beside ?? 0].map((step) =>
      step.toFixed(1),
    );
    const seen = `Neighbours beside and below one another would differ by ${then} on average, now ${now}`;
    return calmer >= CLEARLY_SMOOTHER
      ? { head: 'A calmer picture.', body: `${work} ${seen}. ${left}` }
      : { head: 'Leave it alone.', body: `${work} ${seen}: hardly to be seen. ${left}` };
  }
  const back = `Looking for things it gives back about ${sayLong(saves)} in a year.`;
  if (saves >= takes)
    return {
      head: gained < 0 ? `It pays, with ${many(-gained, 'thing')} fewer in place.` : 'Easier to find things.',
      body: `${work} ${back} ${left}`,
    };
  const short = `That is ${sayLong(takes - saves)} less than it takes.`;
  const smoother = (before.figures.meanStep ?? 0) - (after.figures.meanStep ?? 0);
  const quieter =
    smoother >= CLEARLY_SMOOTHER ? ' It would be calmer to look at, if that is what you want.' : '';
  const same =
    before.figures.breaks === after.figures.breaks ? ` The ${groupsOf(by)} stand together as well now.` : '';
  return { head: 'Leave it alone.', body: `${work} ${back} ${short}${same}${quieter} ${left}` };
}
