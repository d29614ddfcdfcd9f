import type { FamilyGroup } from '../colour/families';
import { isRefusal, type Refusal, type Warning } from '../storage/mayLive';
import { holdsOf, type Model } from '../storage/models/models';
import { allocate } from './allocate';
import { keyed, makeRainbowOrder, type ColouredItem, type Keyed } from './order';
import { DEFAULT_SCHEME, type Scheme } from './scheme';
import { shareOut, stretches } from './spread';

/** A supply to be placed. */
export interface PlaceItem extends ColouredItem {
  /** Times used lately; where there is too little room the least used stay out. */
  readonly uses?: number;
  /** Things that say the same here may live in the same places, so that one of them is asked for all. */
  readonly alike?: string;
}

/** Cells that take the same things: one of them, and those that may be filled, in the order they are. */
export interface PlaceZone {
  readonly cell: number;
  readonly open: readonly number[];
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
  const zones = new Map<string, { cell: number; open: number[] }>();
  let left = most;
  for (const cell of order) {
    const { widthUm, heightUm, depthUm } = space(cell);
    const key = `${widthUm} ${heightUm} ${depthUm}`;
    const zone = zones.get(key) ?? { cell, open: [] };
    zones.set(key, zone);
    if (!blocked.has(cell) && left-- > 0) zone.open.push(cell);
  }
  return [...zones.values()];
}

export interface Arrangement<T> {
  /** For each unit, its slots in reading order; null where the slot stays open. */
  readonly units: readonly {
    readonly unit: { readonly id: string };
    readonly slots: readonly (T | null)[];
  }[];
  /** Open slots kept for a family to grow into: unit id → slot index → family. */
  readonly held: ReadonlyMap<string, ReadonlyMap<number, FamilyGroup>>;
  readonly leftOver: readonly { readonly item: T; readonly reason: LeftOverReason }[];
}

export interface PlaceOptions {
  readonly scheme?: Scheme;
  /** Expected growth of each family; without it a family's size stands for its growth. */
  readonly growth?: Partial<Record<FamilyGroup, number>>;
  /** Another order than the scheme's rainbow; it must be total. */
  readonly order?: (a: Keyed<PlaceItem>, b: Keyed<PlaceItem>) => number;
}

/**
 * Places supplies into grid units in rainbow order, with the spare slots kept inside the families that will need them.
 * As many as possible find a place; each one left over says why. Pure and repeatable.
 */
export function placeInGrid<T extends PlaceItem>(
  items: readonly T[],
  units: readonly PlaceUnit<T>[],
  options: PlaceOptions = {},
): Arrangement<T> {
  const order = options.order ?? makeRainbowOrder(options.scheme ?? DEFAULT_SCHEME);
  const leftOver: { item: T; reason: LeftOverReason }[] = [];
  const zones = units.flatMap((unit) => unit.zones.map((zone) => ({ unit, ...zone })));
  const rooms = zones.map(({ open }) => open.length);

  const known = new Map<string, number[] | LeftOverReason>();
  const choiceOf = (item: T): number[] | LeftOverReason => {
    const found = item.alike === undefined ? undefined : known.get(item.alike);
    if (found) return found;
    const choice = zonesFor(item, zones);
    if (item.alike !== undefined) known.set(item.alike, choice);
    return choice;
  };

  // Things with the same choice of units are one class; a class is spread as one run.
  const classes = new Map<string, { units: number[]; members: Keyed<T>[] }>();
  for (const item of items) {
    const choice = choiceOf(item);
    if ('code' in choice) {
      leftOver.push({ item, reason: choice });
      continue;
    }
    const key = choice.join();
    const found = classes.get(key);
    if (found) found.members.push(keyed(item));
    else classes.set(key, { units: choice, members: [keyed(item)] });
  }

  const claims = [...classes.values()].sort((p, q) => p.units.length - q.units.length);
  const flow = allocate(
    claims.map(({ members, units: choice }) => ({ count: members.length, units: choice })),
    rooms,
  );
  const contents: Keyed<T>[][] = zones.map(() => []);
  claims.forEach(({ members, units: choice }, c) => {
    const room = choice.reduce((sum, u) => sum + (flow[c]?.[u] ?? 0), 0);
    const { staying, out } = mostUsed(members, room);
    leftOver.push(...out.map((k) => ({ item: k.item, reason: { code: 'no_room' } as const })));
    staying.sort(order);
    let from = 0;
    for (const u of [...choice].sort((p, q) => p - q)) {
      const take = flow[c]?.[u] ?? 0;
      contents[u]?.push(...staying.slice(from, from + take));
      from += take;
    }
  });

  const held = new Map<string, Map<number, FamilyGroup>>(units.map(({ id }) => [id, new Map()]));
  const filled = units.map((unit) => ({
    unit,
    slots: Array.from({ length: unit.cells }, (): T | null => null),
  }));
  const byId = new Map(filled.map((each) => [each.unit.id, each.slots]));
  zones.forEach(({ unit, open }, z) => {
    const laid = layOut((contents[z] ?? []).sort(order), open, options.growth);
    for (const [cell, item] of laid.slots) byId.get(unit.id)?.splice(cell, 1, item);
    for (const [cell, group] of laid.held) held.get(unit.id)?.set(cell, group);
  });
  return { units: filled, held, leftOver };
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

/** Puts an ordered list into open cells, each family followed by its share of the spare ones. */
function layOut<T>(
  ordered: readonly Keyed<T>[],
  open: readonly number[],
  growth: PlaceOptions['growth'],
): { slots: Map<number, T>; held: Map<number, FamilyGroup> } {
  const slots = new Map<number, T>();
  const held = new Map<number, FamilyGroup>();
  const runs = stretches(ordered, (k) => k.group);
  const spare = shareOut(
    open.length - ordered.length,
    runs.map((run) => growth?.[run.group] ?? run.items.length),
  );
  let at = 0;
  runs.forEach((run, r) => {
    for (const { item } of run.items) {
      const cell = open[at++];
      if (cell !== undefined) slots.set(cell, item);
    }
    for (let kept = spare[r] ?? 0; kept > 0; kept--) {
      const cell = open[at++];
      if (cell !== undefined) held.set(cell, run.group);
    }
  });
  return { slots, held };
}
