import { formOf } from '../kinds/registry';
import type { Supply } from '../stash/supply';
import type { Stock } from './stock';

/** A supply as its spares are judged. */
export type Spared = Pick<Supply, 'kind' | 'form' | 'facts'> & {
  readonly stock: Pick<Stock, 'items' | 'left'> & Partial<Pick<Stock, 'parts'>>;
};

/** How many of a thing there are, against how many are meant. */
export interface Spares {
  /** Pads, bottles, pens; of what is sold by the pack or the roll, how many such purchases make up what is there. */
  readonly have: number;
  /** The one in use, and the spares that were said to be wanted. */
  readonly meant: number;
  /** One more would be too many. */
  readonly double: boolean;
}

/** Spares of a thing, unopened packs among them. A begun pack or roll counts as one. */
export function sparesOf({ kind, form, facts, stock }: Spared): Spares {
  const { counting, usualPurchase } = formOf(kind, form);
  const said = facts.attributes?.perPack;
  const each = typeof said === 'number' && said > 0 ? said : Math.max(1, usualPurchase);
  const open = counting === 'fill' ? stock.items : Math.ceil(stock.left / each);
  const have = open + (stock.parts?.pack ?? 0);
  const meant = 1 + (facts.spares ?? 0);
  return { have, meant, double: have >= meant };
}

/** Whether there are more than are meant. Sheets, pieces and metres are a stock, and too many only where spares were said. */
export const isTooMany = (item: Spared): boolean => {
  const { have, meant } = sparesOf(item);
  return (
    have > meant && (formOf(item.kind, item.form).counting === 'fill' || item.facts.spares !== undefined)
  );
};
