import { ciede2000, hueOf, labOf } from '../colour/lab';
import { makeRainbowOrder, keyed, type ColouredItem } from './order';
import { numbersFrom } from './smooth/numbers';
import { annealed, type Picture } from './annealed';

export interface TwoWayOptions<T = unknown> {
  /** How much it is worked on, in the milliseconds it takes a usual machine; the outcome is the same on a slower one. */
  readonly budgetMs?: number;
  readonly seed?: number;
  /** Cells that may be filled, counted in reading order from 0; all when left out. The first of them are. */
  readonly cells?: readonly number[];
  /** What stands in other cells and stays there: its colour, by cell. */
  readonly standing?: ReadonlyMap<number, string>;
  /** Whether a thing may stand in a cell; any in any when left out. */
  readonly takes?: (item: T, cell: number) => boolean;
  /** Where things stand today, by id. */
  readonly now?: ReadonlyMap<string, number>;
  /** How much it counts that a thing stays where it stands today: from 0, nothing, to 1, as much as all its neighbours. */
  readonly near?: number;
  /** How strongly light is pulled up and dark down: 1 when left out; at 0 the picture may lie any way round. */
  readonly down?: number;
  /** A picture made of the same things without heed of today: one of the same is not made again. */
  readonly best?: readonly (T | null)[];
}

/** Without a budget, so many exchanges are tried for each thing. */
const TRIES_EACH = 60000;
/** It is begun so often, and the best is taken: one run is often caught a few percent above it. */
const RUNS = 3;
const TRIES_A_MS = 3000;
const MOST = 1200;
const NEIGHBOURS = 4;
/** What stands where it does not fit: more than any difference of colours. */
const UNFIT = 1e4;
/** Of a picture that stands already, so much of the warmth and of the tries is enough to mend it. */
const LITTLE_WARMTH = 0.1;
const FEWER_TRIES = 0.1;

/**
 * Things on a rack that is seen as a picture: hue across, light to dark down, so that neighbours to the right and below differ as little
 * as can be (the sum of CIEDE2000 over both; light is pulled up and dark down as long as it is warm). Answers rows × columns in reading
 * order; what stays open is at the right of the last row. Begun as columns of hue sorted by lightness, then simulated annealing over
 * exchanges of two things, near ones more often (Kirkpatrick, Gelatt & Vecchi 1983); where today counts, it is also mended from how it
 * stands, and what is better with the moving counted is taken. The same for one seed however they came in; n² in memory. Throws
 * RangeError where they do not all go in, where some fit nowhere that is left for them, and above 1,200 things.
 */
export function twoWay<T extends ColouredItem>(
  items: readonly T[],
  { rows, columns }: { readonly rows: number; readonly columns: number },
  options: TwoWayOptions<T> = {},
): (T | null)[] {
  const {
    budgetMs,
    seed = 1,
    standing = new Map<number, string>(),
    takes,
    now,
    near = 0,
    down = 1,
  } = options;
  const cells = options.cells ?? Array.from({ length: rows * columns }, (_, cell) => cell);
  const n = items.length;
  if (n > cells.length)
    throw new RangeError(
      `${n} things do not go into ${rows} rows of ${columns}: there are ${cells.length} places.`,
    );
  if (n > MOST)
    throw new RangeError(`As a picture at most ${MOST} things are arranged at once; these are ${n}.`);
  const slots = cells.slice(0, n);
  const things = inColumns(items, slots, columns);
  const fixed = [...standing];
  const apart = differences([...things.map(({ hex }) => hex), ...fixed.map(([, hex]) => hex)]);
  const differ = meanStep(slots, columns, apart);
  const depth = depths(things.map(({ hex }) => labOf(hex).l));
  const last = Math.max(1, Math.floor((slots.at(-1) ?? 0) / columns));
  const picture: Picture = {
    ...{ n, columns, slots },
    places: rows * columns,
    apart,
    fixed: new Map(fixed.map(([cell], i) => [cell, n + i])),
    homes: things.map(({ id }) => now?.get(id) ?? -1),
    moving: near * NEIGHBOURS * differ,
    differ,
    unfit: (thing, cell) => (takes && things[thing] && !takes(things[thing], cell) ? UNFIT : 0),
    pull: (thing, cell) => down * differ * Math.abs(Math.floor(cell / columns) / last - (depth[thing] ?? 0)),
  };
  const tries = Math.round(budgetMs === undefined ? TRIES_EACH * n : TRIES_A_MS * budgetMs);
  const course = { tries: Math.round(tries / RUNS), number: numbersFrom(seed), warmth: 1 };
  const known = options.best && asGiven(things, slots, options.best);
  const made = known
    ? annealed(picture, known, { ...course, tries: 0 })
    : least(
        Array.from({ length: RUNS }, () => annealed({ ...picture, moving: 0 }, [...things.keys()], course)),
      );
  const few = { tries: tries * FEWER_TRIES, number: numbersFrom(seed), warmth: LITTLE_WARMTH };
  const stood = near > 0 && now ? annealed(picture, asToday(picture), few) : made;
  // Both by one measure.
  const first = near > 0 ? annealed(picture, made.at, { ...few, tries: 0 }) : made;
  const { at, price } = stood.price < first.price ? stood : first;
  if (price >= UNFIT)
    throw new RangeError('Some of them fit into none of the places that are left for them.');
  const row: (T | null)[] = Array<T | null>(rows * columns).fill(null);
  slots.forEach((cell, i) => (row[cell] = things[at[i] ?? -1] ?? null));
  return row;
}

/** Things by slot as a picture has them; undefined where it has others. */
function asGiven<T extends ColouredItem>(
  things: readonly T[],
  slots: readonly number[],
  row: readonly (T | null)[],
): number[] | undefined {
  const numbers = new Map(things.map(({ id }, i) => [id, i]));
  const at = slots.flatMap((cell) => numbers.get(row[cell]?.id ?? '') ?? []);
  return new Set(at).size === things.length ? at : undefined;
}

/** The first of the cheapest. */
const least = <A extends { readonly price: number }>(all: readonly A[]): A =>
  all.reduce((best, each) => (each.price < best.price ? each : best));

/** How far down each belongs by its lightness among all, from 0, the lightest, to 1. */
function depths(lights: readonly number[]): number[] {
  const order = [...lights.keys()].sort((p, q) => (lights[q] ?? 0) - (lights[p] ?? 0));
  const depth: number[] = [];
  order.forEach((thing, i) => (depth[thing] = i / Math.max(1, lights.length - 1)));
  return depth;
}

/** Each thing where it stands today, as far as that cell is filled; the others in the cells that are left. Things by slot. */
function asToday({ homes, slots }: Picture): number[] {
  const slotOf = new Map(slots.map((cell, i) => [cell, i]));
  const at = Array<number>(slots.length).fill(-1);
  const others = homes.flatMap((home, thing) => {
    const slot = slotOf.get(home);
    if (slot === undefined || at[slot] !== -1) return [thing];
    at[slot] = thing;
    return [];
  });
  return at.map((thing) => (thing === -1 ? (others.shift() ?? 0) : thing));
}

/** What things that stand slot by slot differ from their neighbours to the right and below, on average. */
function meanStep(slots: readonly number[], columns: number, { wide, of }: Picture['apart']): number {
  const slotOf = new Map(slots.map((cell, i) => [cell, i]));
  const steps = slots.flatMap((cell, i) =>
    [cell % columns < columns - 1 ? cell + 1 : -1, cell + columns].flatMap((beside) => {
      const other = slotOf.get(beside);
      return other === undefined ? [] : [of[i * wide + other] ?? 0];
    }),
  );
  return steps.reduce((sum, step) => sum + step, 0) / Math.max(1, steps.length);
}

/** CIEDE2000 between each two, row by row. */
function differences(hexes: readonly string[]): { readonly wide: number; readonly of: Float64Array } {
  const labs = hexes.map(labOf);
  const wide = labs.length;
  const of = new Float64Array(wide * wide);
  labs.forEach((a, i) => {
    for (let j = i + 1; j < wide; j++) of[i * wide + j] = of[j * wide + i] = ciede2000(a, labs[j] ?? a);
  });
  return { wide, of };
}

/** Greys first, then hue after hue, cut into columns of the cells there are; each column light to dark. By slot. */
function inColumns<T extends ColouredItem>(
  items: readonly T[],
  slots: readonly number[],
  columns: number,
): T[] {
  const order = makeRainbowOrder();
  const sorted = items.map(keyed).sort((p, q) => hueOf(p.lab) - hueOf(q.lab) || order(p, q));
  const row: T[] = [];
  let from = 0;
  for (let column = 0; column < columns; column++) {
    const here = [...slots.keys()].filter((i) => (slots[i] ?? 0) % columns === column);
    const members = sorted.slice(from, from + here.length).sort((p, q) => q.lab.l - p.lab.l || order(p, q));
    from += here.length;
    members.forEach(({ item }, down) => (row[here[down] ?? 0] = item));
  }
  return row;
}
