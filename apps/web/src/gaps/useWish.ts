import { formOf } from '@red-shelf/core';
import { wishBody, type SupplyView, type WishBody } from '@red-shelf/contract';
import { useMemo } from 'react';
import { order, routes } from '../api/client';
import { recordsOf, useRecords } from '../api/queries';
import { useChange } from '../api/useChange';

/** A supply as something to buy. */
export const wishOf = (supply: SupplyView, amount: number, why: string): WishBody =>
  wishBody.parse({
    sort: 'wish',
    supplyId: supply.id,
    name: supply.name,
    kind: supply.kind,
    form: supply.form,
    maker: supply.maker,
    range: supply.range,
    code: supply.code,
    hex: supply.hex,
    amount,
    why,
    price: supply.facts.price,
  });

/** How much of a supply one usually buys. */
export const usualOf = ({ kind, form }: Pick<SupplyView, 'kind' | 'form'>): number =>
  formOf(kind, form).usualPurchase;

/** The shopping list, and putting something on it. */
export function useWishes() {
  const { data } = useRecords();
  const wishes = useMemo(() => recordsOf(data, 'wish'), [data]);
  const add = useChange((body: WishBody) => order(routes.addRecord, { body: { body } }));
  return { wishes, add };
}
