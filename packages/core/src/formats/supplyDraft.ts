import type { SaidSupply } from '../stash/supply';
import type { Kind } from '../kinds/definition';

/** A supply as a person describes it, checked but not yet in the stash. */
export type SupplyDraft = SaidSupply;

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

/** What a cell is of: amounts are in the form's own unit. */
export interface Formed {
  readonly kind: Kind;
  readonly form: string;
  /** Of prices that name none. */
  readonly currency?: string | undefined;
}
