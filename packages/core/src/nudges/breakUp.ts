import { standingEntries, type LedgerEntry } from '../stock/ledger';

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
 * Entries are a ledger's, oldest first.
 */
export function breakUpAdvice(entries: readonly LedgerEntry[]): BreakUpAdvice {
  const uses = standingEntries(entries)
    .filter(({ act, part }) => (act === 'use' || act === 'cut') && !part)
    .slice(-RECENT);
  const singles = uses.filter(({ amount }) => (amount ?? 0) === 1).length;
  const advice =
    uses.length < ENOUGH ? 'too early to say' : singles >= uses.length * MOSTLY ? 'break up' : 'keep whole';
  return { advice, singles, recent: uses.length };
}
