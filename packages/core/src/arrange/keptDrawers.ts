import type { Drawer } from './drawers';
import { makeStandIn } from './behind';
import { makerCounts } from './counts';
import { headingOf, type Recipe, type Sortable, type SortKey } from './headings';
import type { Scheme } from './scheme';

/** What a drawer holds of one group. A group that is cut begins in the drawer at one thing of it. */
export interface DrawerHold {
  readonly group: string;
  /** The first thing of the group that lies here; null where the group begins here. */
  readonly startsAt: string | null;
  /** Share of the group that lies in earlier drawers, 0 to 1: where it is cut once that thing is gone. */
  readonly share: number;
}

/** A drawer that was decided on, and the unit it is, if it is one of the room's. */
export interface KeptDrawer {
  readonly unitId: string | null;
  readonly holds: readonly DrawerHold[];
}

/** What a divider in a drawer says: the first key of a recipe that makes groups. */
export const drawerKey = (recipe: Recipe): SortKey =>
  recipe.find((key) => !['lightness', 'name', 'code', 'finish behind colour'].includes(key)) ?? 'family';

/** The group each thing of a pile belongs to, by one key of the recipe it follows. */
export function makeGroupOf(
  key: SortKey,
  pile: readonly Sortable[],
  scheme: Scheme,
  recipe: Recipe,
): (item: Sortable) => string {
  const counts = makerCounts(pile);
  const standIn = makeStandIn(recipe, pile);
  return (item) => headingOf(key, standIn(item).host, counts, scheme);
}

/** Makes a proposal last: cuts are tied to the thing they fall on. `membersOf` gives a group in the order it stands. */
export const keepDrawers = (
  drawers: readonly Drawer[],
  membersOf: (group: string) => readonly { readonly id: string }[],
): KeptDrawer[] =>
  drawers.map(({ parts }) => ({
    unitId: null,
    holds: parts.map(({ group, from, of }) => ({
      group,
      startsAt: from === 0 ? null : (membersOf(group)[from]?.id ?? null),
      share: of === 0 ? 0 : from / of,
    })),
  }));

interface Part {
  readonly drawer: number;
  readonly hold: DrawerHold;
}

/**
 * Tells the drawer each thing lies in, counted from 0, or null where its group has none yet. What is new goes where it
 * falls in `order`; what lay on one side of a cut stays there as long as the thing at the cut is in its group.
 */
export function makeDrawerOf(
  kept: readonly KeptDrawer[],
  groupOf: (item: Sortable) => string,
  order: (a: Sortable, b: Sortable) => number,
  pile: readonly Sortable[],
): (item: Sortable) => number | null {
  const parts = new Map<string, Part[]>();
  kept.forEach(({ holds }, drawer) => {
    for (const hold of holds) parts.set(hold.group, [...(parts.get(hold.group) ?? []), { drawer, hold }]);
  });
  const cut = [...parts].filter(([, list]) => list.length > 1).map(([group]) => group);
  const members = new Map<string, Sortable[]>(cut.map((group) => [group, []]));
  if (cut.length > 0) for (const item of pile) members.get(groupOf(item))?.push(item);
  for (const list of members.values()) list.sort(order);
  /** The first thing of a part. */
  const first = ({ hold }: Part): Sortable | undefined => {
    const list = members.get(hold.group) ?? [];
    return list.find(({ id }) => id === hold.startsAt) ?? list[Math.round(hold.share * list.length)];
  };
  const starts = new Map(cut.map((group) => [group, (parts.get(group) ?? []).map(first)]));
  return (item) => {
    const group = groupOf(item);
    const list = parts.get(group) ?? [];
    const beginnings = starts.get(group) ?? [];
    const later = list.findLastIndex((part, i) => {
      const start = beginnings[i];
      return part.hold.share === 0 || (start !== undefined && order(item, start) >= 0);
    });
    return list[Math.max(0, later)]?.drawer ?? null;
  };
}
