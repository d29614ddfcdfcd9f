/** A rack as a picture is made on it. Things are counted from 0 to n − 1, what stays from n on; slots are the cells that are filled. */
export interface Picture {
  readonly n: number;
  readonly columns: number;
  /** How many cells there are in all. */
  readonly places: number;
  readonly slots: readonly number[];
  readonly apart: { readonly wide: number; readonly of: Float64Array };
  /** What stays, by cell. */
  readonly fixed: ReadonlyMap<number, number>;
  /** The cell each thing stands in today; −1 for none. */
  readonly homes: readonly number[];
  /** What it costs that a thing does not stay there, in ΔE. */
  readonly moving: number;
  /** What neighbours differ by at first, on average, ΔE: the measure of warmth. */
  readonly differ: number;
  /** What it costs besides that a thing stands in a cell. */
  readonly unfit: (thing: number, cell: number) => number;
  /** What it costs besides as long as it is warm, and less and less: it says which way round all of it lies. */
  readonly pull: (thing: number, cell: number) => number;
}
interface Course {
  readonly tries: number;
  readonly number: () => number;
  /** How much of the usual warmth it begins with. */
  readonly warmth: number;
}

/** From where most exchanges are still made to where only good ones are, in parts of what neighbours differ by at first. */
const WARM = 0.6;
const COLD = 0.012;
const TINY = 1e-9;

/** Which thing stands in each slot after so many tries, and what it costs in all. `begun` is which one stands in each at first. */
export function annealed(
  { n, columns, places, slots, apart, fixed, homes, moving, differ, unfit, pull }: Picture,
  begun: readonly number[],
  { tries, number, warmth }: Course,
): { readonly at: readonly number[]; readonly price: number } {
  const there = new Int32Array(places).fill(-1);
  const isSlot = new Uint8Array(places);
  slots.forEach((cell, i) => {
    there[cell] = begun[i] ?? 0;
    isSlot[cell] = 1;
  });
  for (const [cell, thing] of fixed) there[cell] = thing;
  const { wide, of } = apart;
  const far = (thing: number, cell: number): number => {
    const other = cell < 0 || cell >= places ? -1 : (there[cell] ?? -1);
    return other < 0 ? 0 : (of[thing * wide + other] ?? 0);
  };
  /** Differences to the neighbours of a cell, leaving out one that is exchanged with it. */
  const around = (thing: number, cell: number, but: number): number => {
    const across = cell % columns;
    return (
      (across > 0 && cell - 1 !== but ? far(thing, cell - 1) : 0) +
      (across < columns - 1 && cell + 1 !== but ? far(thing, cell + 1) : 0) +
      (cell - columns !== but ? far(thing, cell - columns) : 0) +
      (cell + columns !== but ? far(thing, cell + columns) : 0)
    );
  };
  const own = new Float64Array(n * slots.length);
  const pulled = new Float64Array(n * slots.length);
  let warm = 1;
  const slotOf = new Int32Array(places).fill(-1);
  slots.forEach((cell, s) => {
    slotOf[cell] = s;
    for (let thing = 0; thing < n; thing++) {
      const home = homes[thing] ?? -1;
      own[thing * slots.length + s] = (home >= 0 && home !== cell ? moving : 0) + unfit(thing, cell);
      pulled[thing * slots.length + s] = pull(thing, cell);
    }
  });
  const cost = (thing: number, cell: number, but: number): number => {
    const at = thing * slots.length + (slotOf[cell] ?? 0);
    return around(thing, cell, but) + (own[at] ?? 0) + warm * (pulled[at] ?? 0);
  };
  const gained = (p: number, q: number): number => {
    const a = there[p] ?? 0;
    const b = there[q] ?? 0;
    return cost(b, p, q) + cost(a, q, p) - cost(a, p, q) - cost(b, q, p);
  };
  const exchange = (p: number, q: number): void => {
    const held = there[p] ?? 0;
    there[p] = there[q] ?? 0;
    there[q] = held;
  };
  const share = (): number => number() / 2 ** 32;
  for (let k = 0; k < tries && n > 1; k++) {
    warm = 1 - k / tries;
    const heat = differ * warmth * WARM * (COLD / WARM) ** (k / tries);
    const p = slots[number() % n] ?? 0;
    const reach = 1 + Math.floor((1 - k / tries) * columns);
    const q = p + Math.round((share() - 0.5) * 2 * reach) + columns * Math.round((share() - 0.5) * 2 * reach);
    if (q < 0 || q >= places || q === p || isSlot[q] === 0) continue;
    const by = gained(p, q);
    if (by <= 0 || share() < Math.exp(-by / heat)) exchange(p, q);
  }
  warm = 0;
  // Whatever warmth left behind that a single exchange mends.
  for (let mended = true; mended;) {
    mended = false;
    for (let i = 0; i < n; i++)
      for (let j = i + 1; j < n; j++) {
        const p = slots[i] ?? 0;
        const q = slots[j] ?? 0;
        if (gained(p, q) >= -TINY) continue;
        exchange(p, q);
        mended = true;
      }
  }
  const ofThings = slots.reduce((sum, cell) => {
    const thing = there[cell] ?? 0;
    return sum + around(thing, cell, -1) / 2 + (cost(thing, cell, -1) - around(thing, cell, -1));
  }, 0);
  return { at: slots.map((cell) => there[cell] ?? 0), price: ofThings };
}
