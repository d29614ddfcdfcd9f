import type { FamilyGroup } from '../colour/families';
import type { EnvelopeMm } from '../kinds/definition';
import { fitInSlot, slotCount, type FitRefusal, type GridUnit } from '../storage/unit';
import { allocate } from './allocate';
import { keyed, makeRainbowOrder, type ColouredItem, type Keyed } from './order';
import { DEFAULT_SCHEME, type Scheme } from './scheme';
import { shareOut, stretches } from './spread';

/** A supply to be placed. */
export interface PlaceItem extends ColouredItem {
  readonly kind: string;
  readonly envelope: EnvelopeMm;
  /** Times used lately; where there is too little room the least used stay out. */
  readonly uses?: number;
}

/** A unit to fill: `holds` are the kinds it takes, `blocked` the slots that are not to be touched. */
export interface PlaceUnit extends GridUnit {
  readonly holds: readonly string[];
  readonly blocked?: ReadonlySet<number>;
  /** Slots in the order they are filled; in reading order when left out. Slots not named stay open. */
  readonly filling?: readonly number[];
  /** It holds a palette: these things and no others, and these nowhere else. */
  readonly only?: ReadonlySet<string>;
}

export type LeftOverReason = FitRefusal | { readonly code: 'wrong_kind' } | { readonly code: 'no_room' };

export interface Arrangement<T> {
  /** For each unit, its slots in reading order; null where the slot stays open. */
  readonly units: readonly { readonly unit: PlaceUnit; readonly slots: readonly (T | null)[] }[];
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
  units: readonly PlaceUnit[],
  options: PlaceOptions = {},
): Arrangement<T> {
  const order = options.order ?? makeRainbowOrder(options.scheme ?? DEFAULT_SCHEME);
  const leftOver: { item: T; reason: LeftOverReason }[] = [];
  const rooms = units.map((unit) => openSlots(unit).length);

  // Things with the same choice of units are one class; a class is spread as one run.
  const classes = new Map<string, { units: number[]; members: Keyed<T>[] }>();
  for (const item of items) {
    const choice = unitsFor(item, units);
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
  const contents: Keyed<T>[][] = units.map(() => []);
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

  const held = new Map<string, Map<number, FamilyGroup>>();
  const filled = units.map((unit, u) => {
    const here = (contents[u] ?? []).sort(order);
    const laid = layOut(here, unit, rooms[u] ?? 0, options.growth);
    held.set(unit.id, laid.held);
    return { unit, slots: laid.slots };
  });
  return { units: filled, held, leftOver };
}

/** Slots that may be filled, in the order they are. */
function openSlots(unit: PlaceUnit): number[] {
  const all = unit.filling ?? Array.from({ length: slotCount(unit) }, (_, index) => index);
  return all.filter((index) => !unit.blocked?.has(index));
}

/** Indices of the units an item may live in, or the reason of the unit that came nearest to taking it. */
function unitsFor(item: PlaceItem, units: readonly PlaceUnit[]): number[] | LeftOverReason {
  const choice: number[] = [];
  let reason: LeftOverReason = { code: 'wrong_kind' };
  const atHome = units.some(({ only }) => only?.has(item.id));
  units.forEach((unit, u) => {
    if (atHome ? !unit.only?.has(item.id) : unit.only !== undefined) return;
    if (!atHome && !unit.holds.includes(item.kind)) return;
    const refusal = fitInSlot(item.envelope, unit.slot);
    if (refusal) reason = refusal;
    else choice.push(u);
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

/** Puts an ordered list into one unit's free slots, each family followed by its share of the spare ones. */
function layOut<T>(
  ordered: readonly Keyed<T>[],
  unit: PlaceUnit,
  room: number,
  growth: PlaceOptions['growth'],
): { slots: (T | null)[]; held: Map<number, FamilyGroup> } {
  const slots: (T | null)[] = Array.from({ length: slotCount(unit) }, () => null);
  const held = new Map<number, FamilyGroup>();
  const runs = stretches(ordered, (k) => k.group);
  const spare = shareOut(
    room - ordered.length,
    runs.map((run) => growth?.[run.group] ?? run.items.length),
  );
  const open = openSlots(unit);
  let at = 0;
  runs.forEach((run, r) => {
    for (const { item } of run.items) {
      const index = open[at++];
      if (index !== undefined) slots[index] = item;
    }
    for (let kept = spare[r] ?? 0; kept > 0; kept--) {
      const index = open[at++];
      if (index !== undefined) held.set(index, run.group);
    }
  });
  return { slots, held };
}
