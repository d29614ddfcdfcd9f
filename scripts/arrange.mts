/**
 * Measures how well a rainbow is ordered, on colours drawn from an openly licensed list of names, and prints a line for each: how much
 * longer the smoothest path is than the least any path with whole families can have (Held–Karp), how long a plain sort by hue is
 * beside it, what lies between lightness and smoothness, how many things make room for each purchase, and how long a whole room takes. Figures are means over the
 * seeds it prints.
 *   npx tsx scripts/arrange.mts
 */
import { colornames } from 'color-name-list';
import { ciede2000, hueOf, labOf } from '../packages/core/src/colour/lab.ts';
import { familyGroupOf, type ColouredItem } from '../packages/core/src/arrange/order.ts';
import { rainbowOrder } from '../packages/core/src/arrange/rainbow.ts';
import { numbersFrom } from '../packages/core/src/arrange/smooth/numbers.ts';
import { twoWay } from '../packages/core/src/arrange/twoWay.ts';
import { leastRound } from './arrange/bound.mts';
import { grown } from './arrange/growth.mts';
import { exponentOf, timedRoom } from './arrange/room.mts';
import { sized } from './figures/size.mts';

const SEEDS = sized([1, 2, 3, 4, 5], [1]);
/** From family to family costs so much besides, so that there is one edge between each two. */
const HIGH = 500;
const NEVER = 1e5;

function drawn(count: number, seed: number): ColouredItem[] {
  const number = numbersFrom(seed);
  const left = colornames.map(({ hex }) => hex.toLowerCase());
  return Array.from({ length: count }, (_, i) => ({
    id: String(i),
    hex: left.splice(number() % left.length, 1)[0] ?? '#000000',
  }));
}
const apart = (a: ColouredItem, b: ColouredItem): number => ciede2000(labOf(a.hex), labOf(b.hex));
const lengthOf = (items: readonly ColouredItem[]): number =>
  items.slice(1).reduce((sum, item, i) => sum + apart(items[i] ?? item, item), 0);
const breaksOf = (items: readonly ColouredItem[]): number =>
  items.slice(1).filter((item, i) => familyGroupOf(item) !== familyGroupOf(items[i] ?? item)).length;

/** What no path with whole families in their order can be shorter than. */
function least(items: readonly ColouredItem[], found: number): number {
  const sorted = rainbowOrder(items);
  const groups = [...new Set(sorted.map(familyGroupOf))];
  const block = sorted.map((item) => groups.indexOf(familyGroupOf(item)));
  const n = items.length + 2;
  const cost = new Float64Array(n * n).fill(NEVER);
  const set = (i: number, j: number, value: number): void => {
    cost[i * n + j] = cost[j * n + i] = value;
  };
  sorted.forEach((item, i) => {
    for (let j = i + 1; j < sorted.length && block[j]! <= block[i]! + 1; j++)
      set(i, j, (block[i] === block[j] ? 0 : HIGH) + apart(item, sorted[j]!));
    if (block[i] === 0) set(n - 2, i, HIGH);
    if (block[i] === groups.length - 1) set(n - 1, i, HIGH);
  });
  set(n - 2, n - 1, 0);
  const edges = (groups.length + 1) * HIGH;
  return leastRound(n, cost, found + edges) - edges;
}

/** Kendall's tau of lightness inside families: 1 where every pair stands light to dark. */
function tauOf(items: readonly ColouredItem[]): number {
  let [agree, pairs] = [0, 0];
  items.forEach((a, i) => {
    for (const b of items.slice(i + 1)) {
      if (familyGroupOf(a) !== familyGroupOf(b)) continue;
      pairs++;
      agree += Math.sign(labOf(a.hex).l - labOf(b.hex).l);
    }
  });
  return agree / pairs;
}

/** What a thing and its neighbours to the right and below differ by, on average. */
function meanStep(row: readonly (ColouredItem | null)[], columns: number): number {
  const steps = row.flatMap((each, cell) => {
    const beside = [cell % columns < columns - 1 ? row[cell + 1] : null, row[cell + columns]];
    return each ? beside.flatMap((other) => (other ? [apart(each, other)] : [])) : [];
  });
  return mean(steps);
}
/** A long run works so much, in ms of a usual machine. */
const LONG_MS = sized(5000, 100);

const mean = (values: readonly number[]): number =>
  values.reduce((sum, each) => sum + each, 0) / values.length;
const say = (value: number): string => value.toFixed(3);

console.log(`smoothest, families whole (seeds ${SEEDS.join(', ')})`);
for (const count of sized([24, 60, 120, 240, 360, 1000], [24])) {
  const [bound, hue, ms, extra]: number[][] = [[], [], [], []];
  for (const seed of count > 500 ? SEEDS.slice(0, 2) : SEEDS) {
    const items = drawn(count, seed);
    const begun = performance.now();
    const smooth = rainbowOrder(items, { within: 'smooth' });
    ms!.push(performance.now() - begun);
    const found = lengthOf(smooth);
    bound!.push(found / least(items, found));
    hue!.push(found / lengthOf([...items].sort((a, b) => hueOf(labOf(a.hex)) - hueOf(labOf(b.hex)))));
    extra!.push(breaksOf(smooth) - (new Set(items.map(familyGroupOf)).size - 1));
  }
  console.log(
    `  ${count} colours: ${say(mean(bound!))} × the Held–Karp bound, ${say(mean(hue!))} × a sort by hue, ${Math.max(...extra!)} breaks too many, ${Math.max(...ms!).toFixed(0)} ms at most`,
  );
}
console.log(`between, half way (seeds ${SEEDS.join(', ')})`);
for (const count of sized([60, 120, 240, 360], [60])) {
  const [tau, ratio]: number[][] = [[], []];
  for (const seed of SEEDS) {
    const items = drawn(count, seed);
    const between = rainbowOrder(items, { within: { smooth: 0.5 } });
    tau!.push(tauOf(between));
    ratio!.push(lengthOf(between) / lengthOf(rainbowOrder(items, { within: 'smooth' })));
  }
  console.log(`  ${count} colours: tau ${say(mean(tau!))}, ${say(mean(ratio!))} × the smoothest path`);
}
console.log(`growing from 60% to 95% full, some families far faster (seeds ${SEEDS.join(', ')})`);
for (const spots of sized([120, 360], [60]))
  for (const tolerance of [0, 2]) {
    const runs = SEEDS.map((seed) => grown(spots, seed, tolerance));
    const sum = (what: 'moved' | 'still' | 'bought'): number =>
      runs.reduce((total, run) => total + run[what], 0);
    console.log(
      `  ${spots} spots${tolerance > 0 ? `, ${tolerance} places off will do` : ''}: ${(sum('moved') / sum('bought')).toFixed(2)} things moved over for each purchase, none for ${((100 * sum('still')) / sum('bought')).toFixed(0)}%`,
    );
  }
console.log(`as a picture, neighbours to the right and below (seeds ${SEEDS.slice(0, 3).join(', ')})`);
for (const [rows, columns] of sized<readonly (readonly [number, number])[]>(
  [
    [6, 10],
    [10, 12],
  ],
  [[3, 4]],
)) {
  const [long, byRow, ms]: number[][] = [[], [], []];
  for (const seed of SEEDS.slice(0, 3)) {
    const items = drawn(rows * columns - 3, seed);
    const begun = performance.now();
    const found = meanStep(twoWay(items, { rows, columns }), columns);
    ms!.push(performance.now() - begun);
    const longRuns = [1, 2].map((other) =>
      twoWay(items, { rows, columns }, { seed: other, budgetMs: LONG_MS, down: 0 }),
    );
    long!.push(found / Math.min(...longRuns.map((row) => meanStep(row, columns))));
    byRow!.push(found / meanStep(rainbowOrder(items, { within: 'smooth' }), columns));
  }
  console.log(
    `  ${rows} × ${columns}: ${say(mean(long!))} × the best of two long runs, ${say(mean(byRow!))} × the smoothest order row by row, ${Math.max(...ms!).toFixed(0)} ms at most`,
  );
}
console.log(
  'a whole room in places of every sort, one in ten put back wrongly (seed 7), ordered, placed and planned',
);
const rooms = [];
for (const count of sized([500, 1000, 2500, 5000, 10_000], [100, 200])) rooms.push(await timedRoom(count, 7));
for (const { count, units, lifts, leftOver, placing, lifting } of rooms)
  console.log(
    `  ${count} things, ${units} places: ${placing.toFixed(0)} ms to order and place, ${lifting.toFixed(0)} ms for ${lifts} lifts in walking order; ${leftOver} find no place`,
  );
const power = exponentOf(rooms.map(({ count, placing }) => ({ n: count, ms: placing })));
console.log(`  ordering and placing grow with the ${power.toFixed(2)}th power of the things (500 to 10,000)`);
