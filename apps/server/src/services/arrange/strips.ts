import {
  ciede2000,
  DEFAULT_SCHEME,
  hasColour,
  inOrders,
  inStash,
  lookUp,
  makeGrouping,
} from '@red-shelf/core';
import {
  collectionsIn,
  toSortable,
  type SortableSupply,
  type Strips,
  type StripsRequest,
} from '@red-shelf/contract';
import { standingRecords } from '../../db/recordRepository';
import { allSupplies } from '../../db/supplyRepository';
import { asideOf } from '../aside';
import type { Context } from '../context';
import { supplyToView } from '../views';

/** How smooth each strip is. Of a large stash, which takes long, fewer are made. */
const STOPS = [0, 0.1, 0.2, 0.3, 0.4, 0.5, 0.6, 0.7, 0.8, 0.9, 1] as const;
const FEW = [0, 0.25, 0.5, 0.75, 1] as const;
const MANY = 500;
/** Theirs are shaken less: the strip of colours is the same to the eye, a mean step within three in a hundred. */
const LITTLE_EFFORT = 1;

/** One order, tried on the person's own things from by lightness to as smooth as can be; worked out beside. */
export const stripsOf = (context: Context, request: StripsRequest, signal?: AbortSignal): Promise<Strips> =>
  asideOf(context)('strips', request, signal ? { signal } : {});

export async function stripsHere({ store }: Context, request: StripsRequest): Promise<Strips> {
  const kinds = new Set<string>(request.kinds);
  const collections = collectionsIn(await standingRecords(store.read));
  const pile = (await allSupplies(store.read))
    .map(supplyToView)
    .filter((supply) => inStash(supply) && kinds.has(supply.kind))
    .map((supply) => toSortable(supply, collections));
  const ordering = { ...DEFAULT_SCHEME, ...request.scheme, recipes: request.recipes ?? {} };
  const { groupOf } = makeGrouping(ordering.recipes, ordering, pile);
  const large = pile.length > MANY;
  const smooths = large ? FEW : STOPS;
  const rows = inOrders(pile, { ...ordering, ...(large ? { effort: LITTLE_EFFORT } : {}) }, smooths);
  const light = rows[0] ?? [];
  const at = new Map(light.map(({ id }, i) => [id, i]));
  const stops = rows.map((row, i) => {
    const sought = row.map((item) => ({
      group: groupOf(item),
      rank: at.get(item.id) ?? 0,
      uses: 1,
      reach: 'near' as const,
    }));
    return {
      smooth: smooths[i] ?? 0,
      row: row.map(({ id }) => at.get(id) ?? 0),
      meanStep: meanStep(row),
      byLightness: lookUp([sought]).inOrder,
    };
  });
  return { ids: light.map(({ id }) => id), stops };
}

/** Mean CIEDE2000 from one to the next; null below two. */
function meanStep(row: readonly SortableSupply[]): number | null {
  const coloured = row.filter((item) => hasColour(item));
  const steps = coloured.slice(1).map((item, i) => ciede2000(coloured[i]?.lab ?? item.lab, item.lab));
  return steps.length === 0 ? null : steps.reduce((sum, step) => sum + step, 0) / steps.length;
}
