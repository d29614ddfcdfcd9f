import { useQuery } from '@tanstack/react-query';
import type { SupplyView, WallView } from '@red-shelf/contract';
import { useMemo } from 'react';
import { call, routes } from './client';

/** Names of what is fetched, so that a change knows what to fetch again. */
export const keys = {
  supplies: ['supplies'] as const,
  supply: (id: string) => ['supply', id] as const,
  wall: ['wall'] as const,
  arrange: ['arrange'] as const,
};

const useSupplies = () =>
  useQuery({ queryKey: keys.supplies, queryFn: async () => (await call(routes.listSupplies)).supplies });

const useWall = () => useQuery({ queryKey: keys.wall, queryFn: () => call(routes.getWall) });

export const useSupply = (id: string) =>
  useQuery({ queryKey: keys.supply(id), queryFn: () => call(routes.getSupply, { id }) });

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
