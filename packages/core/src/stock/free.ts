import type { Facts } from '../stash/facts';
import { reservedOf } from '../stash/facts';
import { fold } from '../text/fold';
import type { Posted } from './post';

/** A kit that keeps some of a supply to itself. */
export interface Held {
  /** The kit's record. */
  readonly id: string;
  readonly name: string;
  readonly amount: number;
}

/** What a kit holds: members of kits that stand whole. */
export interface HoldingKit {
  readonly id: string;
  readonly name: string;
  readonly what: string;
  readonly dissolvedOn: string | null;
  readonly members: readonly { readonly supplyId: string; readonly amount: number }[];
}

/** Which kits hold which supplies back, by supply. Packs and collections are memories of a purchase and hold nothing. */
export function heldByKits(groups: readonly HoldingKit[]): Map<string, Held[]> {
  const held = new Map<string, Held[]>();
  for (const { id, name, what, dissolvedOn, members } of groups) {
    if (what !== 'kit' || dissolvedOn !== null) continue;
    for (const { supplyId, amount } of members)
      if (amount > 0) held.set(supplyId, [...(held.get(supplyId) ?? []), { id, name, amount }]);
  }
  return held;
}

/** What of a supply is free to use: what is left, less what projects and kits hold back; never below nothing. */
export const freeOf = (left: number, facts: Facts, held: readonly Held[] = []): number =>
  Math.max(0, left - reservedOf(facts) - held.reduce((sum, { amount }) => sum + amount, 0));

/** How much of a supply's whole things an act took; 0 where it took none. */
export const takenBy = (happening: Posted['happening']): number => {
  if (happening.act === 'use') return happening.of === 'whole' ? happening.amount : 0;
  return happening.act === 'cut' ? happening.sheets : 0;
};

/** Facts once some was used for a project: what was put aside for it is less by so much, and gone at nothing. */
export function afterSpending(facts: Facts, project: string, amount: number): Facts {
  let left = amount;
  const reserved = (facts.reserved ?? []).flatMap((each) => {
    if (fold(each.project) !== fold(project)) return [each];
    const taken = Math.min(left, each.amount);
    left -= taken;
    return taken < each.amount ? [{ ...each, amount: each.amount - taken }] : [];
  });
  return { ...facts, reserved };
}

/** A kit's members once some of one was used for it: it keeps so much less back. */
export const lessHeld = <M extends { readonly supplyId: string; readonly amount: number }>(
  members: readonly M[],
  supplyId: string,
  amount: number,
): M[] =>
  members.map((each) =>
    each.supplyId === supplyId ? { ...each, amount: Math.max(0, each.amount - amount) } : each,
  );
