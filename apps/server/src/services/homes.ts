import {
  labOf,
  makeDrawerOf,
  makeGroupOf,
  makeRecipeOrder,
  recipeOf,
  type Recipes,
  type Scheme,
  type Sortable,
} from '@red-shelf/core';
import type { DrawersBody, RecordBody, SupplyView } from '@red-shelf/contract';
import type { Readable } from '../db/tx';
import { standingRecords } from '../db/recordRepository';

export const toSortable = (supply: SupplyView): Sortable => ({
  ...supply,
  lab: labOf(supply.hex),
  uses: supply.stock.uses,
});

type Homes = Map<string, Set<string>>;

/** Supplies that belong in one unit and nowhere else, by unit: those of a palette, those of a drawer. */
export async function homes(
  db: Readable,
  supplies: readonly SupplyView[],
  recipes: Recipes,
  scheme: Scheme,
): Promise<ReadonlyMap<string, ReadonlySet<string>>> {
  const found: Homes = new Map();
  const bodies: RecordBody[] = (await standingRecords(db)).map(({ body }) => body);
  for (const body of bodies) {
    if (body.sort === 'group' && body.what === 'palette' && body.home)
      for (const { supplyId } of body.members) put(found, body.home, supplyId);
    if (body.sort === 'drawers') drawerHomes(found, body, supplies, recipes, scheme);
  }
  return found;
}

function put(homesFound: Homes, unitId: string, supplyId: string): void {
  const there = homesFound.get(unitId);
  if (there) there.add(supplyId);
  else homesFound.set(unitId, new Set([supplyId]));
}

/** A drawer that is a unit keeps it for its own things, also while it has none. */
function drawerHomes(
  found: Homes,
  { kind, form, key, drawers }: DrawersBody,
  supplies: readonly SupplyView[],
  recipes: Recipes,
  scheme: Scheme,
): void {
  if (drawers.every(({ unitId }) => unitId === null)) return;
  const pile = supplies
    .filter((each) => each.kind === kind && (form === null || each.form === form))
    .map(toSortable);
  const order = makeRecipeOrder(recipeOf(recipes, { kind, form: form ?? '' }), scheme, pile);
  const drawerOf = makeDrawerOf(drawers, makeGroupOf(key, pile), order, pile);
  for (const { unitId } of drawers) if (unitId && !found.has(unitId)) found.set(unitId, new Set());
  for (const item of pile) {
    const unitId = drawers[drawerOf(item) ?? -1]?.unitId;
    if (unitId) put(found, unitId, item.id);
  }
}
