import type { SaidDifference } from '../colour/sayDifference';
import type { Stock } from '../stock/stock';
import type { SearchSubject } from './subject';

/** A supply as the question "do I own it?" sees it: as the stash search does, with its stock. */
export type Owned = Omit<SearchSubject, 'stock' | 'addresses'> & {
  readonly stock: SearchSubject['stock'] & Pick<Stock, 'items' | 'left'> & Partial<Pick<Stock, 'parts'>>;
  readonly addresses?: readonly string[];
};

/** Why a supply answers the question. */
export type OwnReason =
  | { readonly sort: 'exact'; readonly by: 'name' | 'code' | 'barcode' | 'number' }
  /** It is all that was asked: its kind, colour, theme, maker, size, in whatever words. */
  | { readonly sort: 'words' }
  /** Its name is nearly, or in part, the one that was asked for. */
  | { readonly sort: 'near name' }
  /** `plain`: it was to be compared like with like, and has no swatch made that way. */
  | { readonly sort: 'near colour'; readonly difference: SaidDifference; readonly plain?: true };
export interface OwnAnswer<T> {
  readonly item: T;
  readonly reason: OwnReason;
}

/** Whether there is anything of it: loose, or in a pack that is still closed. */
export const isOwned = ({ stock }: Pick<Owned, 'stock'>): boolean =>
  stock.left > 0 || Object.values(stock.parts ?? {}).some((count) => count > 0);

/** Whether an answer is the very thing, and not only near it. */
export const isSame = ({ reason }: OwnAnswer<unknown>): boolean =>
  reason.sort === 'exact' ||
  reason.sort === 'words' ||
  (reason.sort === 'near colour' && reason.difference.step === 'same');
