import type { SaidSupply } from '../stash/supply';
import type { Kind } from '../kinds/definition';

/** A supply as a person describes it, checked but not yet in the stash. */
export type SupplyDraft = SaidSupply;

/** What there is of it on the shelf, in ledger units. */
export interface OpeningCount {
  readonly items: number;
  readonly left: number;
}

/** What a list says of a supply beside what it is and how much there is. */
export interface Beside {
  /** Where it is, as printed on labels; empty where it has no place. */
  readonly place?: string;
  /** How it is spread, where one lot of whole things is not all there is. */
  readonly lots?: string;
  /** What is put aside of it, as a list says it. */
  readonly aside?: string;
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
