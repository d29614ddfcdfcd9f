import { hasRoom, type PathZone } from './zones';

/** A thing in its order, as cutting sees it. */
export interface Cuttable<T> {
  readonly item: T;
  readonly group: string;
  /** Index of the zone it stands in now, −1 where in none of these. */
  readonly zone: number;
}

/** What a family that is cut costs, in lifts. */
const CUT = 12;
/** What it costs that one place is fuller than all together, in lifts for the whole of it. */
const UNEVEN = 200;
/** What it costs that one more group is in a zone, where each is to have its own, in lifts. */
const MIXED = 60;
/** So many places to cut are weighed at most. */
const MOST_PLACES = 400;

/**
 * How an ordered list is cut over zones that follow one another: how many things each gets. Of all ways to cut where a family ends,
 * where it is cut today, or where all would be equally full, the cheapest: a family that is cut costs as much as some lifts, a thing
 * that changes its zone one, and filling unevenly the more the more uneven it is (dynamic programming over places × zones). Null where
 * none of these ways goes in. `apart`, two groups in one zone cost besides.
 */
export function cutsFor<T>(
  things: readonly Cuttable<T>[],
  zones: readonly PathZone<T>[],
  apart = false,
): readonly number[] | null {
  const n = things.length;
  const rooms = zones.map((zone) => roomOf(zone, things));
  const sum = rooms.reduce((all, room) => all + room, 0);
  if (n === 0 || sum === 0) return n === 0 ? zones.map(() => 0) : null;
  const places = placesToCut(things, rooms);
  const isCut = (at: number): boolean => at > 0 && at < n && things[at - 1]?.group === things[at]?.group;
  /** Groups that begin before each place. */
  const begun = new Float64Array(n + 1);
  things.forEach(
    ({ group }, i) => (begun[i + 1] = (begun[i] ?? 0) + (things[i - 1]?.group === group ? 0 : 1)),
  );
  /** best[k]: the least that the things before places[k] cost in the zones so far, and where the last zone began. */
  let best = places.map((_, k) => (k === 0 ? 0 : Infinity));
  const from: number[][] = [];
  zones.forEach((zone, z) => {
    const here = prefix(things, ({ zone: now }) => now === z);
    const load = zone.shared && prefix(things, ({ item }) => zone.shared?.sizeOf(item) ?? 0);
    const next = places.map(() => Infinity);
    const begin = places.map(() => -1);
    places.forEach((to, k) => {
      for (let j = k; j >= 0; j--) {
        const start = places[j] ?? 0;
        const count = to - start;
        if (count > zone.room) break;
        if (load && zone.shared && (load[to] ?? 0) - (load[start] ?? 0) > zone.shared.free) break;
        const before = best[j] ?? Infinity;
        if (before === Infinity) continue;
        const comes = count - ((here[to] ?? 0) - (here[start] ?? 0));
        const uneven = (rooms[z] ?? 0) > 0 ? UNEVEN * (count / (rooms[z] ?? 1) - n / sum) ** 2 : 0;
        const groups = count === 0 ? 0 : (begun[to] ?? 0) - (begun[start + 1] ?? 0);
        const cost = before + comes + uneven + (isCut(to) ? CUT : 0) + (apart ? MIXED * groups : 0);
        if (cost < (next[k] ?? Infinity)) {
          next[k] = cost;
          begin[k] = j;
        }
      }
    });
    best = next;
    from.push(begin);
  });
  return read(from, places);
}

/** About how many of the things go into a zone. */
function roomOf<T>({ room, shared }: PathZone<T>, things: readonly Cuttable<T>[]): number {
  if (!shared) return room;
  const mean = things.reduce((sum, { item }) => sum + shared.sizeOf(item), 0) / Math.max(1, things.length);
  return Math.min(room, mean > 0 ? Math.floor(shared.free / mean) : things.length);
}

/** Where groups end, where a zone ends today, and where all zones would be equally full; ascending, with both ends. */
function placesToCut<T>(things: readonly Cuttable<T>[], rooms: readonly number[]): number[] {
  const n = things.length;
  const sum = rooms.reduce((all, room) => all + room, 0);
  const even: number[] = [];
  rooms.reduce((before, room) => {
    // Also with each zone as full as it gets, so that there is a way where there is hardly room.
    even.push(Math.round((n * (before + room)) / sum), Math.min(n, before + room));
    return before + room;
  }, 0);
  const borders: number[] = [];
  const today: number[] = [];
  things.forEach(({ group, zone }, at) => {
    const before = things[at - 1];
    if (!before) return;
    if (before.group !== group) borders.push(at);
    else if (before.zone !== zone && before.zone >= 0 && zone >= 0) today.push(at);
  });
  const must = new Set([0, n, ...even]);
  const more = [...borders, ...today].filter((at) => !must.has(at)).slice(0, MOST_PLACES);
  return [...new Set([...must, ...more])].sort((a, b) => a - b);
}

function prefix<T>(things: readonly T[], value: (thing: T) => number | boolean): Float64Array {
  const sums = new Float64Array(things.length + 1);
  things.forEach((thing, i) => (sums[i + 1] = (sums[i] ?? 0) + Number(value(thing))));
  return sums;
}

/** How many things each zone gets, from where each began. */
function read(from: readonly (readonly number[])[], places: readonly number[]): number[] | null {
  const counts = from.map(() => 0);
  let k = places.length - 1;
  for (let z = from.length - 1; z >= 0; z--) {
    const j = from[z]?.[k] ?? -1;
    if (j < 0) return null;
    counts[z] = (places[k] ?? 0) - (places[j] ?? 0);
    k = j;
  }
  return k === 0 ? counts : null;
}

/** Adds to what zones hold, in turn, so many each as far as it takes what comes next; answers what then goes into none. */
export function fillInTurn<T>(
  ordered: readonly T[],
  zones: readonly PathZone<T>[],
  counts: readonly number[],
  contents: readonly T[][],
): T[] {
  const over: T[] = [];
  let z = 0;
  let left = counts[0] ?? 0;
  for (const item of ordered) {
    while (z < zones.length - 1 && left === 0) left = counts[++z] ?? 0;
    const [zone, there] = [zones[z], contents[z]];
    if (zone && there && hasRoom(zone, there, item)) there.push(item);
    else over.push(item);
    left--;
  }
  return over;
}
