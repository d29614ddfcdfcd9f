import { ciede2000 } from '../colour/lab';
import { keyed, makeRainbowOrder, type ColouredItem, type Keyed } from './order';
import { rateOf, type Rates } from './spreadRoom';

export interface InsertOptions<T = ColouredItem> {
  /** So many things may stand between where it is set and where it belongs. */
  readonly tolerance?: number;
  /** How fast families grow: of two ways that shift as much, room is taken from the slower. */
  readonly rates?: Rates;
  /** Another order than the rainbow, light to dark; or `smooth`: where the way through all colours grows least. */
  readonly order?: ((a: T, b: T) => number) | 'smooth';
}
export interface Insertion {
  /** Where it goes: an index into the run. */
  readonly spot: number;
  /** What moves over before, one after another, each into a spot that is open by then. */
  readonly shifts: readonly { readonly from: number; readonly to: number }[];
}

const inOrder = makeRainbowOrder();

/**
 * Where one thing goes in a run that stands in rainbow order (light to dark inside families), with the fewest others moved over: in an
 * open spot where it belongs, dividing it as the colours beside it do; else in one at most `tolerance` things away; else where it
 * belongs, the nearest open spot on one side being closed up by one step of each thing between. A run that is not quite in order is
 * taken where the fewest things stand on the wrong side. Linear. Throws RangeError for a run without an open spot.
 */
export function insertOne<T extends ColouredItem>(
  run: readonly (T | null)[],
  item: T,
  { tolerance = 0, rates = {}, order }: InsertOptions<T> = {},
): Insertion {
  if (!run.includes(null))
    throw new RangeError('The run is full: nothing can be set in it before something leaves.');
  const row = run.map((each) => each && keyed(each));
  const there = row.flatMap((each, at) => (each ? [{ at, each }] : []));
  const wanted = keyed(item);
  const rank = rankOf(
    there.map(({ each }) => each),
    wanted,
    order,
  );
  /** Open spots with how many things stand between each and where it belongs: behind `rank` of them. */
  let before = 0;
  const open = row.flatMap((each, at) => {
    if (each) before++;
    return each ? [] : [{ at, off: before - rank }];
  });
  const near = open.filter(({ off }) => Math.abs(off) <= tolerance);
  const closest = Math.min(...near.map(({ off }) => Math.abs(off)));
  const best = near.filter(({ off }) => Math.abs(off) === closest);
  if (best.length > 0)
    return { spot: middleOf(best, there[rank - 1]?.each, wanted, there[rank]?.each), shifts: [] };
  const left = open.filter(({ off }) => off < 0).at(-1);
  const right = open.find(({ off }) => off > 0);
  const costOf = (side: typeof left): number => (side ? Math.abs(side.off) : Infinity);
  const rate = (at: number): number => rateOf(rates, row[at]?.family ?? wanted.family);
  const goLeft =
    costOf(left) < costOf(right) ||
    (costOf(left) === costOf(right) && rate((left?.at ?? 0) + 1) <= rate((right?.at ?? 1) - 1));
  if (goLeft && left) return closeUp(left.at, there[rank - 1]?.at ?? 0, 1);
  return closeUp(right?.at ?? 0, there[rank]?.at ?? 0, -1);
}

/** Everything from an open spot to `last` moves one step over, and `last` is open then. */
function closeUp(open: number, last: number, step: 1 | -1): Insertion {
  const shifts: { from: number; to: number }[] = [];
  for (let to = open; to !== last; to += step) shifts.push({ from: to + step, to });
  return { spot: last, shifts };
}

/** Behind how many things it belongs. */
function rankOf<T>(
  there: readonly Keyed<T>[],
  wanted: Keyed<T>,
  order: InsertOptions<T>['order'] = undefined,
): number {
  if (order === 'smooth') return smoothRank(there, wanted);
  return order === undefined
    ? rankBy(there, wanted, inOrder)
    : rankBy(there, wanted, (a, b) => order(a.item, b.item));
}

/** So that the fewest stand on the wrong side of it. */
function rankBy<T>(
  there: readonly Keyed<T>[],
  wanted: Keyed<T>,
  order: (a: Keyed<T>, b: Keyed<T>) => number,
): number {
  const behind = there.map((each) => order(each, wanted) > 0);
  let wrong = behind.filter((later) => !later).length;
  let best = { rank: 0, wrong };
  behind.forEach((later, i) => {
    wrong += later ? 1 : -1;
    if (wrong < best.wrong) best = { rank: i + 1, wrong };
  });
  return best.rank;
}

/** Beside things of its family, where the way from one to the next grows least by it; else where the order of families has it. */
function smoothRank<T>(there: readonly Keyed<T>[], wanted: Keyed<T>): number {
  const apart = (a: Keyed<T> | undefined, b: Keyed<T> | undefined): number =>
    a && b ? ciede2000(a.lab, b.lab) : 0;
  let best: { rank: number; grows: number } | null = null;
  for (let rank = 0; rank <= there.length; rank++) {
    const [before, after] = [there[rank - 1], there[rank]];
    if (before?.family !== wanted.family && after?.family !== wanted.family) continue;
    const grows = apart(before, wanted) + apart(wanted, after) - apart(before, after);
    if (best === null || grows < best.grows) best = { rank, grows };
  }
  return best?.rank ?? rankBy(there, wanted, inOrder);
}

/** Of several open spots side by side, the one that divides them as its colour divides those beside it. */
function middleOf(
  spots: readonly { readonly at: number }[],
  before: Keyed<unknown> | undefined,
  wanted: Keyed<unknown>,
  after: Keyed<unknown> | undefined,
): number {
  const gap = (other: Keyed<unknown> | undefined): number =>
    other && other.family === wanted.family ? ciede2000(other.lab, wanted.lab) : FAR;
  const share = gap(before) / Math.max(gap(before) + gap(after), 1e-9);
  return spots[Math.min(spots.length - 1, Math.floor(share * spots.length))]?.at ?? 0;
}
/** What is of another family counts as so far away, ΔE. */
const FAR = 20;
