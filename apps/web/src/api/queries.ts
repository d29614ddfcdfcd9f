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

/** What a list came with: the order it stands in, which a mended list has none of, and the last change it knows. */
const cameWith = new WeakMap<
  readonly SupplyView[],
  { readonly order: string | null; readonly seq: number }
>();

type List = readonly SupplyView[];

/** A list with some supplies replaced, added or taken out. */
function mended(list: List, changed: readonly SupplyView[], gone: readonly string[] = []): List {
  const byId = new Map(changed.map((supply) => [supply.id, supply]));
  const out = new Set(gone);
  const kept = list.flatMap((supply) => {
    if (out.has(supply.id)) return [];
    const now = byId.get(supply.id);
    byId.delete(supply.id);
    return [now ?? supply];
  });
  return [...kept, ...byId.values()];
}

/** The whole list once; after that only what changed since, with the walls and records of then. */
async function fetchSupplies(client: QueryClient): Promise<List> {
  const known = client.getQueryData<List>(keys.supplies);
  const came = known && cameWith.get(known);
  if (!known || came === undefined) {
    const { supplies, order, seq } = await call(routes.listSupplies);
    // A server that tells no number is asked for everything each time.
    cameWith.set(supplies, { order, seq: Number.isInteger(seq) ? seq : NO_SEQ });
    return supplies;
  }
  if (came.seq === NO_SEQ) {
    cameWith.delete(known);
    return fetchSupplies(client);
  }
  const news = await call(routes.since, { id: String(came.seq) });
  client.setQueryData(keys.wall, news.wall);
  client.setQueryData(keys.records, news.records);
  // What was mended while this was asked for is newer than what it was asked about.
  const list = client.getQueryData<List>(keys.supplies) ?? known;
  if (!news.all && news.supplies.length === 0 && news.gone.length === 0) {
    cameWith.set(list, { order: cameWith.get(list)?.order ?? null, seq: news.seq });
    return list;
  }
  const next = news.all ? news.supplies : mended(list, news.supplies, news.gone);
  cameWith.set(next, { order: null, seq: news.seq });
  return next;
}
const NO_SEQ = -1;

/** Puts a supply that an answer carried into the list at once, before anything is fetched again. */
export function mendSupply(client: QueryClient, supply: SupplyView): void {
  client.setQueryData<List>(keys.supplies, (list) => {
    if (!list) return list;
    const next = mended(list, [supply]);
    cameWith.set(next, { order: null, seq: cameWith.get(list)?.seq ?? NO_SEQ });
    return next;
  });
  client.setQueryData<{ supply: SupplyView }>(
    keys.supply(supply.id),
    (known) => known && { ...known, supply },
  );
}

/** Whether a fetch of the list brings the walls and records with it. */
export const bringsAll = (client: QueryClient): boolean => {
  const list = client.getQueryData<List>(keys.supplies);
  return list !== undefined && (cameWith.get(list)?.seq ?? NO_SEQ) !== NO_SEQ;
};

const suppliesQuery = {
  queryKey: keys.supplies,
  queryFn: ({ client }: { client: QueryClient }): Promise<List> => fetchSupplies(client),
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
): boolean => cameWith.get(supplies)?.order === orderName(familyOrder, lightness);

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
