import { bodyOf } from '../stash/body';
import { wayIn, type Lodger, type RoomNow } from './mayLive';
import { holdsOf } from './models/models';
import { poolFit, type PoolFit } from './pool';
import type { Unit } from './unit';

/** A place things could go to, and what it costs to have it, in the smallest coin; nothing when it is there already. */
export interface Candidate {
  readonly unit: Unit;
  readonly price?: number;
}

/** What becomes of the contents in one candidate. */
export interface Compared<T extends Lodger> extends Pick<PoolFit<T>, 'fits' | 'leftOver' | 'freed' | 'most'> {
  readonly unit: Unit;
  /** How deep things are, of the depth there is: the rest is dead room behind them; 0 to 1. */
  readonly depthShare: number;
  /** Share of them that is not seen as one stands before it, 0 to 1. */
  readonly hiddenShare: number;
  /** Price for each thing that fits; null without a price, or where none fits. */
  readonly priceEach: number | null;
}

/** What the first speaks for against the next: what counts most in which they differ. */
export type CompareReason =
  'takes_more' | 'hides_less' | 'frees_more' | 'cheaper' | 'less_dead_room' | 'alike';

export interface Comparison<T extends Lodger> {
  /** The recommended one first. */
  readonly ranked: readonly Compared<T>[];
  /** Why the first stands before each other one, in their order. */
  readonly because: readonly CompareReason[];
}

/** Shares that differ by less than this are alike to a person. */
const NOTICED = 0.05;

/** What counts, in its order: above nothing where `a` is better than `b`. */
const COUNTS: readonly (readonly [CompareReason, (a: Compared<Lodger>, b: Compared<Lodger>) => number])[] = [
  ['takes_more', (a, b) => a.fits.length - b.fits.length],
  ['hides_less', (a, b) => noticed(b.hiddenShare - a.hiddenShare)],
  ['frees_more', (a, b) => a.freed.places - b.freed.places],
  ['cheaper', (a, b) => (a.priceEach === null || b.priceEach === null ? 0 : b.priceEach - a.priceEach)],
  ['less_dead_room', (a, b) => noticed(a.depthShare - b.depthShare)],
];
const noticed = (by: number): number => (Math.abs(by) < NOTICED ? 0 : by);

function reasonFor(
  a: Compared<Lodger>,
  b: Compared<Lodger>,
): { readonly code: CompareReason; readonly by: number } {
  for (const [code, better] of COUNTS) {
    const by = better(a, b);
    if (by !== 0) return { code, by };
  }
  return { code: 'alike', by: 0 };
}

const mean = (values: readonly number[]): number =>
  values.length === 0 ? 0 : values.reduce((sum, value) => sum + value, 0) / values.length;

function compared<T extends Lodger>(
  contents: readonly T[],
  from: readonly Unit[],
  { unit, price }: Candidate,
  room: RoomNow,
): Compared<T> {
  const { fits, leftOver, freed, most } = poolFit(contents, from, [unit], room);
  const bodies = fits.map(({ thing }) => bodyOf(thing.supply, thing.lot).all);
  const holds = unit.model && holdsOf(unit.model);
  const depths = fits.map(({ thing, cell }) => {
    const deep = holds?.space(cell).depthUm ?? 0;
    return deep > 0 ? Math.min(1, (wayIn(thing, { unit, cell })?.depthUm ?? 0) / deep) : 0;
  });
  return {
    unit,
    fits,
    leftOver,
    freed,
    most,
    depthShare: mean(depths),
    hiddenShare: fits.length === 0 ? 0 : (holds?.hidden(bodies).length ?? 0) / fits.length,
    priceEach: price === undefined || fits.length === 0 ? null : price / fits.length,
  };
}

/**
 * The same contents in two or three candidates side by side, and which is recommended: the one that takes most; of those that take
 * as many the one that hides least, then frees most, then costs least a thing, then leaves least dead room behind things.
 */
export function compareHomes<T extends Lodger>(
  contents: readonly T[],
  from: readonly Unit[],
  candidates: readonly Candidate[],
  room?: RoomNow,
): Comparison<T> {
  const ranked = candidates
    .map((candidate) => compared(contents, from, candidate, room ?? { livingIn: () => [] }))
    .sort((a, b) => -reasonFor(a, b).by);
  const [first, ...others] = ranked;
  return { ranked, because: first ? others.map((other) => reasonFor(first, other).code) : [] };
}
