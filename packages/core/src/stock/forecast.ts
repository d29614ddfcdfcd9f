import type { Estimate } from '../measure/estimate';
import { normalQuantile, quantileOfF } from '../measure/quantiles';
import { DAY } from '../stash/idle';
import { rateOf, throughSeasons, type Rate, type Use } from './rate';

/** When something runs out: days (ISO), and a range that holds in four of five cases. */
export interface RunsOut {
  readonly median: string;
  readonly low: string;
  readonly high: string;
}
export interface RunOut {
  /** Amount a day. */
  readonly perDay: Estimate;
  /** Null where it is not in sight. */
  readonly runsOut: RunsOut | null;
  /** What it rests on, in a few words. */
  readonly basis: string;
}
export interface RunOutOptions {
  /** Since when uses are written down (ISO 8601); the first use where left out, which then only begins the watching. */
  readonly since?: string;
}

/** Four of five. */
const TENTH = 0.1;
/** Farther away is not in sight, days. */
const HORIZON = 3652;
/** How far a rate wanders in a year, as a share of itself (standard deviation): habits change. */
const WANDERS = 0.22;
/** That nothing more is used at all, before anything is known. */
const STOPS = 0.02;
const HALF = 0.5;
const DAYS_A_YEAR = 365.25;

/**
 * When `left` is used up, from a history of uses (amounts in the thing's own unit, ISO 8601 times). How much goes in a while is taken
 * as a number of chunks that come at a rate which is known only as well as it was watched; the time to the k-th of them is
 * distributed as Fisher's F (2k and 2a degrees of freedom, a chunks known). Old uses count less; a rate wanders; seasons count where
 * more than a year was seen; and the longer nothing was used against how often it was, the likelier is it that it is used no more.
 * `now` is ISO 8601. Throws RangeError for a time that is none, an amount below nothing, or `left` below nothing. Linear in the history.
 */
export function forecastRunOut(
  history: readonly Use[],
  left: number,
  now: string,
  options: RunOutOptions = {},
): RunOut {
  const at = timeOf(now);
  if (!(left >= 0)) throw new RangeError(`What is left is ${left}; it must be nothing or more.`);
  for (const { amount } of history)
    if (!(amount >= 0)) throw new RangeError(`A use of ${amount} is none; it must be nothing or more.`);
  const times = history.map((use) => timeOf(use.at)).filter((time) => time <= at);
  const since =
    options.since === undefined ? times.reduce((a, b) => Math.min(a, b), Infinity) : timeOf(options.since);
  const rate = Number.isFinite(since) ? rateOf(history, since, at) : null;
  if (left === 0) {
    const today = new Date(at).toISOString().slice(0, 10);
    return {
      perDay: perDayOf(rate),
      runsOut: { median: today, low: today, high: today },
      basis: 'nothing is left',
    };
  }
  if (!rate) return { perDay: perDayOf(null), runsOut: null, basis: 'not used since it is watched' };
  return { perDay: perDayOf(rate), runsOut: runsOutOf(rate, left, at), basis: basisOf(rate) };
}

function timeOf(text: string): number {
  const time = Date.parse(text);
  if (Number.isNaN(time)) throw new RangeError(`“${text}” is no time; write it as 2026-05-31.`);
  return time;
}

/** How many chunks are known of a rate that goes on for so many days, since it wanders meanwhile. */
const knownOver = ({ known }: Rate, days: number): number =>
  1 / (1 / (known + HALF) + (WANDERS ** 2 * days) / DAYS_A_YEAR);

/** How likely it is that nothing more is used: nothing was for so long that one who goes on would hardly have waited. */
const stopped = ({ waits }: Rate): number => STOPS / (STOPS + (1 - STOPS) * waits);

function runsOutOf(rate: Rate, left: number, now: number): RunsOut | null {
  const { perDay, chunk } = rate;
  const k = left / chunk + HALF;
  const middle = left / perDay;
  const a = knownOver(rate, middle);
  const gone = stopped(rate);
  const dayOf = (p: number): number => {
    const within = p / (1 - gone);
    if (within >= 1) return Infinity;
    const even = middle * quantileOfF(2 * k, 2 * a, normalQuantile(within));
    return throughSeasons(rate, even, now, HORIZON);
  };
  const median = dayOf(0.5);
  if (median > HORIZON) return null;
  const iso = (days: number): string =>
    new Date(now + Math.min(days, HORIZON) * DAY).toISOString().slice(0, 10);
  return { median: iso(median), low: iso(dayOf(TENTH)), high: iso(dayOf(1 - TENTH)) };
}

function perDayOf(rate: Rate | null): Estimate {
  const source = 'uses written down, the older ones less; four of five';
  if (!rate) return { value: 0, low: 0, high: 0, source };
  const a = knownOver(rate, 0);
  // A rate of which so many are known is distributed as Gamma: 1/F of it with hardly anything to wait for.
  const part = (z: number): number => 1 / Math.max(1e-9, quantileOfF(1e6, 2 * a, z));
  const z = -normalQuantile(TENTH);
  return { value: rate.perDay, low: rate.perDay * part(z), high: rate.perDay * part(-z), source };
}

/** "steady enough to tell: watched for 120 days". */
function basisOf({ known, days }: Rate): string {
  const some =
    known < 3 ? 'hardly anything is known yet' : known < 10 ? 'little is known yet' : 'steady enough to tell';
  return `${some}: watched for ${Math.round(days)} days`;
}
