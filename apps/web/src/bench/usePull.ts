import {
  conflictsIn,
  partnersOf,
  pullList,
  usualKit,
  type Conflict,
  type KitNeed,
  type PullList,
} from '@red-shelf/core';
import type { GroupBody, SupplyView } from '@red-shelf/contract';
import { useMemo } from 'react';
import { mainOf, useRoom, type Living } from '../api/contents';
import { usePreferences, type Stash } from '../api/queries';
import { closeTo, type Close } from '../judge/closeTo';

/** What comes along with something of a project, and is not part of it yet. */
export interface Along {
  readonly of: SupplyView;
  readonly partner: SupplyView;
}
export interface Pull {
  readonly list: PullList<Living>;
  /** What is used up, and what could do instead. */
  readonly missing: readonly { readonly supply: SupplyView; readonly instead: readonly Close[] }[];
  readonly along: readonly Along[];
  /** What is usual with its media and not part of it: in the stash, or not known to be. */
  readonly tools: readonly KitNeed<SupplyView>[];
  /** What does not go together, but for what the person does all the same. */
  readonly conflicts: readonly Conflict<SupplyView>[];
}

export const conflictKey = ({ id, one, other }: Conflict<SupplyView>): string =>
  `${id} ${one.id} ${other.id}`;

/** The lot one fetches: whole things with something in them that have a place, else bases, scraps, packs. */
function lotToFetch(supply: SupplyView) {
  const rank = { whole: 0, base: 1, scrap: 2, pack: 3 } as const;
  const there = supply.holdings
    .filter(({ spot, items, left }) => spot !== null && (items > 0 || left > 0))
    .sort((p, q) => rank[p.as] - rank[q.as]);
  return there[0] ?? mainOf(supply);
}

/** Everything there is to know before the things of a job are fetched. */
export function usePull(body: GroupBody, members: readonly SupplyView[], stash: Stash): Pull {
  const { livingIn } = useRoom(stash);
  const { tools } = usePreferences().preferences;
  return useMemo(() => {
    const there = members.filter(
      ({ stock, holdings }) => stock.left > 0 || holdings.some(({ items }) => items > 0),
    );
    const things = there.flatMap((supply): Living[] => {
      const lot = lotToFetch(supply);
      return lot ? [{ supply, lot }] : [];
    });
    const ids = new Set(body.members.map(({ supplyId }) => supplyId));
    const seen = new Set<string>();
    const along = there.flatMap((of) =>
      partnersOf(of, stash.supplies).flatMap((partner): Along[] => {
        if (ids.has(partner.id) || seen.has(partner.id) || partner.stock.left <= 0) return [];
        seen.add(partner.id);
        return [{ of, partner }];
      }),
    );
    const accepted = new Set(body.accepted);
    return {
      list: pullList(things, stash.wall.all, (unitId) => livingIn(unitId) as readonly Living[]),
      missing: members
        .filter((supply) => !there.includes(supply))
        .map((supply) => ({
          supply,
          instead: closeTo({ kind: supply.kind, hex: supply.hex, not: supply.id }, stash),
        })),
      along,
      tools: usualKit(members, stash.supplies, new Set(tools)),
      conflicts: conflictsIn(members).filter((each) => !accepted.has(conflictKey(each))),
    };
  }, [body, members, stash, livingIn, tools]);
}
