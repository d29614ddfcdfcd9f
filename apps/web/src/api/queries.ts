import { FAMILY_GROUPS, inStash } from '@red-shelf/core';
import {
  orderName,
  PREFERENCES_ID,
  type LedgerView,
  type Preferences,
  type RecordView,
  type SupplyView,
  type UnitView,
  type WallView,
} from '@red-shelf/contract';
import { useQuery, useQueryClient, type QueryClient } from '@tanstack/react-query';
import { useDeferredValue, useMemo, useSyncExternalStore } from 'react';
import { ApiError, glance, routes } from './client';
import type { ById } from './indexed';
import { fetchBeside, fetchSupplies, fetchSupply, keys, orderOf, sameOrder } from './list';
import { outboxOf, recordsOver, shownOver } from './outgoing';
import type { Shown } from './overlay';

const suppliesQuery = {
  queryKey: keys.supplies,
  queryFn: ({ client }: { client: QueryClient }) => fetchSupplies(client),
};
const wallQuery = {
  queryKey: keys.wall,
  queryFn: ({ client }: { client: QueryClient }) =>
    fetchBeside(client, keys.wall, () => glance(routes.getWall)),
};
const recordsQuery = {
  queryKey: keys.records,
  queryFn: ({ client }: { client: QueryClient }) =>
    fetchBeside(client, keys.records, async () => (await glance(routes.listRecords)).records),
};

/** Asks for what nearly every screen needs. */
export function fetchFirst(client: QueryClient): void {
  void client.prefetchQuery(suppliesQuery);
  void client.prefetchQuery(wallQuery);
  void client.prefetchQuery(recordsQuery);
}

const NO_RECORDS: readonly RecordView[] = [];

/** What the server said last, with what waits laid over it. */
function useShown(): { shown: Shown | undefined; wall: Stash['wall'] | undefined; error: Error | null } {
  const client = useQueryClient();
  const supplies = useQuery(suppliesQuery);
  const wall = useQuery(wallQuery);
  const records = useQuery(recordsQuery);
  const outbox = outboxOf(client);
  const { waiting } = useSyncExternalStore(outbox.subscribe, outbox.now);
  const shown = useMemo(
    () =>
      supplies.data && wall.data
        ? shownOver(
            { supplies: supplies.data, units: wall.data.units, records: records.data ?? NO_RECORDS },
            waiting,
          )
        : undefined,
    [supplies.data, wall.data, records.data, waiting],
  );
  const standing = useMemo(
    () =>
      shown &&
      wall.data && {
        ...wall.data,
        all: shown.units,
        units: shown.units.filter(({ sort }) => sort === 'unit'),
      },
    [shown?.units, wall.data?.roomName],
  );
  return { shown, wall: standing, error: shown ? null : (supplies.error ?? wall.error) };
}

/** Whether a list stands in the person's own rainbow order already, as it came from the server. */
export const isInOrder = (
  supplies: readonly SupplyView[],
  { familyOrder, lightness }: Preferences,
): boolean => orderOf(supplies) === orderName(familyOrder, lightness);

/** One supply with its history; while nobody answers, what the list knows of it. */
export function useSupply(id: string): {
  data: { supply: SupplyView; ledger: readonly LedgerView[] | null } | undefined;
  error: Error | null;
} {
  const client = useQueryClient();
  const { data, error } = useQuery({
    queryKey: keys.supply(id),
    queryFn: () => fetchSupply(client, id),
  });
  const { shown } = useShown();
  const supply = shown?.byId.get(id) ?? data?.supply;
  const away = error instanceof ApiError && error.isLost;
  const known = supply && (data || away) ? { supply, ledger: data?.ledger ?? null } : undefined;
  return { data: known, error: known ? null : error };
}

/** Kits, packs, ranges, sessions, preferences. */
export function useRecords(): { data: readonly RecordView[] | undefined; error: Error | null } {
  const client = useQueryClient();
  const { data, error } = useQuery(recordsQuery);
  const outbox = outboxOf(client);
  const { waiting } = useSyncExternalStore(outbox.subscribe, outbox.now);
  return { data: useMemo(() => data && recordsOver(client, data, waiting), [client, data, waiting]), error };
}

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
  smooth: 0,
  units: 'metric',
  currency: 'EUR',
  caps: {},
  recipes: {},
  purposes: [],
  hemisphere: 'north',
  hideOutOfSeason: false,
  muted: [],
  habits: [],
  trimmerUm: 310_000,
  keepFromUm: 25_000,
  ownSizes: [],
  tools: [],
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
  /** What is in the stash. */
  readonly supplies: readonly SupplyView[];
  /** With what was let go. */
  readonly all: readonly SupplyView[];
  /** The room's name, what takes things in the person's order, and that with the furniture it stands in. */
  readonly wall: WallView & { readonly all: readonly UnitView[] };
  readonly byId: ById<SupplyView>;
}

const standing = new WeakMap<readonly SupplyView[], readonly SupplyView[]>();
/** A list without what was let go, standing as it stood; the same list for the same, for all who ask. */
function standingIn(all: readonly SupplyView[]): readonly SupplyView[] {
  const known = standing.get(all);
  if (known) return known;
  const here = all.every(inStash) ? all : all.filter(inStash);
  if (here !== all) sameOrder(here, all);
  standing.set(all, here);
  return here;
}

export function useStash(): { stash: Stash | undefined; error: Error | null } {
  const { shown, wall, error } = useShown();
  const stash = useMemo(
    () =>
      shown && wall
        ? { supplies: standingIn(shown.supplies), all: shown.supplies, byId: shown.byId, wall }
        : undefined,
    [shown, wall],
  );
  return { stash, error };
}

/** The stash for judgements that stand beside what was tapped: what was tapped shows first, and they follow. */
export const useStashLater = (): Stash | undefined => useDeferredValue(useStash().stash);
