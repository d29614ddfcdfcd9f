import { isRefusal, type Refusal, type Warning } from '../storage/mayLive';
import { holdsOf, type Model } from '../storage/models/models';
import { allocate } from './allocate';
import { keyed, makeRainbowOrder, type ColouredItem, type Keyed } from './order';
import { DEFAULT_SCHEME, type Scheme } from './scheme';
import { layOut } from './layOut';

/** A supply to be placed. */
export interface PlaceItem extends ColouredItem {
  /** Times used lately; where there is too little room the least used stay out. */
  readonly uses?: number;
  /** Where it stands now. */
  readonly spot?: { readonly unitId: string; readonly cell: number | null } | null;
  /** Things that say the same here may live in the same places, so that one of them is asked for all. */
  readonly alike?: string;
}

/** Cells that take the same things: one of them, and those that may be filled, in the order they are. */
export interface PlaceZone {
  readonly cell: number;
  readonly open: readonly number[];
  /** How many things may come into them, where a limit allows fewer than there are cells. */
  readonly room: number;
}

/** A unit to fill, cell by cell. */
export interface PlaceUnit<T> {
  readonly id: string;
  /** How many cells it has, filled or not. */
  readonly cells: number;
  readonly zones: readonly PlaceZone[];
  /** Whether a thing may live in a cell (`mayLive`). */
  readonly takes: (item: T, cell: number) => Refusal | readonly Warning[] | null;
}

export type LeftOverReason =
  | Refusal
  | Extract<Warning, { code: 'kept_for_others' | 'belongs_elsewhere' }>
  | { readonly code: 'no_room' };

/** Zones of a unit: cells of one size, in filling order; `blocked` ones are not to be touched, at most `most` are filled. */
export function zonesOf(model: Model, blocked: ReadonlySet<number>, most = Infinity): PlaceZone[] {
  const { order, space } = holdsOf(model);
  const zones = new Map<string, { cell: number; open: number[]; room: number }>();
  let left = most;
  for (const cell of order) {
    const { widthUm, heightUm, depthUm } = space(cell);
    const key = `${widthUm} ${heightUm} ${depthUm}`;
    const zone = zones.get(key) ?? { cell, open: [], room: 0 };
    zones.set(key, zone);
    if (blocked.has(cell)) continue;
    zone.open.push(cell);
    if (left-- > 0) zone.room++;
  }
  return [...zones.values()];
}

export interface Arrangement<T> {
  /** For each unit, its slots in reading order; null where the slot stays open. */
  readonly units: readonly {
    readonly unit: { readonly id: string };
    readonly slots: readonly (T | null)[];
  }[];
  /** Open slots kept for a group to grow into: unit id → slot index → group. */
  readonly held: ReadonlyMap<string, ReadonlyMap<number, string>>;
  readonly leftOver: readonly { readonly item: T; readonly reason: LeftOverReason }[];
}

export interface PlaceOptions {
  readonly scheme?: Scheme;
  /** The groups that stand together and grow; families of colour when left out. */
  readonly groupOf?: (thing: Keyed<PlaceItem>) => string;
  /** How fast each group grows; without it a group's size stands for its growth. */
  readonly growth?: ReadonlyMap<string, number>;
  /** Another order than the scheme's rainbow; it must be total. */
  readonly order?: (a: Keyed<PlaceItem>, b: Keyed<PlaceItem>) => number;
}

/**
 * Places supplies into grid units in rainbow order. As many as possible find a place, as many of them as possible the one
 * they have, and the open slots stand inside the groups that will need them, over all units. Each one left over says why.
 * Pure and repeatable.
 */
export function placeInGrid<T extends PlaceItem>(
  items: readonly T[],
  units: readonly PlaceUnit<T>[],
  options: PlaceOptions = {},
): Arrangement<T> {
  const order = options.order ?? makeRainbowOrder(options.scheme ?? DEFAULT_SCHEME);
  const leftOver: { item: T; reason: LeftOverReason }[] = [];
  const zones = units.flatMap((unit) => unit.zones.map((zone) => ({ unit, ...zone })));
  const { classes, out } = classesOf(items, zones);
  leftOver.push(...out);
  const claims = classes.sort((p, q) => p.zones.length - q.zones.length);
  const flow = allocate(
    claims.map(({ members, zones: choice }) => ({ count: members.length, units: choice })),
    zones.map(({ room }) => room),
  );
  const contents: Keyed<T>[][] = zones.map(() => []);
  const shelves = new Shelves(units, options);
  claims.forEach(({ members, zones: choice }, c) => {
    const room = choice.reduce((sum, z) => sum + (flow[c]?.[z] ?? 0), 0);
    const { staying, out: least } = mostUsed(members, room);
    leftOver.push(...least.map((k) => ({ item: k.item, reason: { code: 'no_room' } as const })));
    staying.sort(order);
    const path = choice.flatMap((z) => zones[z] ?? []);
    // What shares its zones with nothing else stands on one path through all of them.
    const alone = choice.every((z) =>
      claims.every((claim) => claim.zones === choice || !claim.zones.includes(z)),
    );
    if (alone && path.every(({ open, room: most }) => most === open.length))
      return shelves.lay(staying, path);
    let from = 0;
    for (const z of choice) {
      const take = flow[c]?.[z] ?? 0;
      contents[z]?.push(...staying.slice(from, from + take));
      from += take;
    }
  });
  zones.forEach((zone, z) => shelves.lay((contents[z] ?? []).sort(order), [zone]));
  return { units: shelves.units, held: shelves.held, leftOver };
}

/** Things with the same choice of zones. */
interface PlaceClass<T> {
  /** Indices of the zones they may live in, in the order of the path. */
  readonly zones: readonly number[];
  readonly members: Keyed<T>[];
}

/** Puts things that may live in the same zones together; those that may live in none say why. */
function classesOf<T extends PlaceItem>(
  items: readonly T[],
  zones: readonly Zone<T>[],
): { classes: PlaceClass<T>[]; out: { item: T; reason: LeftOverReason }[] } {
  const known = new Map<string, number[] | LeftOverReason>();
  const choiceOf = (item: T): number[] | LeftOverReason => {
    const found = item.alike === undefined ? undefined : known.get(item.alike);
    if (found) return found;
    const choice = zonesFor(item, zones);
    if (item.alike !== undefined) known.set(item.alike, choice);
    return choice;
  };
  const classes = new Map<string, PlaceClass<T>>();
  const out: { item: T; reason: LeftOverReason }[] = [];
  for (const item of items) {
    const choice = choiceOf(item);
    if ('code' in choice) {
      out.push({ item, reason: choice });
      continue;
    }
    const key = choice.join();
    const found = classes.get(key);
    if (found) found.members.push(keyed(item));
    else classes.set(key, { zones: choice, members: [keyed(item)] });
  }
  return { classes: [...classes.values()], out };
}

/** Units as they are filled. */
class Shelves<T extends PlaceItem> {
  readonly units: { unit: PlaceUnit<T>; slots: (T | null)[] }[];
  readonly held: Map<string, Map<number, string>>;
  private readonly slotsOf: ReadonlyMap<string, (T | null)[]>;
  private readonly groupOf: (thing: Keyed<PlaceItem>) => string;
  private readonly growth: ReadonlyMap<string, number>;

  constructor(
    units: readonly PlaceUnit<T>[],
    { groupOf = ({ group }) => group, growth = new Map() }: PlaceOptions,
  ) {
    this.groupOf = groupOf;
    this.growth = growth;
    this.units = units.map((unit) => ({
      unit,
      slots: Array.from({ length: unit.cells }, (): T | null => null),
    }));
    this.slotsOf = new Map(this.units.map(({ unit, slots }) => [unit.id, slots]));
    this.held = new Map(units.map(({ id }) => [id, new Map<number, string>()]));
  }

  /** Lays things in order along the open cells of some zones. */
  lay(ordered: readonly Keyed<T>[], zones: readonly Zone<T>[]): void {
    const path = zones.flatMap(({ unit, open }) => open.map((cell) => ({ id: unit.id, cell })));
    const at = new Map(path.map(({ id, cell }, place) => [`${id} ${cell}`, place]));
    const room = zones.reduce((sum, zone) => sum + zone.room, 0);
    const things = ordered.map((k) => ({
      item: k.item,
      group: this.groupOf(k),
      now: (k.item.spot && at.get(`${k.item.spot.unitId} ${k.item.spot.cell}`)) ?? null,
    }));
    const { placed, held } = layOut(things, path.length, this.growth, room - things.length);
    path.forEach(({ id, cell }, place) => {
      const item = placed.get(place);
      if (item) this.slotsOf.get(id)?.splice(cell, 1, item);
      const group = held.get(place);
      if (group !== undefined) this.held.get(id)?.set(cell, group);
    });
  }
}

interface Zone<T> extends PlaceZone {
  readonly unit: PlaceUnit<T>;
}

/** What keeps a thing out when arranging: a no, or a place that is kept for others. Tight fits are put up with. */
function whyNot<T>(item: T, { unit, cell }: Zone<T>): LeftOverReason | null {
  const answer = unit.takes(item, cell);
  if (isRefusal(answer)) return answer;
  const kept = answer?.find(({ code }) => code === 'kept_for_others' || code === 'belongs_elsewhere');
  return (kept as LeftOverReason | undefined) ?? null;
}

/** How much a reason says: the one that came nearest to taking the thing is given. */
const TELLING: readonly LeftOverReason['code'][] = [
  'limit_reached',
  'too_deep',
  'too_high',
  'too_wide',
  'belongs_elsewhere',
  'kept_for_others',
];

/** Indices of the zones an item may live in, or the reason of the one that came nearest to taking it. */
function zonesFor<T extends PlaceItem>(item: T, zones: readonly Zone<T>[]): number[] | LeftOverReason {
  const choice: number[] = [];
  let reason: LeftOverReason = { code: 'wrong_kind' };
  const rank = ({ code }: LeftOverReason): number =>
    TELLING.includes(code) ? TELLING.indexOf(code) : TELLING.length;
  zones.forEach((zone, z) => {
    const no = whyNot(item, zone);
    if (!no) choice.push(z);
    else if (rank(no) < rank(reason)) reason = no;
  });
  return choice.length > 0 ? choice : reason;
}

/** Splits off what must stay out when there is too little room: the least used, the last in id order first. */
function mostUsed<T extends PlaceItem>(members: Keyed<T>[], room: number) {
  if (members.length <= room) return { staying: members, out: [] };
  const ranked = [...members].sort(
    (p, q) => (q.item.uses ?? 0) - (p.item.uses ?? 0) || (p.id < q.id ? -1 : 1),
  );
  return { staying: ranked.slice(0, room), out: ranked.slice(room) };
}
