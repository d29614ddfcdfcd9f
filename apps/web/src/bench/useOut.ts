import { backTo, HAND_ID, type BackTo, byText } from '@red-shelf/core';
import type { HoldingView, SupplyView } from '@red-shelf/contract';
import { useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import { call, order, routes } from '../api/client';
import { useRoom } from '../api/contents';
import { keys } from '../api/list';
import type { Stash } from '../api/queries';
import { useChange } from '../api/useChange';

/** A thing that is out on the bench. */
export interface Out {
  readonly supply: SupplyView;
  readonly lot: HoldingView;
  /** ISO 8601; null while nobody answers. */
  readonly since: string | null;
  /** Where it goes back to; null where it has to be found a place. */
  readonly back: BackTo | null;
}

/** What is on the bench, what was taken last first. */
export function useOut(stash: Stash | undefined): readonly Out[] {
  const room = useRoom(stash);
  const { data } = useQuery({ queryKey: keys.out, queryFn: () => call(routes.outNow, {}) });
  return useMemo(() => {
    if (!stash) return [];
    const known = new Map(data?.out.map((each) => [each.holdingId, each]));
    const units = new Map(stash.wall.units.map((unit) => [unit.id, unit]));
    return stash.supplies
      .flatMap((supply) =>
        supply.holdings
          .filter(({ spot }) => spot?.unitId === HAND_ID)
          .map((lot): Out => {
            const { since = null, from = null } = known.get(lot.id) ?? {};
            const unit = from ? units.get(from.unitId) : undefined;
            return { supply, lot, since, back: backTo({ supply, lot }, from, unit, room) };
          }),
      )
      .sort((p, q) => byText(q.since ?? '', p.since ?? ''));
  }, [stash, data, room]);
}

/** Those that can all go back at once: no two of them to one spot. */
export function togetherBack(out: readonly Out[]): readonly (Out & { readonly back: BackTo })[] {
  const taken = new Set<string>();
  return out.flatMap((each) => {
    const { back } = each;
    const key = back && `${back.unitId} ${back.cell}`;
    if (!back || !key || (back.cell !== null && taken.has(key))) return [];
    taken.add(key);
    return [{ ...each, back }];
  });
}

/** Puts what is out back to where it goes, all of it as one change. */
export const usePutBack = () =>
  useChange((things: ReturnType<typeof togetherBack>) =>
    order(routes.moveHoldings, {
      body: {
        moves: things.map(({ lot: { id, version }, back: { unitId, cell } }) => ({
          ...{ id, version, place: { unitId, cell } },
        })),
      },
    }),
  );
