import { Hulls } from './hulls';
import type { Sets } from './sets';
import { isWorthMore, REST, useOfPart, type Tree, type Worth } from './tree';

/** Thrown where looking at every way takes more than is allowed. */
export class TooMuch extends Error {}

/** Counts what is tried, and ends it when it was enough. */
export class Work {
  done = 0;
  constructor(private readonly most: number) {}
  count(steps = 1): void {
    this.done += steps;
  }
  isOver(): boolean {
    return this.done > this.most;
  }
  /** @throws TooMuch */
  step(steps = 1): void {
    this.done += steps;
    if (this.done > this.most) throw new TooMuch();
  }
}

export interface Way extends Worth {
  readonly tree: Tree;
}

/** The blade and the trimmer, µm. */
export interface Blade {
  readonly kerf: number;
  readonly trimmer: number;
  /** The longest side of any sheet, one kerf larger. */
  readonly longest: number;
}

interface Known {
  readonly way: Way | null;
  /** Where there is none yet: so many remaining parts are known not to do. */
  readonly over: number;
}

/**
 * The best way to cut exactly a set of panels out of one sheet, by guillotine cuts: the fewest cuts, then the most useful
 * remains. Each cut makes one part more, so cuts are panels and remaining parts less one: it is tried with no remaining
 * part, with one, with two … Of a part and its share of remaining parts every first cut is looked at: at a sum of widths of
 * what comes to lie on one side of it, or, where a side keeps nothing over, where its area says. Each part and set once
 * (dynamic programming over sets). Remains are convex in where a cut is, so that no place between sums is better.
 */
export class ExactCutter {
  private readonly known = new Map<number, Known>();
  private readonly sides = new Map<number, number>();
  private readonly hulls: Hulls;

  constructor(
    private readonly sets: Sets,
    private readonly blade: Blade,
    private readonly work: Work,
  ) {
    this.hulls = new Hulls(sets, blade.longest, (steps) => work.step(steps));
  }

  private sideOf(length: number): number {
    const known = this.sides.get(length);
    if (known !== undefined) return known;
    this.sides.set(length, this.sides.size);
    return this.sides.size - 1;
  }

  /** Whether a set comes out of a part of a size at all, were the trimmer as long as it likes. */
  fits(w: number, h: number, set: number): boolean {
    return this.hulls.least(set, true, h) <= w;
  }

  /** Null where the set does not come out of a part of that size with at most so many remaining parts. */
  best(w: number, h: number, set: number, most = 2 * (this.sets.size[set] ?? 0) + 1): Way | null {
    const { kerf } = this.blade;
    if (set === 0) return most < 1 ? null : { cuts: 0, use: useOfPart(w - kerf, h - kerf), tree: REST };
    if (!this.fits(w, h, set)) return null;
    const key = (this.sideOf(w) * 65_536 + this.sideOf(h)) * this.sets.total + set;
    const known = this.known.get(key);
    if (known?.way) return this.remainsOf(known.way, set) <= most ? known.way : null;
    if (known && known.over >= most) return null;
    let way = this.asIs(w, h, set);
    for (
      let remains = Math.max((known?.over ?? -1) + 1, this.atLeast(w, h, set));
      !way && remains <= most;
      remains++
    )
      way = this.search(w, h, set, remains);
    this.known.set(key, { way, over: most });
    return way;
  }

  private remainsOf({ cuts }: Worth, set: number): number {
    return cuts + 1 - (this.sets.size[set] ?? 0);
  }

  /** A part that is a panel already. */
  private asIs(w: number, h: number, set: number): Way | null {
    if (this.sets.size[set] !== 1) return null;
    const sort = this.sets.sorts.findIndex((_, i) => this.sets.countOf(set, i) > 0);
    const panel = this.sets.sorts[sort];
    if (!panel) return null;
    const straight = panel.w === w && panel.h === h;
    if (!straight && !(panel.mayTurn && panel.h === w && panel.w === h)) return null;
    return { cuts: 0, use: 0, tree: { is: 'panel', sort, turned: !straight } };
  }

  private restOf(w: number, h: number, set: number): number {
    return w * h - (this.sets.area[set] ?? 0);
  }

  /**
   * Where something is over there is a remaining part; and there are two where panels reach across neither way, as one side
   * of the first cut would be filled wholly if there were only one.
   */
  private atLeast(w: number, h: number, set: number): number {
    if (this.restOf(w, h, set) <= 0) return 0;
    return set === 0 || this.reaches(w, set, true) || this.reaches(h, set, false) ? 1 : 2;
  }

  private reaches(length: number, set: number, down: boolean): boolean {
    const sums = this.sets.sumsOf(set, down, this.blade.longest);
    return sums[firstFrom(sums, length)] === length;
  }

  /** The best way with exactly so many remaining parts, where fewer do not do. */
  private search(w: number, h: number, set: number, remains: number): Way | null {
    const lead = this.sets.sorts.findIndex((_, i) => this.sets.countOf(set, i) > 0);
    let best: Way | null = null;
    const split = (down: boolean, at: number, first: number, second: number): void => {
      this.work.step();
      const [w1, h1, w2, h2] = down ? [at, h, w - at, h] : [w, at, w, h - at];
      const [rest1, rest2] = [this.restOf(w1, h1, first), this.restOf(w2, h2, second)];
      if (best && dm4(rest1) + dm4(rest2) <= best.use) return;
      const [least1, least2] = [this.atLeast(w1, h1, first), this.atLeast(w2, h2, second)];
      if (least1 + least2 > remains) return;
      const a = this.best(w1, h1, first, remains - least2);
      if (!a || (best && a.use + dm4(rest2) <= best.use)) return;
      const b = this.best(w2, h2, second, remains - this.remainsOf(a, first));
      if (!b) return;
      const worth = { cuts: 1 + a.cuts + b.cuts, use: a.use + b.use };
      if (!best || isWorthMore(worth, best))
        best = { ...worth, tree: { is: 'cut', down, at, first: a.tree, second: b.tree } };
    };
    for (const down of [true, false]) {
      const [across, along] = down ? [w, h] : [h, w];
      if (along - this.blade.kerf > this.blade.trimmer) continue;
      for (const first of this.sets.partsOf(set)) {
        // Which of the two lies on the left does not matter: most of the leading panels are in the first.
        if (this.sets.countOf(first, lead) * 2 < this.sets.countOf(set, lead) || first === 0) continue;
        const second = set - first;
        for (const at of this.places(first, second, down, across, along, remains))
          split(down, at, first, second);
      }
    }
    return best;
  }

  /** Where the first cut may be, with one part of the set on each side of it. */
  private places(
    first: number,
    second: number,
    down: boolean,
    across: number,
    along: number,
    remains: number,
  ): readonly number[] {
    const least = this.hulls.least(first, down, along);
    const most = Math.min(across - this.hulls.least(second, down, along), across - 1);
    if (least > most) return [];
    if (remains < 2) {
      const exact = [(this.sets.area[first] ?? 0) / along, across - (this.sets.area[second] ?? 0) / along];
      return exact.filter((at) => Number.isInteger(at) && at >= least && at <= most);
    }
    const tight = this.between(first, down, least, most);
    if (second === 0) return tight;
    return [
      ...tight,
      ...this.between(second, down, across - most, across - least).map((sum) => across - sum),
    ];
  }

  private between(set: number, down: boolean, least: number, most: number): readonly number[] {
    const sums = this.sets.sumsOf(set, down, this.blade.longest);
    return sums.slice(firstFrom(sums, least), firstFrom(sums, most + 1));
  }
}

/** An area in µm² as the use of one part of it, dm⁴; one kerf too large each way, so never less than it is. */
const dm4 = (area: number): number => (area / 1e10) ** 2;

/** The place of the first number that is not less. */
function firstFrom(rising: readonly number[], least: number): number {
  let [low, high] = [0, rising.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    if ((rising[middle] ?? 0) < least) low = middle + 1;
    else high = middle;
  }
  return low;
}
