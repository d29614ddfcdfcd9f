import {
  byMonthAndKind,
  inStash,
  KINDS,
  lastMonths,
  pooledRates,
  standing,
  valueLeft,
  type Bought,
} from '@red-shelf/core';
import type { FiguresView } from '@red-shelf/contract';
import { boughtIn } from '../db/useRepository';
import { stashList, type Context } from './context';
import { useDigest } from './useDigest';

const MONTHS = 12;

/** What was bought and used month by month, and what is left is worth; what was let go counts in the months it was there. */
export async function figuresNow(context: Context): Promise<FiguresView> {
  const usesOf = await useDigest(context.store).read();
  const [supplies, told] = await Promise.all([stashList(context).all(), boughtIn(context.store.read)]);
  const bought = new Map<string, Bought[]>();
  for (const { act, supplyId, at, amount, price } of standing(told))
    if (act === 'buy') bought.set(supplyId, [...(bought.get(supplyId) ?? []), { at, amount, price }]);
  const boughtOf = (id: string): readonly Bought[] => bought.get(id) ?? [];
  const months = lastMonths(context.ports.now(), MONTHS);
  return {
    months: byMonthAndKind(supplies, months, KINDS, ({ id }) => ({
      bought: boughtOf(id),
      used: usesOf(id),
    })),
    rates: pooledRates(supplies, usesOf, context.ports.now()).map(({ perDay, ...rate }) => ({
      ...rate,
      perDay: perDay.value,
    })),
    worth: supplies.filter(inStash).flatMap((supply) => {
      const worth = valueLeft(supply, boughtOf(supply.id));
      return worth ? [{ supplyId: supply.id, ...worth }] : [];
    }),
  };
}
