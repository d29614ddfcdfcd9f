import { stretchOf, type Scheme, type Stretch } from '@red-shelf/core';
import type { SupplyView } from '@red-shelf/contract';
import type { Where } from '../api/where';

/** A line of the stash list: a family's header, or a supply under it. */
export type StashRow =
  | {
      readonly sort: 'family';
      readonly group: Stretch;
      readonly count: number;
      readonly low: number;
      readonly unplaced: number;
    }
  | { readonly sort: 'supply'; readonly supply: SupplyView };

/** Supplies in rainbow order under the headers of their families. */
export function familyRows(
  ordered: readonly SupplyView[],
  where: Where,
  scheme: Pick<Scheme, 'familyOrder'>,
): StashRow[] {
  const groups = new Map<Stretch, SupplyView[]>();
  for (const supply of ordered) {
    const stretch = stretchOf(supply.family, scheme);
    const members = groups.get(stretch);
    if (members) members.push(supply);
    else groups.set(stretch, [supply]);
  }
  return [...groups].flatMap(([group, members]): StashRow[] => [
    {
      sort: 'family',
      group,
      count: members.length,
      low: members.filter(({ stock }) => stock.state !== 'ok').length,
      unplaced: members.filter((supply) => where(supply) === null).length,
    },
    ...members.map((supply): StashRow => ({ sort: 'supply', supply })),
  ]);
}

/** What a search found, best first, with no headers between. */
export const foundRows = (found: readonly SupplyView[]): StashRow[] =>
  found.map((supply): StashRow => ({ sort: 'supply', supply }));
