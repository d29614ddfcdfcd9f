import { useQuery, type QueryClient } from '@tanstack/react-query';
import { FAMILY_GROUPS } from '@red-shelf/core';
import {
  orderName,
  PREFERENCES_ID,
  type Preferences,
  type RecordView,
  type SupplyView,
  type WallView,
} from '@red-shelf/contract';
import { useMemo } from 'react';
import { call, routes } from './client';

/** Names of what is fetched, so that a change knows what to fetch again. */
export const keys = {
  supplies: ['supplies'] as const,
  supply: (id: string) => ['supply', id] as const,
  wall: ['wall'] as const,
  arrange: ['arrange'] as const,
  records: ['records'] as const,
  journal: ['journal'] as const,
};

/** The order a list came in, by the list; a mended list is in none. */
const orders = new WeakMap<readonly SupplyView[], string>();

const suppliesQuery = {
  queryKey: keys.supplies,
  queryFn: async (): Promise<readonly SupplyView[]> => {
    const { supplies, order } = await call(routes.listSupplies);
    orders.set(supplies, order);
    return supplies;
  },
};
const wallQuery = { queryKey: keys.wall, queryFn: () => call(routes.getWall) };
const recordsQuery = {
  queryKey: keys.records,
  queryFn: async () => (await call(routes.listRecords)).records,
};

/** Asks for what nearly every screen needs. */
export function fetchFirst(client: QueryClient): void {
  void client.prefetchQuery(suppliesQuery);
  void client.prefetchQuery(wallQuery);
  void client.prefetchQuery(recordsQuery);
}

/** Whether a list came from the server in the person's own rainbow order already. */
export const isInOrder = (
  supplies: readonly SupplyView[],
  { familyOrder, lightness }: Preferences,
): boolean => orders.get(supplies) === orderName(familyOrder, lightness);

const useSupplies = () => useQuery(suppliesQuery);
const useWall = () => useQuery(wallQuery);

export const useSupply = (id: string) =>
  useQuery({ queryKey: keys.supply(id), queryFn: () => call(routes.getSupply, { id }) });

/** Kits, packs, ranges, sessions, preferences. */
export const useRecords = () => useQuery(recordsQuery);

/** Records of one sort, with their bodies of that sort. */
export function recordsOf<S extends RecordView['body']['sort']>(
  records: readonly RecordView[] | undefined,
  sort: S,
): (RecordView & { body: Extract<RecordView['body'], { sort: S }> })[] {
  return (records ?? []).filter(
    (record): record is RecordView & { body: Extract<RecordView['body'], { sort: S }> } =>
      record.body.sort === sort,
  );
}

export const DEFAULT_PREFERENCES: Preferences = {
  sort: 'preferences',
  familyOrder: [...FAMILY_GROUPS],
  lightness: 'light-first',
  units: 'metric',
  currency: 'EUR',
  caps: {},
  recipes: {},
  purposes: [],
  hemisphere: 'north',
  hideOutOfSeason: false,
  muted: [],
};

/** The person's own order of families, units and currency, and the record they are kept in. */
export function usePreferences(): { preferences: Preferences; version: number } {
  const { data } = useRecords();
  const kept = recordsOf(data, 'preferences').find(({ id }) => id === PREFERENCES_ID);
  return useMemo(
    () => ({ preferences: { ...DEFAULT_PREFERENCES, ...kept?.body }, version: kept?.version ?? 0 }),
    [kept],
  );
}

/** Everything the screens draw from, once both lists are there. */
export interface Stash {
  readonly supplies: readonly SupplyView[];
  readonly wall: WallView;
  readonly byId: ReadonlyMap<string, SupplyView>;
}

export function useStash(): { stash: Stash | undefined; error: Error | null } {
  const supplies = useSupplies();
  const wall = useWall();
  const stash = useMemo(() => {
    if (!supplies.data || !wall.data) return undefined;
    return {
      supplies: supplies.data,
      wall: wall.data,
      byId: new Map(supplies.data.map((supply) => [supply.id, supply])),
    };
  }, [supplies.data, wall.data]);
  return { stash, error: stash ? null : (supplies.error ?? wall.error) };
}
