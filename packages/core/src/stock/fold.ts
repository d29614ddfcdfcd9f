import type { FormDefinition } from '../kinds/definition';
import type { Tally } from '../stash/holding';
import { sameSpot, type Spot } from '../stash/spot';
import type { Posting, StashEvent } from './event';

/** How a supply is counted: its form's rule, with what the person said of this one. */
export interface CountRule {
  readonly counting: FormDefinition['counting'];
  readonly usesPerFill: number;
  readonly lowAt: number;
}

/** How a form is counted; of one supply, give its own (`formFor`). */
export const countRuleOf = ({ counting, usesPerFill = 1, lowAt }: FormDefinition): CountRule => ({
  counting,
  usesPerFill: counting === 'fill' ? usesPerFill : 1,
  lowAt,
});

/** Changes whenever the same events would add up to something else, so that kept tallies are made anew. */
export const FOLD_VERSION = 1;

/** What a supply's events add up to. */
export interface Folded {
  /** By lot. */
  readonly tallies: ReadonlyMap<string, Tally>;
  /** Times it was used or cut. */
  readonly uses: number;
  /** How much was used in all, in the form's own unit; what a count found missing is use that nobody logged. */
  readonly used: number;
  readonly lastUsedAt: string | null;
  /** By event: what a count found missing. */
  readonly unlogged: ReadonlyMap<string, number>;
}

/** Events that count: those that no standing undo cancels. Undos are read newest first, so an undone undo cancels nothing. */
export function standing<E extends Pick<StashEvent, 'id' | 'act'> & { readonly undoes?: string }>(
  events: readonly E[],
): E[] {
  const cancelled = new Set<string>();
  for (const event of [...events].reverse())
    if (event.act === 'undo' && event.undoes && !cancelled.has(event.id)) cancelled.add(event.undoes);
  return events.filter((event) => event.act !== 'undo' && !cancelled.has(event.id));
}

const EMPTY: Tally = { items: 0, left: 0 };

/** Nobody has more; what adds up to more stays there, so that sums remain whole numbers. */
const MOST = 1e15;
const held = (amount: number): number => Math.min(MOST, Math.max(0, amount));

/**
 * A lot after one posting. Pads and markers wear down use by use and never below empty, since uses per fill is an
 * estimate; when one leaves, the emptiest goes first, so what is left shrinks only when the rest cannot hold it.
 */
function posted(was: Tally, { items, left, how }: Posting, whole: boolean, rule: CountRule): Tally {
  if (how === 'to') return { items, left };
  const fill = whole && rule.counting === 'fill';
  const now = { items: held(was.items + items), left: held(was.left + left) };
  if (!fill) return now;
  const room = now.items * rule.usesPerFill;
  if (how === 'full')
    return items > 0
      ? { ...now, left: held(now.left + items * rule.usesPerFill) }
      : { ...now, left: Math.max(now.left, room) };
  return items < 0 ? { ...now, left: Math.min(now.left, room) } : now;
}

/** What earlier events added up to; nothing when left out. */
const NOTHING: Omit<Folded, 'unlogged'> = { tallies: new Map(), uses: 0, used: 0, lastUsedAt: null };

/**
 * Adds a supply's events up, in the order they were recorded, to what earlier ones came to. `lots` says of its lots
 * whether they are whole things. Postings on lots of other supplies are passed over; a refill that takes from a lot of
 * this one is a use of it.
 */
export function foldEvents(
  events: readonly StashEvent[],
  supplyId: string,
  lots: ReadonlyMap<string, { readonly whole: boolean }>,
  rule: CountRule,
  start: Omit<Folded, 'unlogged'> = NOTHING,
): Folded {
  const tallies = new Map<string, Tally>([...lots.keys()].map((id) => [id, start.tallies.get(id) ?? EMPTY]));
  const unlogged = new Map<string, number>();
  let { uses, used, lastUsedAt } = start;
  for (const event of standing(events)) {
    let fewer = 0;
    for (const posting of event.postings) {
      const lot = lots.get(posting.holdingId);
      if (!lot) continue;
      const was = tallies.get(posting.holdingId) ?? EMPTY;
      const now = posted(was, posting, lot.whole, rule);
      tallies.set(posting.holdingId, now);
      if (event.act === 'count' && lot.whole) fewer += was.left - now.left;
    }
    const missing = Math.max(0, fewer);
    if (missing > 0) unlogged.set(event.id, missing);
    const use = useIn(event, supplyId);
    used = held(used + missing + (use ?? 0));
    if (use === null) continue;
    uses++;
    if (lastUsedAt === null || event.at > lastUsedAt) lastUsedAt = event.at;
  }
  return { tallies, uses, used, lastUsedAt, unlogged };
}

/** How much of a supply's whole things an event used; null where it was no use of it. */
function useIn(event: StashEvent, supplyId: string): number | null {
  const own = event.supplyId === supplyId;
  switch (event.act) {
    case 'use':
      return own ? (event.of === 'whole' ? event.amount : 0) : null;
    case 'cut':
      return own ? event.sheets : null;
    case 'refill':
      return event.from?.supplyId === supplyId ? event.from.amount : null;
    default:
      return null;
  }
}

/** Where lots are by the events alone: the last move of each, undone or not, since taking a move back is a move. */
export function foldSpots(events: readonly Pick<StashEvent, 'shifts'>[]): Map<string, Spot | null> {
  const spots = new Map<string, Spot | null>();
  for (const { shifts } of events) for (const { holdingId, to } of shifts) spots.set(holdingId, to);
  return spots;
}

/** A move that does not lead on from where the lot was: a sign that the ledger was tampered with. */
export const brokenShift = (events: readonly Pick<StashEvent, 'id' | 'shifts'>[]): string | null => {
  const spots = new Map<string, Spot | null>();
  for (const { id, shifts } of events)
    for (const { holdingId, from, to } of shifts) {
      if (!sameSpot(spots.get(holdingId) ?? null, from)) return id;
      spots.set(holdingId, to);
    }
  return null;
};
