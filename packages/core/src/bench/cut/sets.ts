import type { Sort } from './wanted';

/** What one number costs against a step of the search. */
const STEP = 0.1;

/**
 * Sets of panels as numbers: so many of each sort, in mixed radix. A part of a set taken away from it is a subtraction.
 */
export class Sets {
  /** How many sets there are. */
  readonly total: number;
  private readonly base: readonly number[];
  /** Panels in each set, and the room they take, in sizes one kerf larger. */
  readonly size: Int32Array;
  readonly area: Float64Array;
  private readonly parts = new Map<number, readonly number[]>();
  private readonly sums = new Map<number, readonly number[]>();

  /** `step` is told how much is worked out. */
  constructor(
    readonly sorts: readonly Sort[],
    private readonly step: (steps: number) => void,
  ) {
    const base: number[] = [];
    let total = 1;
    for (const { count } of sorts) {
      base.push(total);
      total *= count + 1;
    }
    this.base = base;
    this.total = total;
    step(total * STEP);
    this.size = new Int32Array(total);
    this.area = new Float64Array(total);
    for (let set = 0; set < total; set++)
      sorts.forEach(({ w, h }, sort) => {
        const n = this.countOf(set, sort);
        this.size[set] = (this.size[set] ?? 0) + n;
        this.area[set] = (this.area[set] ?? 0) + n * w * h;
      });
  }

  /** How many of a sort are in a set. */
  countOf(set: number, sort: number): number {
    return Math.floor(set / (this.base[sort] ?? 1)) % ((this.sorts[sort]?.count ?? 0) + 1);
  }

  /** The set of one panel of a sort. */
  one(sort: number): number {
    return this.base[sort] ?? 0;
  }

  /** Every part of a set, itself and the empty one too. */
  partsOf(set: number): readonly number[] {
    const known = this.parts.get(set);
    if (known) return known;
    let parts = [0];
    this.sorts.forEach((_, sort) => {
      const n = this.countOf(set, sort);
      if (n === 0) return;
      const more = parts;
      parts = [];
      for (let i = 0; i <= n; i++) for (const part of more) parts.push(part + i * this.one(sort));
    });
    this.parts.set(set, parts);
    return parts;
  }

  isWithin(part: number, of: number): boolean {
    return part <= of && this.sorts.every((_, sort) => this.countOf(part, sort) <= this.countOf(of, sort));
  }

  /** Where cuts can be: sums of widths (or heights) of some of a set's panels, rising (Herz 1972, Christofides & Whitlock 1977). */
  sumsOf(set: number, down: boolean, most: number): readonly number[] {
    const key = set * 2 + (down ? 1 : 0);
    const known = this.sums.get(key);
    if (known) return known;
    let sums = new Set([0]);
    this.sorts.forEach(({ w, h, mayTurn }, sort) => {
      const sides = mayTurn ? [w, h] : [down ? w : h];
      for (let i = this.countOf(set, sort); i > 0; i--) {
        const next = new Set(sums);
        this.step(sums.size * STEP);
        for (const sum of sums) for (const side of sides) if (sum + side <= most) next.add(sum + side);
        sums = next;
      }
    });
    sums.delete(0);
    const rising = [...sums].sort((a, b) => a - b);
    this.sums.set(key, rising);
    return rising;
  }
}
