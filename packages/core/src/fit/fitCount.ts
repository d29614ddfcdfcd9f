import type { Size } from '../kinds/definition';
import { missingUm, refusalsOf, type FitRefusal } from './inSpace';
import { mustMeasure } from './positive';
import { turned, TURNS, type Turn } from './turns';

export interface FitOptions {
  /** Ways round it may be put, the best liked first; as it stands when left out. */
  readonly turns?: readonly Turn[] | 'any';
  /** Free length each thing needs beside its own, along each side of the space, µm. */
  readonly clearanceUm?: Partial<Size>;
  /** Share of its depth, 0 to 1, that the one in front may stick out of an open front. 0 when left out: a door or drawer closes. */
  readonly sticksOut?: number;
  /** Whether one may stand on another. */
  readonly layers?: boolean;
}

/** How many of a thing a space takes, and what is left of it. */
export interface FitCount {
  readonly count: number;
  /** Side by side, one on another, one behind another. */
  readonly across: number;
  readonly high: number;
  readonly deep: number;
  /** The way round they are put; where none fits, the one that misses least. */
  readonly turn: Turn;
  /** What stays free along each side, µm, what clearance took included; less than nothing by how much one misses. */
  readonly clearUm: Size;
  /** How far the ones in front stick out, µm. */
  readonly sticksOutUm: number;
  /** Share of the space that is taken by things, 0 to 1. */
  readonly usedShare: number;
  /** How many stand behind others, where they are not seen. */
  readonly behind: number;
  /** Where none fits: each side that refuses, and by how much. */
  readonly refusals: readonly FitRefusal[];
}

const NO_CLEARANCE: Size = { widthUm: 0, heightUm: 0, depthUm: 0 };
const volumeOf = ({ widthUm, heightUm, depthUm }: Size): number => widthUm * heightUm * depthUm;

function countOneWay(
  thing: Size,
  space: Size,
  turn: Turn,
  { clearanceUm, sticksOut = 0, layers = false }: Omit<FitOptions, 'turns'>,
): FitCount {
  const one = turned(thing, turn);
  const clear = { ...NO_CLEARANCE, ...clearanceUm };
  const needs: Size = {
    widthUm: one.widthUm + clear.widthUm,
    heightUm: one.heightUm + clear.heightUm,
    depthUm: one.depthUm + clear.depthUm,
  };
  // Only the one in front has anywhere to stick out to.
  const depthUm = space.depthUm + Math.floor(sticksOut * one.depthUm);
  const across = Math.floor(space.widthUm / needs.widthUm);
  const stacked = Math.floor(space.heightUm / needs.heightUm);
  const high = layers ? stacked : Math.min(1, stacked);
  const deep = Math.floor(depthUm / needs.depthUm);
  const count = across * high * deep;
  const [w, h, d] = count > 0 ? [across, high, deep] : [1, 1, 1];
  const reachUm = d * needs.depthUm - clear.depthUm;
  const sticksOutUm = count > 0 ? Math.max(0, reachUm - space.depthUm) : 0;
  const [bare, outside] = [volumeOf(space), across * high * sticksOutUm * one.widthUm * one.heightUm];
  return {
    count,
    across: count > 0 ? across : 0,
    high: count > 0 ? high : 0,
    deep: count > 0 ? deep : 0,
    turn,
    clearUm: {
      widthUm: space.widthUm - w * one.widthUm,
      heightUm: space.heightUm - h * one.heightUm,
      depthUm: space.depthUm - d * one.depthUm,
    },
    sticksOutUm,
    usedShare: bare > 0 ? Math.max(0, count * volumeOf(one) - outside) / bare : 0,
    behind: count - (count > 0 ? across * high : 0),
    refusals: count > 0 ? [] : refusalsOf(needs, { ...space, depthUm }),
  };
}

const missingIn = ({ refusals }: FitCount): number =>
  refusals.reduce((sum, refusal) => sum + missingUm(refusal), 0);

/**
 * How many of a thing go into a space, all the same way round in rows: the way that takes most; of ways that take as many
 * the one that hides fewest, then the best liked. Sizes in µm, of a thing its outside, of a space its inside seen from its
 * opening. With `sticksOut` the depth that is needed is what must stay inside. Throws RangeError for a side that is no length, a
 * `sticksOut` outside 0 to 1, or no way round at all.
 */
export function fitCount(thing: Size, space: Size, { turns, ...options }: FitOptions = {}): FitCount {
  mustMeasure('The thing', thing, 'above nothing');
  mustMeasure('The space', space, 'nothing or more');
  mustMeasure('The clearance', options.clearanceUm ?? {}, 'nothing or more');
  const { sticksOut = 0 } = options;
  if (!(sticksOut >= 0 && sticksOut <= 1))
    throw new RangeError(`What sticks out is a share from 0 to 1, not ${sticksOut}.`);
  const ways = turns === 'any' ? TURNS : (turns ?? TURNS.slice(0, 1));
  const [first, ...others] = ways.map((turn) => countOneWay(thing, space, turn, options));
  if (!first) throw new RangeError('At least one way round must be allowed.');
  return others.reduce((best, way) => {
    if (way.count !== best.count) return way.count > best.count ? way : best;
    if (way.count > 0) return way.behind < best.behind ? way : best;
    return missingIn(way) < missingIn(best) ? way : best;
  }, first);
}
