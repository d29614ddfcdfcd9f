import { packSizeOf } from '../stash/packSize';
import type { Supply } from '../stash/supply';
import type { Stock } from './stock';

/**
 * All there is of a supply, in its form's own unit (uses, sheets, pieces, µm): what is loose, and what is in packs that are still
 * closed. What is needed, free, kept at par and when it runs out is reckoned with this.
 */
export const leftInAll = (
  of: Pick<Supply, 'facts'> & { readonly stock: Pick<Stock, 'left'> & Partial<Pick<Stock, 'parts'>> },
): number => of.stock.left + (of.stock.parts?.pack ?? 0) * packSizeOf(of);
