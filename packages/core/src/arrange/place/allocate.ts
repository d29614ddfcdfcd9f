import { keyed, type ColouredItem } from '../order';
import type { AllocateOptions, Allocation } from './allocation';
import { classesOf, mostUsed } from './choice';
import { cutsFor, fillInTurn } from './cuts';
import { flowInto } from './flow';
import { hasRoom, type PathUnit, type Placing, type Zone } from './zones';
import { nearToday } from './nearToday';
import { withOverflow } from './overflow';
import { Shelves } from './shelves';

/** A family of colour, where nothing else groups. */
const familyOf = (item: Placing): string => keyed(item as Placing & ColouredItem).group;

/**
 * From ordered things and an ordered path of units to spots, for units of all models alike. As many as possible find a place; families
 * are cut where units end as little as possible (`cutsFor`), as many things as possible keep the spot they have, and what stays open
 * stands inside the groups that will need it. Each one left over says why. Where things share a length, a height or a volume, `rank` is
 * their order there. Units are filled about equally; what takes the too much of another only with what finds no place. `ordered` must not hold an id twice (RangeError). n log n in the things, times
 * the sorts of zones; pure and repeatable.
 */
export function allocate<T extends Placing>(
  ordered: readonly T[],
  path: readonly PathUnit<T>[],
  options: AllocateOptions<T> = {},
): Allocation<T> {
  const { near = 0, groupOf = familyOf } = options;
  const filled = (how: AllocateOptions<T>): Allocation<T> =>
    withOverflow(ordered, path, groupOf, (some, into) => allocated(some, into, how));
  const inOrder = filled({ ...options, near: 0 });
  if (near === 0) return inOrder;
  // Nearer never takes more lifts than in order.
  const nearer = filled(options);
  return moved(ordered, nearer) < moved(ordered, inOrder) ? nearer : inOrder;
}

/** How many things would not stand where they stand. */
const moved = <T extends Placing>(ordered: readonly T[], { spots }: Allocation<T>): number =>
  ordered.filter(({ id, spot }) => {
    const to = spots.get(id);
    return to?.unitId !== spot?.unitId || (to?.cell ?? null) !== (spot?.cell ?? null);
  }).length;

function allocated<T extends Placing>(
  ordered: readonly T[],
  path: readonly PathUnit<T>[],
  options: AllocateOptions<T>,
): Allocation<T> {
  if (new Set(ordered.map(({ id }) => id)).size < ordered.length)
    throw new RangeError('A thing is there twice; each goes to one place only.');
  const groupOf = options.groupOf ?? familyOf;
  const zones = path.flatMap((unit) => unit.zones.map((zone) => ({ unit, ...zone })));
  const { classes, out } = classesOf(ordered, zones);
  const leftOver = [...out];
  const claims = classes.sort((p, q) => p.zones.length - q.zones.length);
  const rooms = zones.map((zone, z) => roomFor(zone, claims, z));
  const flow = flowInto(
    claims.map(({ members, zones: choice }) => ({ count: members.length, units: choice })),
    rooms,
  );
  const contents: T[][] = zones.map(() => []);
  const rank = new Map(ordered.map(({ id }, i) => [id, i]));
  const homeless: { item: T; choice: readonly number[] }[] = [];
  claims.forEach(({ members, zones: choice, all }, c) => {
    const counts = choice.map((z) => flow[c]?.[z] ?? 0);
    const { staying: used, out: least } = mostUsed(
      members,
      counts.reduce((sum, count) => sum + count, 0),
    );
    const some = choice.flatMap((z) => zones[z] ?? []);
    const placeOf = placeFinder(some);
    const staying = nearToday(
      used.map((item) => ({ item, group: groupOf(item), now: placeOf(item) })),
      options.near ?? 0,
    ).map(({ item }) => item);
    // Nearer to today they change places in the order, too.
    const ranks = used.map(({ id }) => rank.get(id) ?? 0);
    staying.forEach(({ id }, i) => rank.set(id, ranks[i] ?? 0));
    const alone = choice.every((z) =>
      claims.every((other) => other.zones === choice || !other.zones.includes(z)),
    );
    const zoneOf = zoneFinder(some);
    const cut = alone
      ? cutsFor(
          staying.map((item) => ({ item, group: groupOf(item), zone: zoneOf(item) })),
          some,
          options.begin === 'unit',
        )
      : null;
    const over = fillInTurn(
      staying,
      some,
      cut ?? counts,
      choice.map((z) => contents[z] ?? []),
    );
    for (const item of [...over, ...least]) homeless.push({ item, choice: all });
  });
  // What was shared out by about how much goes in may still find room by the exact measure.
  for (const { item, choice } of homeless.sort((p, q) => (q.item.uses ?? 0) - (p.item.uses ?? 0))) {
    const z = choice.find((each) => hasRoom(zones[each] as Zone<T>, contents[each] ?? [], item));
    if (z === undefined) leftOver.push({ item, reason: { code: 'no_room' } });
    else contents[z]?.push(item);
  }
  const shelves = new Shelves(path, { ...options, groupOf });
  zones.forEach((zone, z) =>
    shelves.lay(
      (contents[z] ?? []).sort((p, q) => (rank.get(p.id) ?? 0) - (rank.get(q.id) ?? 0)),
      zone,
    ),
  );
  return { ...shelves.filled(), leftOver };
}

/** So many things of a class say what they take on average. */
const ASKED = 24;

/** About how many things a zone takes: where they share it, by what those that may come take on average. */
function roomFor<T extends Placing>(
  zone: Zone<T>,
  claims: readonly { readonly zones: readonly number[]; readonly members: readonly T[] }[],
  z: number,
): number {
  const { room, shared } = zone;
  if (!shared) return room;
  let [count, sum] = [0, 0];
  for (const { zones, members } of claims) {
    if (!zones.includes(z)) continue;
    const every = Math.max(1, Math.floor(members.length / ASKED));
    const asked = members.filter((_, i) => i % every === 0);
    count += members.length;
    sum += (asked.reduce((all, item) => all + shared.sizeOf(item), 0) * members.length) / asked.length;
  }
  return Math.min(room, sum > 0 ? Math.floor((shared.free * count) / sum) : count);
}

/** Tells which of some zones a thing stands in now; −1 where in none. */
function zoneFinder<T extends Placing>(zones: readonly Zone<T>[]): (item: T) => number {
  const key = (unitId: string, cell: number | null): string => `${unitId} ${cell ?? '-'}`;
  const at = new Map<string, number>();
  zones.forEach(({ unit, open, shared }, z) => {
    for (const cell of shared ? [null] : open) at.set(key(unit.id, cell), z);
  });
  return ({ spot }) => (spot ? (at.get(key(spot.unitId, spot.cell)) ?? -1) : -1);
}

/** Tells where along some zones a thing stands now; null where in none. */
function placeFinder<T extends Placing>(zones: readonly Zone<T>[]): (item: T) => number | null {
  const zoneOf = zoneFinder(zones);
  const cells = zones.map(({ open }) => new Map(open.map((cell, i) => [cell, i])));
  return (item) => {
    const z = zoneOf(item);
    if (z < 0) return null;
    return (
      z * LONGEST +
      (item.spot?.cell === null ? (item.spot.rank ?? 0) : (cells[z]?.get(item.spot?.cell ?? -1) ?? 0))
    );
  };
}
/** No place holds more. */
const LONGEST = 1e7;
