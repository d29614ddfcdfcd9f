/**
 * How often the range in which something is said to run out holds the truth, and how wide it is, on made-up habits whose future is
 * simulated: steady, weekends only, seasonal over more than a year, bursty, rare, drifting, and one that stops. A range of four of five
 * should hold in 75 to 88 of a hundred over all and in 65 at least of each. Seeds are printed.
 *   npx tsx scripts/forecast.mts [first seed]
 */
import { randomStream } from '../apps/server/src/demo/random.ts';
import { forecastRunOut } from '../packages/core/src/stock/forecast.ts';
import { HABITS, stopping, type Habit } from './forecast/habits.mts';
import { sized } from './figures/size.mts';

const FIRST = Number(process.argv[2] ?? 1);
const RUNS = sized(600, 5);
const DAY = 86_400_000;
const START = Date.parse('2020-01-01T00:00:00Z');
const FAR = 3652;
const iso = (day: number): string => new Date(START + day * DAY).toISOString();

interface Outcome {
  readonly holds: boolean;
  readonly width: number | null;
  readonly off: number | null;
}

/** One person, asked on one day; what is left then lasts a while at the pace of the whole history. */
function once(
  habit: (asked: number) => Habit,
  days: (random: () => number) => number,
  seed: number,
): Outcome | null {
  const random = randomStream(seed);
  const asked = Math.round(days(random));
  const use = habit(asked)(random);
  const amounts = Array.from({ length: asked }, (_, day) => use(day));
  const total = amounts.reduce((sum, each) => sum + each, 0);
  const history = amounts.flatMap((amount, day) => (amount > 0 ? [{ at: iso(day), amount }] : []));
  if (history.length < 2) return null;
  const left = Math.max(1, Math.round((total / asked) * (10 + random() * 200)));
  let truth = Infinity;
  for (let [day, gone] = [asked, 0]; day < asked + FAR; day++) {
    gone += use(day);
    if (gone < left) continue;
    truth = day - asked;
    break;
  }
  const { runsOut } = forecastRunOut(history, left, iso(asked), { since: iso(0) });
  if (!runsOut) return { holds: truth > FAR / 2, width: null, off: null };
  const inDays = (text: string): number => (Date.parse(text) - START) / DAY - asked;
  const [low, median, high] = [inDays(runsOut.low), inDays(runsOut.median), inDays(runsOut.high)];
  const endless = high >= FAR - 1;
  return {
    holds: truth >= low - 1 && (truth <= high + 1 || endless),
    width: endless ? null : (high - low) / Math.max(1, median),
    off: truth === Infinity ? null : Math.abs(Math.log(Math.max(1, median) / Math.max(1, truth))),
  };
}

const median = (values: readonly number[]): number =>
  [...values].sort((a, b) => a - b)[values.length >> 1] ?? NaN;
const between = (low: number, high: number) => (random: () => number) => low + random() * (high - low);
const classes: [string, (asked: number) => Habit, (random: () => number) => number][] = [
  ...Object.entries(HABITS).map(([name, habit]): [string, () => Habit, (random: () => number) => number] => [
    name,
    () => habit,
    name === 'seasonal' ? between(420, 1000) : between(45, 700),
  ]),
  ['one that stops', (asked) => stopping(HABITS.steady!, asked), between(90, 700)],
];
console.log(`ranges of four of five (seeds ${FIRST} to ${FIRST + RUNS - 1})`);
const all: Outcome[] = [];
for (const [name, habit, days] of classes) {
  const outcomes = Array.from({ length: RUNS }, (_, i) => once(habit, days, (FIRST + i) * 7919)).flatMap(
    (each) => each ?? [],
  );
  all.push(...outcomes);
  print(name, outcomes);
}
print('all', all);
function print(name: string, outcomes: readonly Outcome[]): void {
  const held = outcomes.filter(({ holds }) => holds).length / outcomes.length;
  const widths = outcomes.flatMap(({ width }) => width ?? []);
  const offs = outcomes.flatMap(({ off }) => off ?? []);
  console.log(
    `  ${name}: holds in ${(100 * held).toFixed(0)}%, width ${median(widths).toFixed(2)} × the middle, middle off by ${(100 * (Math.exp(median(offs)) - 1)).toFixed(0)}%, no end said in ${(100 * (1 - widths.length / outcomes.length)).toFixed(0)}%`,
  );
}
