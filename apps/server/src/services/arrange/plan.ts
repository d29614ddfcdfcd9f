import {
  allocate,
  colourNameOf,
  DEFAULT_SCHEME,
  familyGroupOf,
  growthOf,
  inOrder,
  inStash,
  keepTogether,
  mainLot,
  ownedOfRange,
  withGaps,
  makeGrouping,
  reachesIn,
  staysAt,
  type Allocation,
  type Grouping,
  type PlaceSpot,
  type Reach,
  type RoomNow,
} from '@red-shelf/core';
import {
  collectionsIn,
  homesIn,
  toSortable,
  type ArrangeAsked,
  type HoldingView,
  type RecordBody,
  type SortableSupply,
  type SupplyView,
  type UnitView,
} from '@red-shelf/contract';
import { standingRecords } from '../../db/recordRepository';
import { allSupplies } from '../../db/supplyRepository';
import type { Readable } from '../../db/tx';
import { standingUnits } from '../../db/unitRepository';
import { notFound, Refusal } from '../refusal';
import { supplyToView, unitToView } from '../views';
import { toItem, type Item } from './item';
import { asPictures, type Pictures } from './picture';
import { byReach, refuseAway, toPathUnit } from './path';

/** The stash as arranging needs it, read once. */
export interface Stash {
  readonly units: readonly UnitView[];
  readonly supplies: readonly SupplyView[];
  readonly records: readonly { readonly body: RecordBody }[];
}
export async function readStash(db: Readable): Promise<Stash> {
  return {
    units: (await standingUnits(db)).map(unitToView),
    supplies: (await allSupplies(db)).map(supplyToView),
    records: await standingRecords(db),
  };
}

export interface Planned {
  readonly grouping: Grouping;
  /** The places that are arranged, and those that are emptied into them, in the order they are filled. */
  readonly units: readonly UnitView[];
  readonly moving: readonly Item[];
  /** Things of the plan in the order chosen, by lot. */
  readonly rank: ReadonlyMap<string, number>;
  readonly sortable: ReadonlyMap<string, SortableSupply>;
  readonly target: Allocation<Item>;
  readonly room: RoomNow;
  readonly reachOf: (unitId: string) => Reach['reach'];
  /** Racks are filled as pictures. */
  readonly isPicture: boolean;
  /** The same, nearer to today or farther from it. */
  readonly placedNear: (near: number) => Planned;
}

/** Where everything that is arranged is to go; null for what finds no place. */
export const targetOf = ({ target, moving }: Planned): Map<string, PlaceSpot | null> =>
  new Map(moving.map(({ id }) => [id, target.spots.get(id) ?? null]));

/** What would stand where. `today` is a day (ISO), so that what was planned today can be carried out today. */
export function plan(stash: Stash, request: ArrangeAsked, today: string): Planned {
  const { reachOf, into, emptied, places } = placesOf(stash, request);
  const supplies = stash.supplies.filter(inStash);
  const ordering = { ...DEFAULT_SCHEME, ...request.scheme, recipes: request.recipes ?? {} };
  const homes = homesIn(stash.records, supplies, ordering);
  const { moving, staying } = whatMoves(stash, request, [...into, ...emptied], homes.homeOf);
  if (moving.length === 0) throw nothingMoves(request, staying, into);
  const collections = collectionsIn(stash.records);
  const sortable = new Map(supplies.map((supply) => [supply.id, toSortable(supply, collections)]));
  const pile = [...new Set(moving.map(({ supplyId }) => supplyId))].flatMap((id) => sortable.get(id) ?? []);
  const grouping = makeGrouping(ordering.recipes, ordering, pile);
  const groupOf = ({ supplyId }: Item): string => {
    const thing = sortable.get(supplyId);
    return thing ? grouping.groupOf(thing) : '';
  };
  const ordered = lotsInOrder(inOrder(pile, ordering), moving, request, collections);
  // Only what stays counts as being there.
  const room: RoomNow = { livingIn: (unitId) => staying.get(unitId) ?? [], ...homes };
  const grown = pile.map((thing) => ({ group: grouping.groupOf(thing), createdAt: thing.createdAt }));
  const path = into
    .filter(({ facts }) => !facts.stays)
    .map((unit) => toPathUnit(unit, staying.get(unit.id) ?? [], room))
    .map((unit, _, all) => ({ ...unit, ...overflowIn(into, all, unit.id) }));
  const growth = withGaps(growthOf(grown, Date.parse(today)), gapsIn(stash, request, grouping.by));
  const rank = new Map(ordered.map(({ id }, i) => [id, i]));
  const isPicture = request.scheme?.picture ?? false;
  const made: Pictures = new Map();
  const placedNear = (near: number): Planned => {
    const begin = request.begin === 'anywhere' ? {} : { begin: request.begin };
    const inARow = allocate(ordered, path, { groupOf, growth, near, ...begin });
    const target = isPicture
      ? asPictures(inARow, { units: into, path, staying, groupOf, growth, near, made })
      : inARow;
    return { isPicture, grouping, units: places, moving, rank, sortable, target, room, reachOf, placedNear };
  };
  return placedNear(request.near);
}

function placesOf({ units: standing }: Stash, request: ArrangeAsked) {
  const find = (ids: readonly string[]): UnitView[] => {
    const wanted = new Set(ids);
    const units = standing.filter(({ id }) => wanted.has(id));
    if (units.length < wanted.size) throw notFound('place');
    return units;
  };
  let reaches: ReturnType<typeof reachesIn> | undefined;
  const reachOf = (unitId: string): Reach['reach'] =>
    (reaches ??= reachesIn(standing.filter(({ sort }) => sort !== 'hand'))).get(unitId)?.reach ?? 'mid';
  const chosen = find(request.unitIds);
  refuseAway(chosen);
  const into = byReach(chosen, reachOf, request);
  const emptied = find(request.outOf).filter(({ id }) => !request.unitIds.includes(id));
  return { reachOf, into, emptied, places: [...chosen, ...emptied] };
}

/** What it takes the too much of, where that is filled as well. */
function overflowIn(
  into: readonly UnitView[],
  path: readonly { readonly id: string }[],
  unitId: string,
): { overflowOf?: string } {
  const of = into.find(({ id }) => id === unitId)?.facts.overflowOf;
  return of !== undefined && of !== unitId && path.some(({ id }) => id === of) ? { overflowOf: of } : {};
}

/** The families in which colours of a range are known to be missing, once for each; where things are grouped by colour. */
function gapsIn({ records, supplies }: Stash, { kinds }: ArrangeAsked, by: Grouping['by']): string[] {
  if (by !== 'family') return [];
  return records.flatMap(({ body }) => {
    if (body.sort !== 'range' || !kinds.includes(body.kind)) return [];
    const owned = ownedOfRange(body.entries, body, supplies);
    return body.entries.flatMap(({ name, hex }, i) =>
      owned[i] ? [] : [familyGroupOf({ id: name, hex, finish: body.finish })],
    );
  });
}

/** What is arranged, and what stays in each place: what was said to stay, what is not asked for, and packs, bases and scraps. */
function whatMoves(
  { supplies, units }: Stash,
  request: ArrangeAsked,
  chosen: readonly UnitView[],
  homeOf: (supplyId: string) => string | undefined,
): { moving: Item[]; staying: ReadonlyMap<string, Item[]> } {
  const racks = new Map(units.flatMap((unit) => (unit.sort === 'unit' ? [[unit.id, unit] as const] : [])));
  const asked = new Set(chosen.map(({ id }) => id));
  const kinds = new Set<string>(request.kinds);
  const moves = (supply: SupplyView, lot: HoldingView): boolean => {
    if (!inStash(supply) || !kinds.has(supply.kind) || lot.as !== 'whole') return false;
    if (lot.spot === null) return lot.left > 0 || lot.id === mainLot(supply.holdings)?.id;
    const unit = racks.get(lot.spot.unitId);
    if (!unit || staysAt(unit, lot.spot.cell) || supply.facts.stays) return false;
    // Where anything will do, it is as it should be.
    if (unit.facts.tolerance === 'anywhere' && !request.outOf.includes(unit.id)) return false;
    return asked.has(lot.spot.unitId) || request.fromElsewhere;
  };
  const moving: Item[] = [];
  const staying = new Map<string, Item[]>(chosen.map(({ id }) => [id, []]));
  for (const supply of supplies)
    for (const lot of supply.holdings)
      if (moves(supply, lot)) moving.push(toItem(supply, lot, homeOf(supply.id)));
      else if (lot.spot) staying.get(lot.spot.unitId)?.push(toItem(supply, lot));
  return { moving, staying };
}

/** Nothing that could be lifted: because it was all said to stay, or because there is nothing. */
function nothingMoves(
  { kinds }: ArrangeAsked,
  staying: ReadonlyMap<string, Item[]>,
  into: readonly UnitView[],
): Refusal {
  const stays = into.flatMap(({ id }) => staying.get(id) ?? []).filter(({ of }) => kinds.includes(of.kind));
  return stays.length > 0
    ? new Refusal(
        422,
        'all_stay',
        'Everything there is left where it is, as you said of the things or of their places. There is nothing to arrange.',
      )
    : new Refusal(422, 'nothing_there', 'There is nothing of that kind to arrange. Choose another kind.');
}

/** Every lot of the supplies, in their order; those that belong together where the first of them stands. */
function lotsInOrder(
  supplies: readonly SortableSupply[],
  moving: readonly Item[],
  { together }: ArrangeAsked,
  collections: ReadonlyMap<string, string>,
): Item[] {
  const lots = new Map<string, Item[]>();
  for (const item of moving) lots.set(item.supplyId, [...(lots.get(item.supplyId) ?? []), item]);
  const ordered = supplies.flatMap(({ id }) => lots.get(id) ?? []);
  return together.reduce<Item[]>(
    (row, what) =>
      keepTogether(
        row,
        what === 'companions' ? companionsOf : ({ supplyId }) => collections.get(supplyId) ?? null,
      ),
    ordered,
  );
}
/** A pad, its refill, its foam, the card and marker of its colour: they have one colour name. */
const companionsOf = ({ of }: Item): string | null => colourNameOf(of.name) || null;
