import type { FamilyGroup } from '../colour/families';
import { FAMILY_GROUPS } from '../colour/families';
import type { Purpose } from '../find/purposes';

/** How to lay a rainbow out. Where pink, brown and neutrals stand is the person's choice. */
export interface Scheme {
  /** Families in the order they stand; ones left out follow in default order. */
  readonly familyOrder: readonly FamilyGroup[];
  readonly lightness: 'light-first' | 'dark-first';
  /** Purposes in the order their sections stand; ones left out follow by name. */
  readonly purposes?: readonly Purpose[];
}

export const DEFAULT_SCHEME: Scheme = { familyOrder: FAMILY_GROUPS, lightness: 'light-first' };

/** Rank of every family under a scheme. */
export function familyRanks(scheme: Scheme): Readonly<Record<FamilyGroup, number>> {
  const all = [...new Set([...scheme.familyOrder, ...FAMILY_GROUPS])];
  return Object.fromEntries(all.map((group, rank) => [group, rank])) as Record<FamilyGroup, number>;
}
