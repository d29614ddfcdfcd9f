import { shareOut, stretches } from '../spread';
import { evenly } from '../spreadRoom';
import { mostKept } from './keep';

/** A thing in its order: its group, and its place on the path now, counted from 0; null where it is not on it. */
export interface Laid<T> {
  readonly item: T;
  readonly group: string;
  readonly now: number | null;
}

/** Where each thing goes on the path, and which group each place that stays open is kept for. */
export interface Layout<T> {
  readonly placed: ReadonlyMap<number, T>;
  readonly held: ReadonlyMap<number, string>;
}

/** How fast one thing's worth of a group grows. */
type Weigh = (group: string) => number;

/**
 * Lays an ordered list along a path of `places`, at least as many as things. As many as possible stay where they are;
 * between those that stay the rest stand in order, with open places evenly between them, each group with its share by how fast it
 * grows (`growth`, its size where nothing is known). At most `spare` places are kept open inside; the rest is at the end.
 */
export function layOut<T>(
  things: readonly Laid<T>[],
  places: number,
  growth: ReadonlyMap<string, number>,
  spare = places - things.length,
): Layout<T> {
  const kept = mostKept(
    things.map(({ now }) => now),
    places,
  );
  const sizes = new Map<string, number>();
  for (const { group } of things) sizes.set(group, (sizes.get(group) ?? 0) + 1);
  const weigh: Weigh = (group) => {
    const size = sizes.get(group) ?? 1;
    return (growth.get(group) ?? size) / size;
  };
  const placed = new Map<number, T>();
  const lay = (start: number, some: readonly Laid<T>[], open: number, pinned: boolean): void =>
    spread(some, open, weigh, pinned).forEach((each, i) => each && placed.set(start + i, each.item));
  const stays = [...kept].sort((a, b) => a - b);
  const [first] = stays;
  if (first === undefined) lay(0, things, spare, false);
  else {
    const firstAt = things[first]?.now ?? 0;
    lay(0, things.slice(0, first), firstAt - first, false);
    let free = spare - (firstAt - first);
    stays.forEach((k, i) => {
      const next = stays[i + 1] ?? things.length;
      const start = things[k]?.now ?? 0;
      const end = next < things.length ? (things[next]?.now ?? places) : places;
      const open = end - start - (next - k);
      // Behind the last one no more is kept open than the limit leaves.
      lay(
        start,
        things.slice(k, next),
        next < things.length ? open : Math.min(open, Math.max(0, free)),
        true,
      );
      free -= open;
    });
  }
  return { placed, held: heldFor(placed, groupsOf(things), places, spare, weigh) };
}

const groupsOf = <T>(things: readonly Laid<T>[]): ReadonlyMap<T, string> =>
  new Map(things.map(({ item, group }) => [item, group]));

/** Things in order with so many open places among them, null; the first stands first where it is pinned. */
function spread<T>(
  things: readonly Laid<T>[],
  open: number,
  weigh: Weigh,
  pinned: boolean,
): (Laid<T> | null)[] {
  if (things.length === 0) return Array<null>(Math.max(0, open)).fill(null);
  const runs = stretches(things, ({ group }) => group);
  const shares = shareOut(
    Math.max(0, open),
    runs.map(({ group, items }) => weigh(group) * items.length),
    0,
  );
  return runs.flatMap(({ items }, r) => {
    const [head, ...rest] = items;
    return pinned && r === 0 && head
      ? [head, ...evenly(rest, shares[r] ?? 0)]
      : evenly(items, shares[r] ?? 0);
  });
}

/**
 * Which group each open place is kept for, by what stands on both sides of it: between two groups the one that grows faster gets more
 * of them. At most `spare` in all, those at the beginning first.
 */
function heldFor<T>(
  placed: ReadonlyMap<number, T>,
  groups: ReadonlyMap<T, string>,
  places: number,
  spare: number,
  weigh: Weigh,
): Map<number, string> {
  const held = new Map<number, string>();
  let before: string | undefined;
  let gap: number[] = [];
  const close = (after: string | undefined): void => {
    const sides = [before, after].flatMap((group) => group ?? []);
    const [one, two] = sides;
    const shares =
      one === two || two === undefined ? [gap.length] : shareOut(gap.length, sides.map(weigh), 0);
    gap.forEach((place, i) => {
      const group = i < (shares[0] ?? 0) ? one : two;
      if (group !== undefined && held.size < spare) held.set(place, group);
    });
    gap = [];
  };
  for (let place = 0; place < places; place++) {
    const item = placed.get(place);
    if (item === undefined) {
      gap.push(place);
      continue;
    }
    const group = groups.get(item);
    close(group);
    before = group;
  }
  close(undefined);
  return held;
}
