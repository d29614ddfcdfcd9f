import type { Facts } from '../stash/facts';
import type { UnusedWhy } from '../stash/standing';
import { isUnused } from '../stock/usage';
import { idleDays, inPeace, type StockHistory } from '../stash/idle';

/** Why a thing was never used: what the person says, else whether it was ever opened. */
export interface Unused<T> {
  readonly item: T;
  readonly why: UnusedWhy | 'never opened' | 'opened, not used';
  readonly days: number;
}

/** Things come into question only after this long: a purchase deserves a season. */
const SETTLED_DAYS = 90;

const whyOf = ({ whyUnused, openedOn }: Facts): Unused<unknown>['why'] =>
  whyUnused ?? (openedOn ? 'opened, not used' : 'never opened');

/** What is owned and was never used, the longest owned first. A collection is left in peace. */
export function neverUsed<T extends StockHistory & { readonly id: string }>(
  items: readonly T[],
  now: number,
): Unused<T>[] {
  return items
    .filter((item) => isUnused(item) && !inPeace(item))
    .map((item) => ({ item, why: whyOf(item.facts), days: Math.floor(idleDays(item, now)) }))
    .filter(({ days }) => days >= SETTLED_DAYS)
    .sort((p, q) => q.days - p.days || (p.item.id < q.item.id ? -1 : 1));
}
