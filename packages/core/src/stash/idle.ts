import { inStash } from './standing';
import type { Supply } from './supply';

/** What is known of how a thing was used. Times are ISO 8601. */
export type StockHistory = Pick<Supply, 'kind' | 'form' | 'createdAt' | 'facts'> & {
  readonly stock: { readonly uses: number; readonly used: number; readonly lastUsedAt: string | null };
};

export const DAY = 86_400_000;
const IDLE_DAYS = 365;

const lastTimes = new WeakMap<StockHistory, number>();
/** When a thing was last used, or acquired; read once for a state of it. */
function lastTimeOf(item: StockHistory): number {
  const known = lastTimes.get(item);
  if (known !== undefined) return known;
  const time = Date.parse(item.stock.lastUsedAt ?? item.facts.acquiredOn ?? item.createdAt);
  lastTimes.set(item, time);
  return time;
}

/** Days since a thing was last used, or since it was acquired when it never was. `now` is ms since 1970. */
export const idleDays = (item: StockHistory, now: number): number => (now - lastTimeOf(item)) / DAY;

/** Left in peace: a collection, what cannot be replaced, and what is gone already. */
export const inPeace = ({ facts }: Pick<StockHistory, 'facts'>): boolean =>
  facts.collection === true || facts.status === 'irreplaceable' || !inStash({ facts });

/** Not used for a year, or never and here for a year; what is left in peace is never idle. */
export const isIdle = (item: StockHistory, now: number): boolean =>
  !inPeace(item) && idleDays(item, now) > IDLE_DAYS;
