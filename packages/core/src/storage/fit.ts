import type { Orientation, Size } from '../kinds/definition';

/** Why a thing cannot be in a place, in measured values. */
export interface FitRefusal {
  readonly code: 'too_wide' | 'too_high' | 'too_deep';
  readonly needUm: number;
  readonly haveUm: number;
}

/** How far a thing may stand out of the front of its place and still be held. */
const MAY_STICK_OUT = 0.25;

/**
 * Whether a thing goes into a space just as it stands, both in µm. Null when it fits. Depth may stick out by a quarter
 * where the front is open: that is what one grabs it by.
 */
export function fitInSpace(thing: Size, space: Size, { openFront = true } = {}): FitRefusal | null {
  if (thing.widthUm > space.widthUm)
    return { code: 'too_wide', needUm: thing.widthUm, haveUm: space.widthUm };
  if (thing.heightUm > space.heightUm)
    return { code: 'too_high', needUm: thing.heightUm, haveUm: space.heightUm };
  const needUm = Math.round(thing.depthUm * (openFront ? 1 - MAY_STICK_OUT : 1));
  return needUm > space.depthUm ? { code: 'too_deep', needUm, haveUm: space.depthUm } : null;
}

const turned = ({ widthUm, heightUm, depthUm }: Size): Size => ({
  widthUm: depthUm,
  heightUm,
  depthUm: widthUm,
});

/**
 * The ways round a thing may be put, as it stands first: a quarter turn on its base is always harmless; what wants no
 * particular way may also lie on its side or on its back.
 */
export function waysRound(size: Size, wants: Orientation['wants'] = 'any'): readonly Size[] {
  const upright = [size, turned(size)];
  if (wants !== 'any') return upright;
  const { widthUm: w, heightUm: h, depthUm: d } = size;
  const onSide: Size = { widthUm: h, heightUm: w, depthUm: d };
  const onBack: Size = { widthUm: w, heightUm: d, depthUm: h };
  return [...upright, onSide, turned(onSide), onBack, turned(onBack)];
}

/** By how much a refusal misses, µm. */
export const missingUm = ({ needUm, haveUm }: FitRefusal): number => needUm - haveUm;

/** Fits in any of the ways round, or the refusal of the first: a thing is measured as it stands. */
export function fitAnyWay(
  ways: readonly Size[],
  space: Size,
  options?: { openFront?: boolean },
): FitRefusal | null {
  const refusals = ways.map((way) => fitInSpace(way, space, options));
  return refusals.includes(null) ? null : (refusals[0] ?? null);
}
