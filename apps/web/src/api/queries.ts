import { useQuery } from '@tanstack/react-query';
import { FAMILY_GROUPS } from '@red-shelf/core';
import {
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

const useSupplies = () =>
  useQuery({ queryKey: keys.supplies, queryFn: async () => (await call(routes.listSupplies)).supplies });

const useWall = () => useQuery({ queryKey: keys.wall, queryFn: () => call(routes.getWall) });

export const useSupply = (id: string) =>
  useQuery({ queryKey: keys.supply(id), queryFn: () => call(routes.getSupply, { id }) });

/** Kits, packs, ranges, sessions, preferences. */
export const useRecords = () =>
  useQuery({ queryKey: keys.records, queryFn: async () => (await call(routes.listRecords)).records });

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
};

/** The person's own order of families, units and currency, and the record they are kept in. */
export function usePreferences(): { preferences: Preferences; version: number } {
  const { data } = useRecords();
  const kept = recordsOf(data, 'preferences').find(({ id }) => id === PREFERENCES_ID);
  return useMemo(
    () => ({ preferences: kept?.body ?? DEFAULT_PREFERENCES, version: kept?.version ?? 0 }),
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
