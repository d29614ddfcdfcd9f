import type { Size } from '../kinds/definition';
import { mustMeasure } from './positive';

/** The two sides of a sheet or a pocket, µm. */
export type FlatSides = Pick<Size, 'widthUm' | 'heightUm'>;

/** How a sheet goes into a pocket. */
export interface PocketFit {
  /** It goes in as it is, goes in once a strip is cut off, or stays out. */
  readonly verdict: 'fits' | 'trim' | 'too_large';
  /** Whether it goes in a quarter turned. */
  readonly quarterTurned: boolean;
  /** What has to be cut off across and up, µm; nothing where it fits, all it is too large by where it stays out. */
  readonly trimUm: FlatSides;
  /** Free across and up once it is in, µm. */
  readonly clearUm: FlatSides;
}

export interface PocketOptions {
  /** Free width and height the sheet needs to slide in, µm. */
  readonly clearanceUm?: number;
  /** The widest strip one may cut off a side, µm; nothing when left out: a printed sheet is not cut unasked. */
  readonly mayTrimUm?: number;
  /** Whether it may lie on its side, where its title can no longer be read. */
  readonly mayTurn?: boolean;
}

const over = (needUm: number, haveUm: number): number => Math.max(0, needUm - haveUm);
const cutAway = ({ trimUm }: PocketFit, sheet: FlatSides): number =>
  trimUm.widthUm * sheet.heightUm + trimUm.heightUm * sheet.widthUm - trimUm.widthUm * trimUm.heightUm;

function oneWay(
  sheet: FlatSides,
  pocket: FlatSides,
  { clearanceUm = 0, mayTrimUm = 0 }: PocketOptions,
  quarterTurned: boolean,
): PocketFit {
  const trimUm = {
    widthUm: over(sheet.widthUm + clearanceUm, pocket.widthUm),
    heightUm: over(sheet.heightUm + clearanceUm, pocket.heightUm),
  };
  const most = Math.max(trimUm.widthUm, trimUm.heightUm);
  const clearUm = {
    widthUm: Math.max(0, pocket.widthUm - sheet.widthUm + trimUm.widthUm),
    heightUm: Math.max(0, pocket.heightUm - sheet.heightUm + trimUm.heightUm),
  };
  return {
    verdict: most === 0 ? 'fits' : most <= mayTrimUm ? 'trim' : 'too_large',
    quarterTurned,
    trimUm,
    clearUm,
  };
}

const RANK = { fits: 0, trim: 1, too_large: 2 } as const;

/**
 * A sheet into a pocket: it fits, fits with a trim of so much, or stays out; upright first, else the way that cuts away
 * less. µm. Throws RangeError for what is no length.
 */
export function pocketFit(sheet: FlatSides, pocket: FlatSides, options: PocketOptions = {}): PocketFit {
  mustMeasure('The sheet', sheet, 'above nothing');
  mustMeasure('The pocket', pocket, 'nothing or more');
  const upright = oneWay(sheet, pocket, options, false);
  if (!options.mayTurn || upright.verdict === 'fits') return upright;
  const lying = { widthUm: sheet.heightUm, heightUm: sheet.widthUm };
  const turned = oneWay(lying, pocket, options, true);
  const better =
    RANK[turned.verdict] - RANK[upright.verdict] || cutAway(turned, lying) - cutAway(upright, sheet);
  return better < 0 ? turned : upright;
}

/**
 * Of pockets the one to use: the smallest that takes the sheet as it is, else the one that asks for the least trim; with how it
 * fits there. Null where none takes it.
 */
export function smallestPocket<P extends FlatSides>(
  sheet: FlatSides,
  pockets: readonly P[],
  options: PocketOptions = {},
): { readonly pocket: P; readonly fit: PocketFit } | null {
  const area = ({ widthUm, heightUm }: FlatSides): number => widthUm * heightUm;
  const [best] = pockets
    .map((pocket) => ({ pocket, fit: pocketFit(sheet, pocket, options) }))
    .filter(({ fit }) => fit.verdict !== 'too_large')
    .sort(
      (p, q) =>
        RANK[p.fit.verdict] - RANK[q.fit.verdict] ||
        cutAway(p.fit, sheet) - cutAway(q.fit, sheet) ||
        area(p.pocket) - area(q.pocket),
    );
  return best ?? null;
}
