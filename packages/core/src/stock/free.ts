import type { Facts } from '../stash/facts';
import { reservedOf } from '../stash/facts';

/** A kit that keeps some of a supply to itself. */
export interface Held {
  readonly name: string;
  readonly amount: number;
}

/** What a kit holds: members of kits that stand whole. */
export interface HoldingKit {
  readonly name: string;
  readonly what: string;
  readonly dissolvedOn: string | null;
  readonly members: readonly { readonly supplyId: string; readonly amount: number }[];
}

/** Which kits hold which supplies back, by supply. Packs and collections are memories of a purchase and hold nothing. */
export function heldByKits(groups: readonly HoldingKit[]): Map<string, Held[]> {
  const held = new Map<string, Held[]>();
  for (const { name, what, dissolvedOn, members } of groups) {
    if (what !== 'kit' || dissolvedOn !== null) continue;
    for (const { supplyId, amount } of members)
      if (amount > 0) held.set(supplyId, [...(held.get(supplyId) ?? []), { name, amount }]);
  }
  return held;
}

/** What of a supply is free to use: what is left, less what projects and kits hold back; never below nothing. */
export const freeOf = (left: number, facts: Facts, held: readonly Held[] = []): number =>
  Math.max(0, left - reservedOf(facts) - held.reduce((sum, { amount }) => sum + amount, 0));
