import type { Family } from '../colour/families';
import type { Finish } from '../colour/family';
import type { Kind } from '../kinds/definition';
import type { Facts } from '../stash/facts';

/** A supply as a person describes it, checked but not yet in the stash. */
export interface SupplyDraft {
  readonly kind: Kind;
  readonly form: string;
  readonly name: string;
  readonly maker: string;
  readonly range: string;
  readonly code: string;
  readonly hex: string;
  readonly finish: Finish;
  readonly familyOverride: Family | null;
  readonly familyReason: string;
  readonly note: string;
  readonly facts: Facts;
}

/** What there is of it on the shelf, in ledger units. */
export interface OpeningCount {
  readonly items: number;
  readonly left: number;
}

/** Longest texts a supply keeps. */
export const MOST_CHARACTERS = {
  name: 120,
  maker: 80,
  range: 80,
  code: 40,
  note: 2000,
  familyReason: 200,
} as const;
