import type { Sets } from './sets';

/** A smallest rectangle that holds a set. */
interface Hull {
  readonly w: number;
  readonly h: number;
}

/** What one pair of hulls costs against a step of the search. */
const STEP = 0.1;

/**
 * The smallest rectangles each set of panels can be cut out of by guillotine cuts: none of them holds another. Built from
 * those of its parts, side by side and one below the other (Wang 1983), each set once; what is larger than any sheet is left
 * out.
 */
export class Hulls {
  private readonly known = new Map<number, readonly Hull[]>();

  constructor(
    private readonly sets: Sets,
    private readonly longest: number,
    private readonly step: (steps: number) => void,
  ) {}

  /** By rising width, so by falling height. */
  of(set: number): readonly Hull[] {
    const known = this.known.get(set);
    if (known) return known;
    const found = this.found(set);
    this.known.set(set, found);
    return found;
  }

  /** The least width (or height) a part needs for a set where it is so long the other way; Infinity where it never does. */
  least(set: number, down: boolean, along: number): number {
    if (set === 0) return 0;
    let least = Infinity;
    for (const { w, h } of this.of(set)) {
      const [need, other] = down ? [w, h] : [h, w];
      if (other <= along && need < least) least = need;
    }
    return least;
  }

  private found(set: number): readonly Hull[] {
    const { sorts, size } = this.sets;
    const all: Hull[] = [];
    if (size[set] === 1) {
      const sort = sorts.find((_, i) => this.sets.countOf(set, i) > 0);
      if (sort) all.push({ w: sort.w, h: sort.h }, ...(sort.mayTurn ? [{ w: sort.h, h: sort.w }] : []));
      return smallest(all, this.longest);
    }
    for (const first of this.sets.partsOf(set)) {
      const second = set - first;
      if (second === 0 || first < second) continue;
      this.step(1 + this.of(first).length * this.of(second).length * STEP);
      for (const a of this.of(first))
        for (const b of this.of(second))
          all.push({ w: a.w + b.w, h: Math.max(a.h, b.h) }, { w: Math.max(a.w, b.w), h: a.h + b.h });
    }
    return smallest(all, this.longest);
  }
}

function smallest(all: Hull[], longest: number): readonly Hull[] {
  const kept: Hull[] = [];
  for (const hull of all.sort((a, b) => a.w - b.w || a.h - b.h)) {
    if (hull.w > longest || hull.h > longest) continue;
    if (hull.h < (kept.at(-1)?.h ?? Infinity)) kept.push(hull);
  }
  return kept;
}
