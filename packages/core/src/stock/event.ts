import type { LotAs } from '../kinds/definition';
import type { FlatSize } from '../stash/holding';
import type { Spot } from '../stash/spot';

/** What can happen. `undo` cancels an earlier event; an undo can itself be undone. */
export const ACTS = ['count', 'use', 'buy', 'refill', 'discard', 'open', 'cut', 'move', 'undo'] as const;
export type Act = (typeof ACTS)[number];

/**
 * What an event does to one lot. `by`: things and what is left in them change by so much, never below nothing. `to`: they
 * become exactly that (a count). `full`: things come full, or, where none come, those there are filled up.
 */
export interface Posting {
  readonly holdingId: string;
  readonly items: number;
  readonly left: number;
  readonly how: 'by' | 'to' | 'full';
}

/** A lot that changed its place. */
export interface Shift {
  readonly holdingId: string;
  readonly from: Spot | null;
  readonly to: Spot | null;
}

export interface Price {
  readonly minor: number;
  readonly currency: string;
}
/** Weighed before and after filling, mg. */
export interface Weights {
  readonly beforeMg: number;
  readonly afterMg: number;
}

/** Bases or scraps of one size that came out of a cut. */
export interface CutPiece {
  readonly as: 'base' | 'scrap';
  readonly items: number;
  readonly sizeUm: FlatSize;
}

/** What happened, in the act's own words. Amounts are uses, sheets, pieces or µm; of packs, bases and scraps, how many. */
export type Happening =
  | { readonly act: 'count'; readonly of: LotAs; readonly items: number; readonly left: number }
  /** `project`: what it was put aside for, or the kit it was kept for. */
  | { readonly act: 'use'; readonly of: LotAs; readonly amount: number; readonly project?: string }
  /** Amount in things of a `fill` form, else as above. */
  | { readonly act: 'buy'; readonly of: LotAs; readonly amount: number; readonly price?: Price }
  | { readonly act: 'discard'; readonly of: LotAs; readonly amount: number }
  /** `from`: the supply it was filled from, and what that gave, in its own uses. */
  | {
      readonly act: 'refill';
      readonly from?: { readonly supplyId: string; readonly amount: number };
      readonly weights?: Weights;
    }
  | { readonly act: 'open'; readonly packs: number; readonly sheets: number }
  | {
      readonly act: 'cut';
      readonly sheets: number;
      readonly bases: number;
      readonly scraps: number;
      readonly baseSize?: FlatSize;
      readonly scrapSize?: FlatSize;
      /** Where they came out in several sizes: each of them; the counts are theirs. */
      readonly pieces?: readonly CutPiece[];
      /** Scraps cut up; no sheets then. */
      readonly fromScraps?: number;
      readonly project?: string;
    }
  | { readonly act: 'move' }
  | { readonly act: 'undo'; readonly undoes: string };

/** One line of the append-only ledger. */
export type StashEvent = {
  readonly id: string;
  /** The supply it is said of. */
  readonly supplyId: string;
  /** When it happened, UTC, ISO 8601. */
  readonly at: string;
  readonly postings: readonly Posting[];
  readonly shifts: readonly Shift[];
} & Happening;
