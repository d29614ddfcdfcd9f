import type { Reach } from '../storage/room/reach';

/** A thing as it stands, or has no place, for how long one looks for it. */
export interface Sought {
  readonly group: string;
  /** Its place in the order chosen, from 0. */
  readonly rank: number;
  /** How often it is looked for, in any one span of time. */
  readonly uses: number;
  readonly reach: Reach['reach'];
}

export interface LookUp {
  /** Seconds one look takes, on average by how often each is looked for; null where there is nothing. */
  readonly seconds: number | null;
  /** Share of pairs of a group in one unit that stand as the order wants, 0 to 1; null where there are none. */
  readonly inOrder: number | null;
}

/** One thing glanced at: a fixation of the eye (about a quarter of a second; Rayner 1998). */
const GLANCE_S = 0.25;
/** One step towards a thing in a stretch that is in order: a glance, and which way to go. */
const STEP_S = 0.4;
/** Going over to another stretch of the same group. */
const STRETCH_S = 0.6;
/** A thing that has no place is looked for all over. */
const HOMELESS_S = 30;
/** What it takes to get there from the desk. */
const REACH_S: Readonly<Record<Reach['reach'], number>> = { near: 0, mid: 2, far: 8 };

/**
 * How long one looks for a thing, on average: getting there, going over to each stretch its group stands in, and finding it in there;
 * step by step where the stretch is in order, one after another where it is in none, and as much of either as its pairs are in order.
 * `units` are things in the order they stand; `homeless` have no place. n log n. An estimate to compare two arrangements with.
 */
export function lookUp(units: readonly (readonly Sought[])[], homeless: readonly Sought[] = []): LookUp {
  const stretches = new Map<string, number>();
  const sizes = new Map<string, number>();
  let [pairs, right] = [0, 0];
  const orderOf = new Map<string, { pairs: number; right: number }>();
  for (const row of units) {
    const parts = new Map<string, number[]>();
    row.forEach(({ group, rank }, i) => {
      if (row[i - 1]?.group !== group) stretches.set(group, (stretches.get(group) ?? 0) + 1);
      sizes.set(group, (sizes.get(group) ?? 0) + 1);
      const part = parts.get(group);
      if (part) part.push(rank);
      else parts.set(group, [rank]);
    });
    for (const [group, ranks] of parts) {
      const all = (ranks.length * (ranks.length - 1)) / 2;
      const wrong = inversions(ranks);
      const known = orderOf.get(group) ?? { pairs: 0, right: 0 };
      orderOf.set(group, { pairs: known.pairs + all, right: known.right + all - wrong });
      pairs += all;
      right += all - wrong;
    }
  }
  const findIn = (group: string): number => {
    const size = (sizes.get(group) ?? 1) / (stretches.get(group) ?? 1);
    const { pairs: all, right: good } = orderOf.get(group) ?? { pairs: 0, right: 0 };
    // Half the pairs stand right by chance.
    const disorder = all === 0 ? 0 : Math.min(1, 2 * (1 - good / all));
    const oneByOne = (GLANCE_S * (size + 1)) / 2;
    const stepByStep = Math.min(oneByOne, STEP_S * Math.log2(size + 1));
    // Half of the stretches have been looked through before the right one is.
    const looked = ((stretches.get(group) ?? 1) + 1) / 2;
    return looked * (STRETCH_S + disorder * oneByOne + (1 - disorder) * stepByStep);
  };
  let [sum, looks] = [0, 0];
  for (const row of units)
    for (const { group, uses, reach } of row) {
      sum += uses * (REACH_S[reach] + findIn(group));
      looks += uses;
    }
  for (const { uses } of homeless) {
    sum += uses * HOMELESS_S;
    looks += uses;
  }
  return { seconds: looks === 0 ? null : sum / looks, inOrder: pairs === 0 ? null : right / pairs };
}

/** Pairs that stand the wrong way round (merge sort). */
function inversions(ranks: readonly number[]): number {
  let count = 0;
  const sort = (row: readonly number[]): readonly number[] => {
    if (row.length < 2) return row;
    const half = row.length >> 1;
    const [left, right] = [sort(row.slice(0, half)), sort(row.slice(half))];
    const merged: number[] = [];
    let [i, k] = [0, 0];
    while (i < left.length || k < right.length) {
      if (k >= right.length || (i < left.length && (left[i] ?? 0) <= (right[k] ?? 0)))
        merged.push(left[i++] ?? 0);
      else {
        count += left.length - i;
        merged.push(right[k++] ?? 0);
      }
    }
    return merged;
  };
  sort(ranks);
  return count;
}
