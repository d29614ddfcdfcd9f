import { PARTS, type LotAs, type Part } from '../kinds/definition';
import type { Tally } from '../stash/holding';
import type { CountRule, Folded } from './fold';

export type StockState = 'ok' | 'low' | 'out';

/** What there is of a supply, all its lots together. */
export interface Stock {
  /** Things on the shelf; for forms that are counted one by one the same as `left`, for lengths 1 or 0. */
  readonly items: number;
  /** Uses (fill), sheets, pieces or µm that are left. */
  readonly left: number;
  /** Unopened packs, cut bases and scraps, where there are any. */
  readonly parts: Readonly<Partial<Record<Part, number>>>;
  readonly state: StockState;
  /** Times it was used. */
  readonly uses: number;
  /** How much was used in all, in the form's own unit. */
  readonly used: number;
  readonly lastUsedAt: string | null;
}

const stateOf = (left: number, lowAt: number): StockState =>
  left <= 0 ? 'out' : left <= lowAt ? 'low' : 'ok';

/** Adds a supply's lots up. Unopened packs are stock too: with one in the drawer nothing is low. */
export function stockOf(
  lots: readonly (Tally & { readonly as: LotAs })[],
  { uses, used, lastUsedAt }: Pick<Folded, 'uses' | 'used' | 'lastUsedAt'>,
  { counting, lowAt }: Pick<CountRule, 'counting' | 'lowAt'>,
): Stock {
  let [items, left] = [0, 0];
  const counts: Partial<Record<Part, number>> = {};
  for (const lot of lots) {
    if (lot.as === 'whole') {
      items += lot.items;
      left += lot.left;
    } else if (lot.items > 0) counts[lot.as] = (counts[lot.as] ?? 0) + lot.items;
  }
  const parts = Object.fromEntries(PARTS.flatMap((part) => (counts[part] ? [[part, counts[part]]] : [])));
  const seen = counting === 'fill' ? items : counting === 'length' ? Math.min(1, left) : left;
  const state = counts.pack ? 'ok' : stateOf(left, lowAt);
  return { items: seen, left, parts, state, uses, used, lastUsedAt };
}
