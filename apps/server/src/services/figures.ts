import {
  byMonthAndKind,
  inStash,
  KINDS,
  lastMonths,
  poolsOf,
  rateOfPool,
  standing,
  valueLeft,
  type Bought,
} from '@red-shelf/core';
import type { FiguresView } from '@red-shelf/contract';
import { breathe } from '../db/tx';
import { boughtIn } from '../db/useRepository';
import { stashList, type Context } from './context';
import { keptOf } from './kept';
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
  const now = context.ports.now();
  const months = lastMonths(now, MONTHS);
  const keep = keptOf(context.store);
  const monthsOf: FiguresView['months'] = [];
  for (const kind of KINDS) {
    const own = supplies.filter((supply) => supply.kind === kind);
    monthsOf.push(
      ...keep(`months ${kind}`, [...months, ...own, ...own.map(({ id }) => usesOf(id))], () =>
        byMonthAndKind(own, months, [kind], ({ id }) => ({ bought: boughtOf(id), used: usesOf(id) })),
      ),
    );
    // The first time each takes a while; others are answered meanwhile.
    await breathe();
  }
  const rates: FiguresView['rates'] = [];
  for (const pool of poolsOf(supplies)) {
    const { kind, group, things } = pool;
    const of = [now.slice(0, 10), ...things, ...things.map(({ id }) => usesOf(id))];
    const { perDay, ...rate } = keep(`rate ${kind} ${group ?? ''}`, of, () => rateOfPool(pool, usesOf, now));
    rates.push({ ...rate, perDay: perDay.value });
    await breathe();
  }
  return {
    months: monthsOf,
    rates,
    worth: supplies.filter(inStash).flatMap((supply) => {
      const worth = valueLeft(supply, boughtOf(supply.id));
      return worth ? [{ supplyId: supply.id, ...worth }] : [];
    }),
  };
}
