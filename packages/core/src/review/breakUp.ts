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

/**
 * Held too long a pad hides what is in it; broken too early it loses its coordination. Of the last six uses, two
 * thirds single sheets say: file the sheets by colour. Several sheets at a time say: keep it whole.
 * Events are a supply's, oldest first.
 */
export function breakUpAdvice(events: readonly (Happening & { readonly id: string })[]): BreakUpAdvice {
  const uses = standing(events)
    .flatMap((event) => {
      if (event.act === 'cut') return [event.sheets];
      return event.act === 'use' && event.of === 'whole' ? [event.amount] : [];
    })
    .slice(-RECENT);
  const singles = uses.filter((amount) => amount === 1).length;
  const advice =
    uses.length < ENOUGH ? 'too early to say' : singles >= uses.length * MOSTLY ? 'break up' : 'keep whole';
  return { advice, singles, recent: uses.length };
}
