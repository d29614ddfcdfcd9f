import { DAY } from '../stash/idle';

/** A use as the ledger tells it: when (ISO 8601), and how much, in the thing's own unit. */
export interface Use {
  readonly at: string;
  readonly amount: number;
}

/** How fast something is used, and how well that is known. */
export interface Rate {
  /** Amount a day, the seasons taken out. */
  readonly perDay: number;
  /** How much goes at a time, as far as it makes waiting uncertain: variance over mean of what goes in a while. */
  readonly chunk: number;
  /** How many such times are known, the older ones less. */
  readonly known: number;
  /** How much more than usual goes at a time of the year; 1 where nothing is known of that. `time` is ms since 1970. */
  readonly seasonAt: (time: number) => number;
  readonly days: number;
  /** How likely it is, of one that goes on, to wait as long as this since the last use: by the waits there were. */
  readonly waits: number;
}

/** A use of so long ago says half as much of the next ones, days. */
const HALF_LIFE = 120;
/** What is seen of regularity is weighed against what single amounts say as if those were so many stretches more. */
const PRIOR = 1;
/** Stretches over which regularity is looked at, days; and so many of them at least. */
const STRETCHES = [28, 7] as const;
const LEAST_STRETCHES = 3;
/** Seasons are looked for in so many days, and weighed against none as if so many times had been seen evenly in each month. */
const SEASON_DAYS = 400;
const EVEN = 3;

const sum = (values: readonly number[]): number => values.reduce((all, each) => all + each, 0);

/**
 * The rate of use from what was used between `since` and `now` (ms since 1970). Null where nothing was. Linear.
 */
export function rateOf(uses: readonly Use[], since: number, now: number): Rate | null {
  const seen = uses
    .map(({ at, amount }) => ({ time: Date.parse(at), amount }))
    .filter(({ time, amount }) => time > since && time <= now && amount > 0);
  if (seen.length === 0) return null;
  const days = Math.max(1, (now - since) / DAY);
  const seasonAt = seasonsIn(seen, since, now, days);
  const flat = seen.map(({ time, amount }) => ({ time, amount: amount / seasonAt(time) }));
  const weight = (time: number): number => 0.5 ** ((now - time) / DAY / HALF_LIFE);
  const used = sum(flat.map(({ time, amount }) => amount * weight(time)));
  const squares = sum(flat.map(({ time, amount }) => amount * weight(time) ** 2));
  // The weights of all days, added up.
  const watched = (HALF_LIFE / Math.LN2) * (1 - 0.5 ** (days / HALF_LIFE));
  const single = sum(flat.map(({ amount }) => amount ** 2)) / sum(flat.map(({ amount }) => amount));
  const stretch = STRETCHES.find((each) => days >= each * LEAST_STRETCHES) ?? 1;
  const chunk = chunkOver(flat, stretch, now, days, single);
  return {
    perDay: used / watched,
    chunk,
    known: used ** 2 / squares / chunk,
    seasonAt,
    days,
    waits: waitsIn([since, ...seen.map(({ time }) => time)], now),
  };
}

/**
 * How likely it is, of one who goes on, to wait as long as this: by how many waits were as long, or by how much of all time one would
 * have waited so long already, whichever speaks for it more: some wait evenly, others long between days close together. One wait
 * longer than all there were is counted, too; beyond that it is not one who goes on.
 */
function waitsIn(times: readonly number[], now: number): number {
  const sorted = [...times].sort((a, b) => a - b);
  const waits = sorted.slice(1).map((time, i) => time - (sorted[i] ?? time));
  const last = (now - (sorted.at(-1) ?? now)) / LATE;
  const all = [...waits, LONGER * Math.max(DAY, ...waits)];
  const byCount = all.filter((wait) => wait >= last).length / all.length;
  const byTime = sum(all.map((wait) => Math.max(0, wait - last))) / sum(all);
  return Math.max(byCount, byTime);
}
const LONGER = 2;
/** So much later than ever is nothing special. */
const LATE = 1.5;

interface Seen {
  readonly time: number;
  readonly amount: number;
}

/** Variance over mean of what goes in stretches of so many days, with what single amounts say where little is known. */
function chunkOver(
  seen: readonly Seen[],
  stretch: number,
  now: number,
  days: number,
  single: number,
): number {
  const count = Math.floor(days / stretch);
  if (count < LEAST_STRETCHES) return single;
  const totals = Array<number>(count).fill(0);
  for (const { time, amount } of seen) {
    const at = Math.floor((now - time) / DAY / stretch);
    if (at < count) totals[at] = (totals[at] ?? 0) + amount;
  }
  const mean = sum(totals) / count;
  if (mean === 0) return single;
  const variance = sum(totals.map((total) => (total - mean) ** 2)) / (count - 1);
  return ((variance / mean) * count + single * PRIOR) / (count + PRIOR);
}

/** How much goes in each month against the mean, where more than a year was watched. */
function seasonsIn(
  seen: readonly Seen[],
  since: number,
  now: number,
  days: number,
): (time: number) => number {
  if (days < SEASON_DAYS) return () => 1;
  const monthOf = (time: number): number => new Date(time).getUTCMonth();
  const watched = Array<number>(12).fill(0);
  for (let from = since; from < now;) {
    const date = new Date(from);
    const next = Math.min(now, Date.UTC(date.getUTCFullYear(), date.getUTCMonth() + 1, 1));
    watched[date.getUTCMonth()] = (watched[date.getUTCMonth()] ?? 0) + (next - from) / DAY;
    from = next;
  }
  const used = Array<number>(12).fill(0);
  for (const { time, amount } of seen) used[monthOf(time)] = (used[monthOf(time)] ?? 0) + amount;
  const perDay = sum(used) / sum(watched);
  const each = sum(seen.map(({ amount }) => amount ** 2)) / sum(seen.map(({ amount }) => amount));
  const prior = EVEN * each;
  const raw = used.map((amount, month) => (amount + prior) / ((watched[month] ?? 0) * perDay + prior));
  // A month is like those beside it.
  const smooth = raw.map((own, m) => (own * 2 + (raw[(m + 11) % 12] ?? 1) + (raw[(m + 1) % 12] ?? 1)) / 4);
  const mean = sum(smooth) / 12;
  return (time) => (smooth[monthOf(time)] ?? 1) / mean;
}

/** Days until so much of evenly spread use has gone by, from `now`, through the seasons; Infinity beyond `most` days. */
export function throughSeasons({ seasonAt }: Rate, evenDays: number, now: number, most: number): number {
  let left = evenDays;
  for (let day = 0; day < most; day++) {
    const share = seasonAt(now + day * DAY);
    if (share >= left) return day + left / share;
    left -= share;
  }
  return Infinity;
}
