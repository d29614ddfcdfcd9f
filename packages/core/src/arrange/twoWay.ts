import { ciede2000, hueOf, labOf } from '../colour/lab';
import { makeRainbowOrder, keyed, type ColouredItem } from './order';
import { numbersFrom } from './smooth/numbers';

export interface TwoWayOptions {
  /** How much it is worked on, in the milliseconds it takes a usual machine; the outcome is the same on a slower one. */
  readonly budgetMs?: number;
  readonly seed?: number;
}

/** Without a budget, so many exchanges are tried for each thing. */
const TRIES_EACH = 20000;
const TRIES_A_MS = 3000;
/** From where most exchanges are still made to where only good ones are, in parts of what neighbours differ by at first. */
const WARM = 0.6;
const COLD = 0.012;
const TINY = 1e-9;
const MOST = 1200;

/**
 * Things on a rack that is seen as a picture: hue across, light to dark down, so that neighbours to the right and below differ as little
 * as can be (the sum of CIEDE2000 over both). Answers rows × columns in reading order; what stays open is at the right of the
 * last row. Begun as columns of hue sorted by lightness, then simulated annealing over exchanges of two things, near ones more often
 * (Kirkpatrick, Gelatt & Vecchi 1983). The same for one seed however they came in; n² in memory. Throws RangeError where
 * they do not all go in, and above 1,200 things.
 */
export function twoWay<T extends ColouredItem>(
  items: readonly T[],
  { rows, columns }: { readonly rows: number; readonly columns: number },
  { budgetMs, seed = 1 }: TwoWayOptions = {},
): (T | null)[] {
  const n = items.length;
  if (n > rows * columns)
    throw new RangeError(
      `${n} things do not go into ${rows} rows of ${columns}: there are ${rows * columns} places.`,
    );
  if (n > MOST)
    throw new RangeError(`As a picture at most ${MOST} things are arranged at once; these are ${n}.`);
  const begun = inColumns(items, rows, columns);
  const labs = begun.map(({ hex }) => labOf(hex));
  const apart = new Float64Array(n * n);
  for (let i = 0; i < n; i++)
    for (let j = i + 1; j < n; j++)
      apart[i * n + j] = apart[j * n + i] = ciede2000(labs[i] ?? BLACK, labs[j] ?? BLACK);
  const tries = Math.round(budgetMs === undefined ? TRIES_EACH * n : TRIES_A_MS * budgetMs);
  const cells = annealed(n, columns, apart, tries, numbersFrom(seed));
  return Array.from({ length: rows * columns }, (_, cell) => begun[cells[cell] ?? -1] ?? null);
}
const BLACK = { l: 0, a: 0, b: 0 };

/** Greys first, then hue after hue, cut into columns; each column light to dark. In reading order of the rack. */
function inColumns<T extends ColouredItem>(items: readonly T[], rows: number, columns: number): T[] {
  const order = makeRainbowOrder();
  const sorted = items.map(keyed).sort((p, q) => hueOf(p.lab) - hueOf(q.lab) || order(p, q));
  const full = sorted.length - columns * (rows - 1);
  const row: T[] = [];
  let from = 0;
  for (let column = 0; column < columns; column++) {
    // The last row is filled from the left; with few things, fewer rows are.
    const high = full > 0 ? rows - (column < full ? 0 : 1) : Math.ceil((sorted.length - column) / columns);
    const members = sorted.slice(from, from + high).sort((p, q) => q.lab.l - p.lab.l || order(p, q));
    from += high;
    members.forEach(({ item }, down) => (row[down * columns + column] = item));
  }
  return row;
}

/** What stands in each cell after so many tries; cells and things from 0 to n − 1, thing i in cell i at first. */
function annealed(
  n: number,
  columns: number,
  apart: Float64Array,
  tries: number,
  number: () => number,
): Int32Array {
  const at = Int32Array.from({ length: n }, (_, i) => i);
  const far = (thing: number, cell: number): number =>
    cell < 0 || cell >= n ? 0 : (apart[thing * n + (at[cell] ?? 0)] ?? 0);
  /** What a thing would cost in a cell, leaving out one neighbour that is exchanged with it. */
  const cost = (thing: number, cell: number, but: number): number => {
    const across = cell % columns;
    return (
      (across > 0 && cell - 1 !== but ? far(thing, cell - 1) : 0) +
      (across < columns - 1 && cell + 1 !== but ? far(thing, cell + 1) : 0) +
      (cell - columns !== but ? far(thing, cell - columns) : 0) +
      (cell + columns !== but ? far(thing, cell + columns) : 0)
    );
  };
  const gained = (p: number, q: number): number => {
    const [a, b] = [at[p] ?? 0, at[q] ?? 0];
    return cost(b, p, q) + cost(a, q, p) - cost(a, p, q) - cost(b, q, p);
  };
  const exchange = (p: number, q: number): void => {
    const held = at[p] ?? 0;
    at[p] = at[q] ?? 0;
    at[q] = held;
  };
  const share = (): number => number() / 2 ** 32;
  const differ = at.reduce((sum, thing, cell) => sum + cost(thing, cell, -1), 0) / Math.max(1, 4 * n);
  for (let k = 0; k < tries && n > 1; k++) {
    const heat = differ * WARM * (COLD / WARM) ** (k / tries);
    const p = number() % n;
    const reach = 1 + Math.floor((1 - k / tries) * columns);
    const q = p + Math.round((share() - 0.5) * 2 * reach) + columns * Math.round((share() - 0.5) * 2 * reach);
    if (q < 0 || q >= n || q === p) continue;
    const by = gained(p, q);
    if (by <= 0 || share() < Math.exp(-by / heat)) exchange(p, q);
  }
  // Whatever warmth left behind that a single exchange mends.
  for (let mended = true; mended;) {
    mended = false;
    for (let p = 0; p < n; p++)
      for (let q = p + 1; q < n; q++)
        if (gained(p, q) < -TINY) {
          exchange(p, q);
          mended = true;
        }
  }
  return at;
}
