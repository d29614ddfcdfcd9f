import type { Happening } from './event';
import { standing } from './fold';
import type { Use } from './rate';

/** An event as a history shows it; a count says what it found missing. */
export type Told = Happening & {
  readonly id: string;
  readonly supplyId: string;
  readonly at: string;
  readonly unlogged?: number | undefined;
};

/** What was used of a supply, from its history: said, cut, filled into something else, or found missing by a count. Undone is not. */
export function usesIn(history: readonly Told[], supplyId: string): Use[] {
  return standing(history).flatMap((event) => {
    const amount = amountOf(event, supplyId);
    return amount > 0 ? [{ at: event.at, amount }] : [];
  });
}

function amountOf(event: Told, supplyId: string): number {
  const own = event.supplyId === supplyId;
  switch (event.act) {
    case 'use':
      return own && event.of === 'whole' ? event.amount : 0;
    case 'cut':
      return own ? event.sheets : 0;
    case 'count':
      return own ? (event.unlogged ?? 0) : 0;
    case 'refill':
      return event.from?.supplyId === supplyId ? event.from.amount : 0;
    default:
      return 0;
  }
}
