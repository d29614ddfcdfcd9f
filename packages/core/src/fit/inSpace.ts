import type { Size } from '../kinds/definition';
import { turned, type Turn } from './turns';

/** Why a thing cannot be in a place, in measured values. */
export interface FitRefusal {
  readonly code: 'too_wide' | 'too_high' | 'too_deep';
  readonly needUm: number;
  readonly haveUm: number;
}

/** How far a thing may stand out of the front of its place and still be held. */
export const MAY_STICK_OUT = 0.25;

const TOO = { widthUm: 'too_wide', heightUm: 'too_high', depthUm: 'too_deep' } as const;
const AXES = ['widthUm', 'heightUm', 'depthUm'] as const;

/** What of a need a space refuses, axis by axis, µm. */
export const refusalsOf = (need: Size, have: Size): readonly FitRefusal[] =>
  AXES.filter((axis) => need[axis] > have[axis]).map((axis) => ({
    code: TOO[axis],
    needUm: need[axis],
    haveUm: have[axis],
  }));

/** By how much a refusal misses, µm. */
export const missingUm = ({ needUm, haveUm }: Pick<FitRefusal, 'needUm' | 'haveUm'>): number =>
  needUm - haveUm;

/**
 * Whether a thing goes into a space just as it stands, both in µm. Null when it fits. Depth may stick out by a quarter
 * where the front is open: that is what one grabs it by.
 */
export function fitInSpace(thing: Size, space: Size, { openFront = true } = {}): FitRefusal | null {
  const depthUm = Math.round(thing.depthUm * (openFront ? 1 - MAY_STICK_OUT : 1));
  return refusalsOf({ ...thing, depthUm }, space)[0] ?? null;
}

/** The outside of a thing the first way round in which it fits; null where none does. */
export function firstWay(
  thing: Size,
  turns: readonly Turn[],
  space: Size,
  options?: { openFront?: boolean },
): Size | null {
  for (const turn of turns) {
    const way = turned(thing, turn);
    if (fitInSpace(way, space, options) === null) return way;
  }
  return null;
}

/** Fits in any of the ways round, or the refusal of the first: a thing is measured as it stands. */
export function fitAnyWay(
  thing: Size,
  turns: readonly Turn[],
  space: Size,
  options?: { openFront?: boolean },
): FitRefusal | null {
  if (firstWay(thing, turns, space, options)) return null;
  const [first = 'as it stands'] = turns;
  return fitInSpace(turned(thing, first), space, options);
}
