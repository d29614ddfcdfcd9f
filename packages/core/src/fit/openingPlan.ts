import type { Size } from '../kinds/definition';
import { mustMeasure } from './positive';

/** Something that could stand in an opening: its outside as it stands, how many there are, what one costs. */
export interface OpeningUnit {
  readonly size: Size;
  /** How many there are; as many as one likes when left out. */
  readonly count?: number;
  /** Price of one, in any one currency's smallest coin. */
  readonly price?: number;
}

/** Things side by side on one floor. */
export interface OpeningLayer {
  /** Units of it from left to right, by their place in the list. */
  readonly units: readonly number[];
  readonly heightUm: number;
  /** Width left beside them, µm. */
  readonly leftUm: number;
}

export interface OpeningPlan {
  /** How many of each unit, in the order they were given. */
  readonly take: readonly number[];
  /** From the floor up, the highest below. */
  readonly layers: readonly OpeningLayer[];
  /** Share of the opening's volume that is filled, 0 to 1. */
  readonly usedShare: number;
  /** What stays free above, and behind the deepest, µm; beside them each layer says. */
  readonly leftUm: { readonly heightUm: number; readonly depthUm: number };
  /** What they cost together; null where one of them has no price. */
  readonly price: number | null;
  /** Units of which none goes in at all, by their place in the list. */
  readonly tooLarge: readonly number[];
  /** False where there were more ways than could be tried: the best of those that were. */
  readonly best: boolean;
}

/** More ways than this are not tried; an opening of usual furniture has some hundreds. */
const MOST_WAYS = 400_000;

/** What has no price may not look cheap. */
const UNPRICED = 1e12;

interface Kind {
  readonly at: number;
  readonly w: number;
  readonly h: number;
  readonly volume: number;
  readonly price: number;
  readonly most: number;
}
interface Way {
  readonly volume: number;
  readonly price: number;
  readonly layers: readonly (readonly number[])[];
}

/** How many of each kind a layer may hold, one count a kind: every set that goes side by side, also those with room left. */
function* sideBySide(
  kinds: readonly Kind[],
  left: readonly number[],
  widthUm: number,
  from = 0,
): Generator<number[]> {
  const kind = kinds[from];
  if (!kind) {
    yield [];
    return;
  }
  const most = Math.min(left[from] ?? 0, Math.floor(widthUm / kind.w));
  for (let n = most; n >= 0; n--)
    for (const others of sideBySide(kinds, left, widthUm - n * kind.w, from + 1)) yield [n, ...others];
}

const better = (p: Pick<Way, 'volume' | 'price'>, q: Pick<Way, 'volume' | 'price'>): boolean =>
  p.volume !== q.volume ? p.volume > q.volume : p.price < q.price;

/** The fullest stack of layers, none higher than the one below it; what is left to stack decides it, so it is kept. */
function fullest(kinds: readonly Kind[], { widthUm, heightUm }: Size): { way: Way; tried: number } {
  let tried = 0;
  const known = new Map<string, Way>();
  const NOTHING: Way = { volume: 0, price: 0, layers: [] };
  const above = (left: readonly number[], roomUm: number, capUm: number): Way => {
    // What is higher than the layer below would have stood below it.
    const open = kinds.map(({ h }, i) => (h <= Math.min(roomUm, capUm) ? (left[i] ?? 0) : 0));
    if (open.every((n) => n === 0) || tried > MOST_WAYS) return NOTHING;
    const key = `${open.join()} ${roomUm}`;
    const before = known.get(key);
    if (before) return before;
    let best = NOTHING;
    for (const layer of sideBySide(kinds, open, widthUm)) {
      if (++tried > MOST_WAYS) break;
      const high = kinds.reduce((most, { h }, i) => ((layer[i] ?? 0) > 0 ? Math.max(most, h) : most), 0);
      if (high === 0) continue;
      const rest = above(
        open.map((n, i) => n - (layer[i] ?? 0)),
        roomUm - high,
        high,
      );
      const sum = (of: 'volume' | 'price'): number =>
        kinds.reduce((all, kind, i) => all + (layer[i] ?? 0) * kind[of], 0);
      const way = {
        volume: sum('volume') + rest.volume,
        price: sum('price') + rest.price,
        layers: [layer, ...rest.layers],
      };
      if (better(way, best)) best = way;
    }
    known.set(key, best);
    return best;
  };
  return {
    way: above(
      kinds.map(({ most }) => most),
      heightUm,
      heightUm,
    ),
    tried,
  };
}

/**
 * Which set of units fills an opening best: side by side in layers on one another, each as it stands. The fullest wins by
 * volume; of those as full the cheapest. `opening` is the inside as seen from the front; µm. Throws RangeError for what is no
 * length.
 */
export function openingPlan(units: readonly OpeningUnit[], opening: Size): OpeningPlan {
  mustMeasure('The opening', opening, 'nothing or more');
  for (const { size, count = 0, price = 0 } of units) {
    mustMeasure('A unit', size, 'above nothing');
    mustMeasure('A unit', { count, price }, 'nothing or more');
  }
  const { widthUm, heightUm, depthUm } = opening;
  const goes = ({ size }: OpeningUnit): boolean =>
    size.widthUm <= widthUm && size.heightUm <= heightUm && size.depthUm <= depthUm;
  const kinds = units.flatMap((unit, at): Kind[] => {
    if (!goes(unit)) return [];
    const { widthUm: w, heightUm: h, depthUm: d } = unit.size;
    const most = Math.min(unit.count ?? Infinity, Math.floor(widthUm / w) * Math.floor(heightUm / h));
    return [{ at, w, h, volume: w * h * d, price: unit.price ?? UNPRICED, most }];
  });
  const { way, tried } = fullest(kinds, opening);
  const layers = way.layers.map((layer): OpeningLayer => {
    const standing = kinds.flatMap((kind, i) => Array.from({ length: layer[i] ?? 0 }, () => kind));
    return {
      units: standing.map(({ at }) => at),
      heightUm: Math.max(...standing.map(({ h }) => h)),
      leftUm: widthUm - standing.reduce((sum, { w }) => sum + w, 0),
    };
  });
  const taken = layers.flatMap((layer) => layer.units);
  const take = units.map((_, at) => taken.filter((each) => each === at).length);
  const bare = widthUm * heightUm * depthUm;
  const deepest = taken.reduce((most, at) => Math.max(most, units[at]?.size.depthUm ?? 0), 0);
  const priced = taken.every((at) => units[at]?.price !== undefined);
  return {
    take,
    layers,
    usedShare: bare > 0 ? way.volume / bare : 0,
    leftUm: {
      heightUm: heightUm - layers.reduce((sum, layer) => sum + layer.heightUm, 0),
      depthUm: depthUm - deepest,
    },
    price: priced ? way.price : null,
    tooLarge: units.flatMap((unit, at) => (goes(unit) ? [] : [at])),
    best: tried <= MOST_WAYS,
  };
}
