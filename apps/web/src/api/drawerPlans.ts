import { labOf, makeDrawerOf, makeGroupOf, makeRecipeOrder, recipeOf, type Sortable } from '@red-shelf/core';
import type { DrawersBody, Preferences, SupplyView } from '@red-shelf/contract';

export type SortableSupply = SupplyView & Sortable;

/** A supply as recipes sort it. */
export const toSortable = (supply: SupplyView): SortableSupply => ({
  ...supply,
  lab: labOf(supply.hex),
  uses: supply.stock.uses,
});

/** Whether a plan of drawers speaks of a thing. */
const speaksOf = ({ kind, form }: DrawersBody, supply: SupplyView): boolean =>
  supply.kind === kind && (form === null || supply.form === form);

/** Tells the drawer of a plan each thing of it lies in, counted from 0, or null where it has none yet. */
export function planDrawerOf(
  plan: DrawersBody,
  supplies: readonly SupplyView[],
  preferences: Preferences,
): (supply: SupplyView) => number | null {
  const pile = supplies.filter((supply) => speaksOf(plan, supply)).map(toSortable);
  const recipe = recipeOf(preferences.recipes, { kind: plan.kind, form: plan.form ?? '' });
  const order = makeRecipeOrder(recipe, preferences, pile);
  const drawerOf = makeDrawerOf(plan.drawers, makeGroupOf(plan.key, pile), order, pile);
  return (supply) => (speaksOf(plan, supply) ? drawerOf(toSortable(supply)) : null);
}
