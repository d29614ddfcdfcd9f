import { mustMeasure } from './positive';
import { runCount } from './run';

/** A spool as it hangs on a rod, µm: how wide it is along the rod, how large around, and the hole in it. */
export interface RodSpool {
  readonly widthUm: number;
  readonly outerUm: number;
  readonly boreUm?: number;
}
/** A rod, µm: how long between what holds it, how thick, and how far its middle stands from the wall behind. */
export interface Rod {
  readonly lengthUm: number;
  readonly diameterUm: number;
  readonly projectionUm: number;
}

/** Why a spool does not hang on a rod. */
export type RodRefusal =
  | { readonly code: 'bore_too_small'; readonly needUm: number; readonly haveUm: number }
  | { readonly code: 'meets_wall'; readonly needUm: number; readonly haveUm: number }
  | { readonly code: 'rod_full'; readonly needUm: number; readonly haveUm: number };

export interface RodFit {
  /** How many hang, in the order given, leaving out those that are refused. */
  readonly count: number;
  readonly leftUm: number;
  /** How far from the wall the rod has to stand for the largest of them all to turn freely, µm. */
  readonly projectionNeededUm: number;
  /** Spools that do not hang there, by their place in the list. */
  readonly refused: readonly { readonly index: number; readonly refusal: RodRefusal }[];
}

/** Play a spool needs on its rod to turn, and in front of the wall to be pulled from, µm. */
const BORE_PLAY_UM = 1000;
const WALL_PLAY_UM = 5000;

/** Whether a hole lets a rod through with the play it needs to turn, µm. */
export function boreRefusal(boreUm: number, diameterUm: number) {
  const needUm = diameterUm + BORE_PLAY_UM;
  return boreUm < needUm ? { code: 'bore_too_small' as const, needUm, haveUm: boreUm } : null;
}

function refusalOf(spool: RodSpool, rod: Rod): RodRefusal | null {
  // A hole nobody measured is not invented: it is asked for where it matters.
  const tight = spool.boreUm === undefined ? null : boreRefusal(spool.boreUm, rod.diameterUm);
  if (tight) return tight;
  const wallNeed = Math.ceil(spool.outerUm / 2) + WALL_PLAY_UM;
  return wallNeed > rod.projectionUm
    ? { code: 'meets_wall', needUm: wallNeed, haveUm: rod.projectionUm }
    : null;
}

/** How many spools a rod takes, in their order, which do not hang there and why. µm; throws RangeError for what is no length. */
export function rodFit(spools: readonly RodSpool[], rod: Rod, gapUm = 0): RodFit {
  mustMeasure('The rod', rod, 'nothing or more');
  const refused: { index: number; refusal: RodRefusal }[] = [];
  const hanging = spools.flatMap((spool, index) => {
    mustMeasure('A spool', spool, 'above nothing');
    const refusal = refusalOf(spool, rod);
    if (refusal) refused.push({ index, refusal });
    return refusal ? [] : [{ index, alongUm: spool.widthUm }];
  });
  const { count, leftUm } = runCount(hanging, rod.lengthUm, { gapUm });
  for (const { index, alongUm } of hanging.slice(count))
    refused.push({ index, refusal: { code: 'rod_full', needUm: alongUm + gapUm, haveUm: leftUm } });
  const largest = spools.reduce((most, { outerUm }) => Math.max(most, outerUm), 0);
  return {
    count,
    leftUm,
    projectionNeededUm: spools.length > 0 ? Math.ceil(largest / 2) + WALL_PLAY_UM : 0,
    refused: refused.sort((p, q) => p.index - q.index),
  };
}

/**
 * What must come off a rod before one can be taken: those before it from an open end, the shorter way where both ends are open;
 * all of them where it has to be taken down. Answers their places, in the order they come off.
 */
export function comesOff(index: number, count: number, open: 'left' | 'right' | 'both'): readonly number[] {
  if (!Number.isInteger(index) || index < 0 || index >= count)
    throw new RangeError(`There is no spool ${index} on a rod of ${count}.`);
  const fromLeft = Array.from({ length: index }, (_, i) => i);
  const fromRight = Array.from({ length: count - 1 - index }, (_, i) => count - 1 - i);
  if (open === 'left') return fromLeft;
  if (open === 'right') return fromRight;
  return fromRight.length < fromLeft.length ? fromRight : fromLeft;
}
