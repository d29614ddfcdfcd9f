import { labOf, makeDrawerOf, makeGroupOf, makeRecipeOrder, recipeOf, type Sortable } from '@red-shelf/core';
import type { DrawersBody, Preferences, SupplyView, UnitView } from '@red-shelf/contract';
import { useMemo } from 'react';
import { recordsOf, usePreferences, useRecords, type Stash } from '../api/queries';
import { addressOf } from '../copy/supply';

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

/** Says where a thing lives: its slot's address, else the drawer it was given, else null. */
export type Where = (supply: SupplyView) => string | null;

export function makeWhere(
  supplies: readonly SupplyView[],
  units: readonly UnitView[],
  plans: readonly DrawersBody[],
  preferences: Preferences,
): Where {
  // A plan for one form goes before one for its whole kind.
  const drawersOf = [...plans]
    .sort((p, q) => Number(p.form === null) - Number(q.form === null))
    .map((plan) => planDrawerOf(plan, supplies, preferences));
  const unitById = new Map(units.map((unit) => [unit.id, unit]));
  return (supply) => {
    const unit = unitById.get(supply.place?.unitId ?? '');
    const address = unit ? addressOf(supply, [unit]) : null;
    if (address !== null) return address;
    for (const drawerOf of drawersOf) {
      const drawer = drawerOf(supply);
      if (drawer !== null) return `drawer ${drawer + 1}`;
    }
    return null;
  };
}

/** Where everything of the stash lives. */
export function useWhere(stash: Stash | undefined): Where {
  const { data } = useRecords();
  const { preferences } = usePreferences();
  return useMemo(
    () =>
      makeWhere(
        stash?.supplies ?? [],
        stash?.wall.units ?? [],
        recordsOf(data, 'drawers').map(({ body }) => body),
        preferences,
      ),
    [stash, data, preferences],
  );
}
