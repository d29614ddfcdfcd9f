import { mustMeasure } from './positive';

/** A thing that takes so much of a length, µm. */
export interface AlongRun {
  readonly alongUm: number;
}
export interface RunOptions {
  /** Free length between one thing and the next, µm. */
  readonly gapUm?: number;
  /** Length that stays free for a finger, whatever stands there, µm. */
  readonly fingerUm?: number;
  /** Share of the length that may be taken, 0 to 1. */
  readonly fillShare?: number;
}

/** What of things in their order a length takes. */
export interface RunCount {
  /** How many stand, from the first on, before one does not go in any more. */
  readonly count: number;
  /** Length taken by these, gaps included, and what stays free of the length that may be taken, µm. */
  readonly usedUm: number;
  readonly leftUm: number;
  /** How much longer it would have to be for all of them, µm; 0 where all stand. */
  readonly missingUm: number;
  /** How many would stand if the thinnest were chosen. */
  readonly most: number;
}

/** How many stand from the first on, and what they take. */
function standing(lengths: readonly number[], gapUm: number, mayUm: number): readonly [number, number] {
  let usedUm = 0;
  for (const [i, length] of lengths.entries()) {
    const next = usedUm + (i > 0 ? gapUm : 0) + length;
    if (next > mayUm) return [i, usedUm];
    usedUm = next;
  }
  return [lengths.length, usedUm];
}

/**
 * Things on a rail, a rod, a shelf or in an upright file, by the exact sum of their own widths, in the order given: a run
 * keeps its order, so what does not go in ends it. µm. Throws RangeError for what is no length.
 */
export function runCount(
  things: readonly AlongRun[],
  lengthUm: number,
  { gapUm = 0, fingerUm = 0, fillShare = 1 }: RunOptions = {},
): RunCount {
  mustMeasure('The run', { lengthUm, gapUm, fingerUm, fillShare }, 'nothing or more');
  for (const { alongUm } of things) mustMeasure('A thing', { alongUm }, 'above nothing');
  const lengths = things.map(({ alongUm }) => alongUm);
  const mayUm = Math.max(0, Math.floor(lengthUm * Math.min(1, fillShare)) - fingerUm);
  const [count, usedUm] = standing(lengths, gapUm, mayUm);
  const allUm = lengths.reduce((sum, length) => sum + length, Math.max(0, lengths.length - 1) * gapUm);
  const [most] = standing(
    [...lengths].sort((p, q) => p - q),
    gapUm,
    mayUm,
  );
  return { count, usedUm, leftUm: mayUm - usedUm, missingUm: Math.max(0, allUm - mayUm), most };
}
