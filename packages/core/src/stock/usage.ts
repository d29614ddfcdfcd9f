import { formOf } from '../kinds/registry';
import type { Supply } from '../stash/supply';
import type { Stock } from './stock';

type Used = Pick<Supply, 'kind' | 'form'> & { readonly stock: Pick<Stock, 'uses' | 'used'> };

/**
 * How much a thing was used, to compare it with others: impressions, sheets, pieces, what a count found missing too; of
 * lengths how often something was cut from them, since a metre of ribbon is no thousand uses.
 */
export const useOf = ({ kind, form, stock: { uses, used } }: Used): number =>
  formOf(kind, form).counting === 'length' ? uses : Math.max(uses, used);

/** Whether nothing of a thing was ever used, as far as anybody knows. */
export const isUnused = ({
  stock: { uses, used },
}: {
  readonly stock: Pick<Stock, 'uses' | 'used'>;
}): boolean => uses === 0 && used === 0;

/** Low, or out already: what a person means who asks what is low. */
export const isLow = ({ state }: Pick<Stock, 'state'>): boolean => state !== 'ok';
