import {
  planDrawerOf,
  type DrawersBody,
  type Preferences,
  type SupplyView,
  type UnitView,
} from '@red-shelf/contract';
import { useMemo } from 'react';
import { awayIn } from './away';
import { addressesOf, BENCH } from './contents';
import { recordsOf, usePreferences, useRecords, type Stash } from './queries';

/** Says where a thing lives: the addresses of its places, else the drawer it was given, else null. */
export type Where = (supply: SupplyView) => string | null;
/** The same, one by one. */
export type Addresses = (supply: SupplyView) => readonly string[];

export function makeAddresses(
  supplies: readonly SupplyView[],
  units: readonly UnitView[],
  plans: readonly DrawersBody[],
  preferences: Preferences,
  away: ReadonlyMap<string, string> = new Map(),
): Addresses {
  // A plan for one form goes before one for its whole kind.
  const drawersOf = [...plans]
    .sort((p, q) => Number(p.form === null) - Number(q.form === null))
    .map((plan) => planDrawerOf(plan, supplies, preferences));
  const unitById = new Map(units.map((unit) => [unit.id, unit]));
  return (supply) => {
    const gone = away.get(supply.id);
    const here = addressesOf(supply, unitById);
    // What is packed is on the bench no more; what is out has its place still.
    const addresses = gone ? [...here.filter((each) => each !== BENCH), gone] : here;
    if (addresses.length > 0) return addresses;
    for (const drawerOf of drawersOf) {
      const drawer = drawerOf(supply);
      if (drawer !== null) return [`drawer ${drawer + 1}`];
    }
    return [];
  };
}

const asWhere =
  (addresses: Addresses): Where =>
  (supply) =>
    addresses(supply).join(', ') || null;

export const makeWhere = (...given: Parameters<typeof makeAddresses>): Where =>
  asWhere(makeAddresses(...given));

/** Where everything of the stash lives, address by address. */
export function useAddresses(stash: Stash | undefined): Addresses {
  const { data } = useRecords();
  const { preferences } = usePreferences();
  return useMemo(
    () =>
      makeAddresses(
        stash?.supplies ?? [],
        stash?.wall.units ?? [],
        recordsOf(data, 'drawers').map(({ body }) => body),
        preferences,
        awayIn(data),
      ),
    [stash, data, preferences],
  );
}

/** Where everything of the stash lives. */
export function useWhere(stash: Stash | undefined): Where {
  const addresses = useAddresses(stash);
  return useMemo(() => asWhere(addresses), [addresses]);
}
