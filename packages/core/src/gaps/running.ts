import type { Facts } from '../stash/facts';
import { inStash } from '../stash/standing';
import type { Supply } from '../stash/supply';
import { restockOf } from '../stock/restock';
import { useOf } from '../stock/usage';
import type { Stock } from '../stock/stock';

/** A supply as the gaps list sees it. */
export interface GapSubject extends Pick<Supply, 'id' | 'kind' | 'form'> {
  readonly facts: Pick<Facts, 'status' | 'collection' | 'grade'>;
  readonly stock: Stock;
  readonly placed: boolean;
}

export interface Gaps<T> {
  /** Nothing left, the most used first: those are worth buying again. */
  readonly out: readonly T[];
  /** Low, the most used first. */
  readonly low: readonly T[];
  /** In the stash but nowhere on the wall. */
  readonly unplaced: readonly T[];
}

/** What is missing: stock that is out or low, and things with no place. */
export function findGaps<T extends GapSubject>(all: readonly T[]): Gaps<T> {
  const here = all.filter(inStash);
  const supplies = here.filter((item) => restockOf(item) === 'buy');
  const mostUsed = (a: T, b: T): number => useOf(b) - useOf(a) || (a.id < b.id ? -1 : a.id > b.id ? 1 : 0);
  const inState = (state: Stock['state']): T[] =>
    supplies.filter((supply) => supply.stock.state === state).sort(mostUsed);
  return {
    out: inState('out'),
    low: inState('low'),
    unplaced: here.filter((supply) => !supply.placed),
  };
}
