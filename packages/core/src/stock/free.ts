import type { Counting } from '../kinds/definition';
import type { Posted } from './post';

/** A kit or a project that keeps some of a supply to itself. */
export interface Held {
  /** Its record. */
  readonly id: string;
  readonly what: Holds;
  readonly name: string;
  readonly amount: number;
}

/** What keeps something back: kits that stand whole and projects that are open. Packs, collections and palettes do not. */
const HOLDS = ['kit', 'project'] as const;
export type Holds = (typeof HOLDS)[number];
export const holdsBack = (what: string): what is Holds => (HOLDS as readonly string[]).includes(what);

/** What things were put together for, as far as it keeps some of them back. */
export interface HoldingGroup {
  readonly id: string;
  readonly name: string;
  readonly what: string;
  /** The day it was dissolved or closed; null while it stands. */
  readonly dissolvedOn: string | null;
  readonly members: readonly { readonly supplyId: string; readonly amount: number }[];
}

/** Which kits and projects hold which supplies back, by supply. */
export function heldByGroups(groups: readonly HoldingGroup[]): Map<string, Held[]> {
  const held = new Map<string, Held[]>();
  for (const { id, name, what, dissolvedOn, members } of groups) {
    if (!holdsBack(what) || dissolvedOn !== null) continue;
    for (const { supplyId, amount } of members)
      if (amount > 0) held.set(supplyId, [...(held.get(supplyId) ?? []), { id, what, name, amount }]);
  }
  return held;
}

/** What of a supply is free to use: what is left, less what projects and kits hold back; never below nothing. */
export const freeOf = (left: number, held: readonly Pick<Held, 'amount'>[]): number =>
  Math.max(0, left - held.reduce((sum, { amount }) => sum + amount, 0));

/** How much of a supply's whole things an act used; 0 where it used none. A remnant that is cut off a roll with what was used is not used. */
export const takenBy = (happening: Posted['happening'], counting: Counting): number => {
  if (happening.act === 'use') return happening.of === 'whole' ? happening.amount : 0;
  if (happening.act !== 'cut') return 0;
  if (counting !== 'length') return happening.sheets;
  const kept = (happening.pieces ?? []).reduce(
    (sum, { items, sizeUm }) => sum + items * Math.max(sizeUm.widthUm, sizeUm.heightUm),
    0,
  );
  return Math.max(0, happening.sheets - kept);
};

/** Members once some of one was used for what they are kept for: so much less is kept back. */
export const lessHeld = <M extends { readonly supplyId: string; readonly amount: number }>(
  members: readonly M[],
  supplyId: string,
  amount: number,
): M[] =>
  members.map((each) =>
    each.supplyId === supplyId ? { ...each, amount: Math.max(0, each.amount - amount) } : each,
  );

/** Members once more of a supply is kept back; one that was no member yet is then. */
export const moreHeld = <M extends { readonly supplyId: string; readonly amount: number }>(
  members: readonly M[],
  supplyId: string,
  amount: number,
): (M | { supplyId: string; amount: number })[] =>
  members.some((each) => each.supplyId === supplyId)
    ? members.map((each) => (each.supplyId === supplyId ? { ...each, amount: each.amount + amount } : each))
    : [...members, { supplyId, amount }];
