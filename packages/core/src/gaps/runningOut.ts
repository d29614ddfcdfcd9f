import { formFor } from '../stash/formFor';
import { DAY, idleDays, type StockHistory } from '../stash/idle';
import { forecastRunOut, type RunsOut } from '../stock/forecast';
import type { Use } from '../stock/rate';
import { leftInAll } from '../stock/leftInAll';
import { restockOf } from '../stock/restock';
import type { Stock } from '../stock/stock';
import { useOf } from '../stock/usage';
import { byText } from '../text/byText';

/** A supply as it is asked whether it runs out. */
export type Running = StockHistory & { readonly id: string; readonly stock: Stock };

/** What is to be done about something that is low or out. */
export type RunningAdvice =
  /** `amount` in what one buys by: things, sheets, pieces, µm. `bigger`: it goes steadily, so more than usual. */
  | { readonly do: 'buy'; readonly amount: number; readonly bigger: boolean }
  /** It cannot be bought again: what is left is to be spared. */
  | { readonly do: 'spare' }
  /** Used up long ago: wanted again? */
  | { readonly do: 'ask' }
  /** Tried and left: it is low, and nobody misses it. */
  | { readonly do: 'leave' };

export interface RunningRow<T> {
  readonly item: T;
  /** `kept`: what planned projects and kits leave free is low. */
  readonly state: 'out' | 'low' | 'soon' | 'kept';
  readonly runsOut: RunsOut | null;
  readonly advice: RunningAdvice;
}

/** What is used up so soon is told before it is low, days. */
const SOON_DAYS = 45;
/** A purchase that lasts less than this was used up after steady use, days. */
const QUICK_DAYS = 120;
/** A larger pack is to last so long, days; and is at most so many usual ones. */
const LASTING_DAYS = 180;
const MOST_PACKS = 6;
/** Not used for so long: whether it is wanted again is a question. */
const LONG_AGO_DAYS = 365;
/** A rate that rests on fewer uses is no habit. */
const LEAST_USES = 5;

/**
 * Whether one thing is out, low or will be within six weeks at the pace it goes, or is low once planned projects had what they keep
 * (`kept`, in its own unit); null where it is not. `now` is ms since 1970.
 */
export function runningRow<T extends Running>(
  item: T,
  uses: readonly Use[],
  now: number,
  kept = 0,
): RunningRow<T> | null {
  const restock = restockOf(item);
  if (restock === 'silent') return null;
  const inAll = leftInAll(item);
  const free = Math.max(0, inAll - kept);
  const short = item.stock.state === 'ok' && kept > 0 && free <= formFor(item).lowAt;
  const state = short ? 'kept' : item.stock.state;
  const left = kept > 0 ? free : inAll;
  const since = item.facts.acquiredOn ?? item.createdAt;
  // Only what may run out within sight is worked out to the end.
  const days = Math.max(1, (now - Date.parse(since)) / DAY);
  const used = uses.reduce((sum, { amount }) => sum + amount, 0);
  if (state === 'ok' && !(used > 0 && left / (used / days) < 6 * SOON_DAYS)) return null;
  const { perDay, runsOut } = forecastRunOut(uses, left, new Date(now).toISOString(), { since });
  const soon = runsOut !== null && Date.parse(runsOut.median) - now < SOON_DAYS * DAY;
  if (state === 'ok' && !(soon && uses.length >= LEAST_USES)) return null;
  const advice: RunningAdvice =
    restock === 'spare'
      ? { do: 'spare' }
      : adviceFor(item, { left, uses: uses.length, perDay: perDay.value, planned: short }, now);
  return {
    item,
    state: state === 'ok' ? 'soon' : state,
    runsOut: inAll > 0 ? runsOut : null,
    advice,
  };
}

const RANK = { out: 0, low: 1, soon: 1, kept: 1 } as const;
const when = ({ runsOut }: RunningRow<unknown>): string => runsOut?.median ?? '9999';

/** What is out first, then what is used up the soonest, then what is used most. */
export const soonestFirst = <T extends Running>(p: RunningRow<T>, q: RunningRow<T>): number =>
  RANK[p.state] - RANK[q.state] ||
  byText(when(p), when(q)) ||
  useOf(q.item) - useOf(p.item) ||
  byText(p.item.id, q.item.id);

/**
 * What is out, low, or will be within six weeks at the pace it goes: out first, then the soonest. Used up after steady use asks for
 * more than the usual purchase; used up long ago asks whether it is wanted at all; low and left for a year asks for nothing. `usesOf`
 * gives what was used of a thing; `now` is ms since 1970. Linear in the uses.
 */
export const runningOut = <T extends Running>(
  items: readonly T[],
  usesOf: (id: string) => readonly Use[],
  now: number,
): RunningRow<T>[] =>
  items.flatMap((item) => runningRow(item, usesOf(item.id), now) ?? []).sort(soonestFirst);

interface Pace {
  readonly left: number;
  readonly uses: number;
  readonly perDay: number;
  /** A project wants it: it is not forgotten. */
  readonly planned: boolean;
}

function adviceFor(item: Running, { left, uses, perDay, planned }: Pace, now: number): RunningAdvice {
  const { counting, usesPerFill = 1, usualPurchase } = formFor(item);
  const { par } = item.facts;
  // A staple is kept at its par, whatever its pace.
  if (par !== undefined && par > left) {
    const needed = counting === 'fill' ? Math.ceil((par - left) / usesPerFill) : par - left;
    const amount = usualPurchase * Math.ceil(needed / usualPurchase);
    return { do: 'buy', amount, bigger: false };
  }
  const longAgo = !planned && idleDays(item, now) > LONG_AGO_DAYS;
  if (longAgo && left > 0) return { do: 'leave' };
  if (longAgo) return { do: 'ask' };
  const each = counting === 'fill' ? usualPurchase * usesPerFill : usualPurchase;
  const steady = uses >= LEAST_USES && perDay > 0 && each / perDay < QUICK_DAYS;
  const packs = steady ? Math.min(MOST_PACKS, Math.max(2, Math.ceil((perDay * LASTING_DAYS) / each))) : 1;
  return { do: 'buy', amount: packs * usualPurchase, bigger: packs > 1 };
}
