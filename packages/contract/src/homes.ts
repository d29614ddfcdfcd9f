import {
  labOf,
  makeDrawerOf,
  makeGroupOf,
  makeRecipeOrder,
  recipeOf,
  useOf,
  type Ordering,
  type RoomNow,
  type Sortable,
} from '@red-shelf/core';
import type { RecordBody } from './records';
import type { DrawersBody } from './records/drawers';
import type { SupplyView } from './supply';

export type SortableSupply = SupplyView & Sortable;

/** The collection each supply is kept in, by name; the first one where it is in several. */
export function collectionsIn(
  records: readonly { readonly body: RecordBody }[],
): ReadonlyMap<string, string> {
  const names = new Map<string, string>();
  for (const { body } of records)
    if (body.sort === 'group' && body.what === 'collection' && !body.dissolvedOn)
      for (const { supplyId } of body.members) if (!names.has(supplyId)) names.set(supplyId, body.name);
  return names;
}

/** A supply as recipes sort it. */
export const toSortable = (
  supply: SupplyView,
  collections?: ReadonlyMap<string, string>,
): SortableSupply => ({
  ...supply,
  lab: labOf(supply.hex),
  uses: useOf(supply),
  collection: collections?.get(supply.id),
});

/** Whether a plan of drawers speaks of a thing. */
const speaksOf = ({ kind, form }: DrawersBody, supply: SupplyView): boolean =>
  supply.kind === kind && (form === null || supply.form === form);

/** Tells the drawer of a plan each thing of it lies in, counted from 0, or null where it has none yet. */
export function planDrawerOf(
  plan: DrawersBody,
  supplies: readonly SupplyView[],
  ordering: Ordering,
): (supply: SupplyView) => number | null {
  const pile = supplies.filter((supply) => speaksOf(plan, supply)).map((supply) => toSortable(supply));
  const recipe = recipeOf(ordering.recipes, { kind: plan.kind, form: plan.form ?? '' });
  const order = makeRecipeOrder(recipe, ordering, pile);
  const drawerOf = makeDrawerOf(plan.drawers, makeGroupOf(plan.key, pile, ordering, recipe), order, pile);
  return (supply) => (speaksOf(plan, supply) ? drawerOf(toSortable(supply)) : null);
}

/**
 * Which units are kept for whom: the home of a palette for its colours, a drawer that is a unit for what the plan puts in
 * it, also while that is nothing. The one answer, asked by Arrange on the server and by the room on the screen.
 */
export function homesIn(
  records: readonly { readonly body: RecordBody }[],
  supplies: readonly SupplyView[],
  ordering: Ordering,
): Required<Pick<RoomNow, 'keptFor' | 'homeOf'>> {
  const kept = new Map<string, Set<string>>();
  const home = new Map<string, string>();
  const keep = (unitId: string): Set<string> => {
    const ids = kept.get(unitId) ?? new Set<string>();
    kept.set(unitId, ids);
    return ids;
  };
  const put = (unitId: string, supplyId: string): void => {
    keep(unitId).add(supplyId);
    home.set(supplyId, unitId);
  };
  for (const { body } of records) {
    if (body.sort === 'group' && body.what === 'palette' && body.home && !body.dissolvedOn)
      for (const { supplyId } of body.members) put(body.home, supplyId);
    if (body.sort !== 'drawers' || body.drawers.every(({ unitId }) => unitId === null)) continue;
    const drawerOf = planDrawerOf(body, supplies, ordering);
    for (const { unitId } of body.drawers) if (unitId) keep(unitId);
    for (const supply of supplies) {
      const unitId = body.drawers[drawerOf(supply) ?? -1]?.unitId;
      if (unitId) put(unitId, supply.id);
    }
  }
  return { keptFor: (unitId) => kept.get(unitId), homeOf: (supplyId) => home.get(supplyId) };
}
