import { FAMILY_GROUPS, makeRainbowOrder, keyed, type FamilyGroup, type Kind } from '@red-shelf/core';
import type { SupplyView } from '@red-shelf/contract';

/** A line of the stash list: a family's header, or a supply under it. */
export type StashRow =
  | {
      readonly sort: 'family';
      readonly group: FamilyGroup;
      readonly count: number;
      readonly low: number;
      readonly unplaced: number;
    }
  | { readonly sort: 'supply'; readonly supply: SupplyView };

const order = makeRainbowOrder();

/** Supplies of a kind (or all) in rainbow order, under the headers of their families. */
export function stashRows(supplies: readonly SupplyView[], kind: Kind | null): StashRow[] {
  const wanted = kind ? supplies.filter((supply) => supply.kind === kind) : supplies;
  const sorted = wanted.map((supply) => keyed(supply)).sort(order);
  const groups = new Map<FamilyGroup, SupplyView[]>(FAMILY_GROUPS.map((group) => [group, []]));
  for (const { item, group } of sorted) groups.get(group)?.push(item);
  return [...groups].flatMap(([group, members]): StashRow[] =>
    members.length === 0
      ? []
      : [
          {
            sort: 'family',
            group,
            count: members.length,
            low: members.filter(({ stock }) => stock.state !== 'ok').length,
            unplaced: members.filter(({ place }) => place === null).length,
          },
          ...members.map((supply): StashRow => ({ sort: 'supply', supply })),
        ],
  );
}
