import type { Happening } from '../stock/event';
import { standing } from '../stock/fold';

/** Whether a pad or pack kept whole should be broken up, and from what that follows. */
export interface BreakUpAdvice {
  readonly advice: 'break up' | 'keep whole' | 'too early to say';
  readonly singles: number;
  readonly recent: number;
}

const RECENT = 6;
const ENOUGH = 3;
const MOSTLY = 2 / 3;

/** Sheets taken within this of one another were taken for one thing that was made. */
const SITTING_MS = 3 * 3_600_000;

/** Sheets taken in each sitting, the oldest first: six taps in an evening are six sheets together. */
function sittings(events: readonly (Happening & { readonly id: string; readonly at: string })[]): number[] {
  const taken: { sheets: number; last: number }[] = [];
  for (const event of standing(events)) {
    const sheets =
      event.act === 'cut' ? event.sheets : event.act === 'use' && event.of === 'whole' ? event.amount : 0;
    if (sheets === 0) continue;
    const at = Date.parse(event.at);
    const sitting = taken.at(-1);
    if (sitting && Math.abs(at - sitting.last) <= SITTING_MS) {
      sitting.sheets += sheets;
      sitting.last = at;
    } else taken.push({ sheets, last: at });
  }
  return taken.map(({ sheets }) => sheets);
}

/**
 * Held too long a pad hides what is in it; broken too early it loses its coordination. Of the last six sittings, two
 * thirds with a single sheet say: file the sheets by colour. Several sheets at a time say: keep it whole.
 * Events are a supply's, oldest first.
 */
export function breakUpAdvice(
  events: readonly (Happening & { readonly id: string; readonly at: string })[],
): BreakUpAdvice {
  const uses = sittings(events).slice(-RECENT);
  const singles = uses.filter((amount) => amount === 1).length;
  const advice =
    uses.length < ENOUGH ? 'too early to say' : singles >= uses.length * MOSTLY ? 'break up' : 'keep whole';
  return { advice, singles, recent: uses.length };
}
