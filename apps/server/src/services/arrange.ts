import {
  bodyOf,
  DEFAULT_SCHEME,
  growthOf,
  holdsOf,
  inStash,
  keyed,
  mainLot,
  makeGrouping,
  makeRecipesOrder,
  mayLive,
  placeInGrid,
  REACHES,
  roomIn,
  sameSpot,
  shelfFigures,
  useOf,
  zonesOf,
  type Arrangement,
  type Grouping,
  type Lodger,
  type PlaceItem,
  type PlaceOptions,
  type PlaceSpot,
  type PlaceUnit,
  type RoomNow,
} from '@red-shelf/core';
import {
  homesIn,
  toSortable,
  type ArrangePreview,
  type ArrangeRequest,
  type ChangeView,
  type HoldingView,
  type SortableSupply,
  type SupplyView,
  type UnitView,
} from '@red-shelf/contract';
import { standingRecords } from '../db/recordRepository';
import { fingerprint } from '../db/fingerprint';
import { allSupplies } from '../db/supplyRepository';
import type { Readable } from '../db/tx';
import { standingUnits } from '../db/unitRepository';
import { notFound, Refusal } from './refusal';
import type { Context } from './context';
import type { Ports } from './ports';
import { Recorder } from './recorder';
import { supplyToView, unitToView } from './views';
import { refuseNoCells } from './wall';

/** A lot of whole things: what arranging moves. Packs, bases and scraps stay where they are. */
interface Item extends PlaceItem, Lodger {
  readonly supplyId: string;
  readonly of: SupplyView;
  readonly lot: HoldingView;
}
interface Planned {
  readonly grouping: Grouping;
  readonly units: readonly UnitView[];
  readonly supplies: readonly SupplyView[];
  readonly moving: readonly Item[];
  readonly target: Arrangement<Item>;
}

/** Things of one kind and size, at home in one place or nowhere, may live in the same places. */
function alike({ kind, ...supply }: SupplyView, lot: HoldingView, home: string | undefined): string {
  const { widthUm, heightUm, depthUm } = bodyOf({ kind, ...supply }, lot).one;
  return [kind, supply.form, widthUm, heightUm, depthUm, home].join(' ');
}

const toItem = (supply: SupplyView, lot: HoldingView): Item => ({
  id: lot.id,
  supplyId: supply.id,
  spot: lot.spot,
  hex: supply.hex,
  finish: supply.finish,
  family: supply.family,
  uses: useOf(supply),
  supply,
  of: supply,
  lot,
});

async function plan(db: Readable, request: ArrangeRequest, today: string): Promise<Planned> {
  const wanted = new Set(request.unitIds);
  const standing = (await standingUnits(db)).map(unitToView);
  const units = standing.filter(({ id }) => wanted.has(id));
  if (units.length < wanted.size) throw notFound('rack');
  refuseNoCells(units);
  const racks = new Set(standing.flatMap(({ id, sort }) => (sort === 'unit' ? [id] : [])));
  const all = (await allSupplies(db)).map(supplyToView);
  const supplies = all.filter(inStash);
  const kinds = new Set<string>(request.kinds);
  const moves = (supply: SupplyView, { as, spot, ...lot }: HoldingView): boolean => {
    if (!kinds.has(supply.kind) || as !== 'whole') return false;
    if (spot === null) return lot.left > 0 || lot.id === mainLot(supply.holdings)?.id;
    return wanted.has(spot.unitId) || (request.fromElsewhere === true && racks.has(spot.unitId));
  };
  const moving: Item[] = [];
  const staying = new Map<string, Item[]>(units.map(({ id }) => [id, []]));
  for (const supply of all)
    for (const lot of supply.holdings)
      if (inStash(supply) && moves(supply, lot)) moving.push(toItem(supply, lot));
      else if (lot.spot) staying.get(lot.spot.unitId)?.push(toItem(supply, lot));
  const ordering = { ...(request.scheme ?? DEFAULT_SCHEME), recipes: request.recipes ?? {} };
  // Only what stays counts as being there.
  const now: RoomNow = {
    livingIn: (unitId) => staying.get(unitId) ?? [],
    ...homesIn(await standingRecords(db), supplies, ordering),
  };
  const room = units.map((unit) => toPlaceUnit(unit, staying.get(unit.id) ?? [], now));
  const asked = moving.map((item) => ({
    ...item,
    alike: alike(item.of, item.lot, now.homeOf?.(item.supplyId)),
  }));
  const sortable = new Map(supplies.map((supply) => [supply.id, toSortable(supply)]));
  const inThese = asked.flatMap(({ supplyId }) => sortable.get(supplyId) ?? []);
  const grouping = makeGrouping(ordering.recipes, ordering, inThese);
  const groupOf = (k: { readonly item: PlaceItem }): string => {
    const thing = sortable.get(ownerOf(k));
    return thing ? grouping.groupOf(thing) : '';
  };
  const grown = inThese.map((thing) => ({ group: grouping.groupOf(thing), createdAt: thing.createdAt }));
  const target = placeInGrid(asked, byReach(room, units, request), {
    ...(request.scheme ? { scheme: request.scheme } : {}),
    ...recipeOrder(sortable, request),
    groupOf,
    growth: growthOf(grown, Date.parse(today)),
  });
  return { grouping, units, supplies: all, moving, target };
}

function toPlaceUnit(unit: UnitView, staying: readonly Item[], room: RoomNow): PlaceUnit<Item> {
  const { model, rules } = unit;
  if (!model) return { id: unit.id, cells: 0, zones: [], takes: () => ({ code: 'no_such_spot' }) };
  const blocked = new Set(staying.flatMap(({ lot }) => lot.spot?.cell ?? []));
  // A limit counts what stays, too.
  const most = Math.max(0, (rules.cap ?? Infinity) - staying.length);
  // Whether a cell is taken is the arranging's own business; whether it suits is not.
  const open: RoomNow = { ...room, livingIn: () => [] };
  return {
    id: unit.id,
    cells: holdsOf(model).cells,
    zones: zonesOf(model, blocked, most),
    takes: (item, cell) => mayLive(item, { unit, cell }, open),
  };
}

/** The order of the person's recipes, where they have any. */
function recipeOrder(
  sortable: ReadonlyMap<string, SortableSupply>,
  { recipes = {}, scheme }: ArrangeRequest,
): Pick<PlaceOptions, 'order'> {
  if (Object.keys(recipes).length === 0) return {};
  const order = makeRecipesOrder(recipes, scheme ?? DEFAULT_SCHEME, [...sortable.values()]);
  return {
    order: (a, b) => {
      const [p, q] = [sortable.get(ownerOf(a)), sortable.get(ownerOf(b))];
      return p && q ? order(p, q) : 0;
    },
  };
}

/** The supply an item is of. */
const ownerOf = ({ item }: { item: PlaceItem }): string => (item as Item).supplyId;

/** Where a recipe begins with use, what is used often goes nearest: near racks are filled first. */
function byReach(
  room: readonly PlaceUnit<Item>[],
  units: readonly UnitView[],
  { recipes = {} }: ArrangeRequest,
): readonly PlaceUnit<Item>[] {
  if (!Object.values(recipes).some(([first]) => first === 'how often used')) return room;
  const rank = new Map(units.map(({ id, facts }) => [id, REACHES.indexOf(facts.reach ?? 'mid')]));
  return [...room].sort((p, q) => (rank.get(p.id) ?? 0) - (rank.get(q.id) ?? 0));
}

/** Where everything in the chosen racks stands, before or after; things that stay put stand in both. */
function side(
  { units, supplies, grouping }: Planned,
  spotOf: (lot: HoldingView) => PlaceSpot | null,
): ArrangePreview['before'] {
  const cells = new Map(
    units.map(({ id, model }) => [id, Array<Item | null>(model ? holdsOf(model).cells : 0).fill(null)]),
  );
  let placed = 0;
  for (const supply of supplies)
    for (const lot of supply.holdings) {
      const spot = spotOf(lot);
      const row = spot && cells.get(spot.unitId);
      if (!row || spot.cell === null) continue;
      row[spot.cell] = toItem(supply, lot);
      placed++;
    }
  // As they are filled: down columns, back and forth, without the columns that are left out.
  const rows = units.map(({ id, model }) =>
    (model ? holdsOf(model).order : []).map((cell) => cells.get(id)?.[cell] ?? null),
  );
  const figures = shelfFigures(
    rows.map((row) => row.map((item) => item && keyed(item))),
    ({ item }) => grouping.groupOf(toSortable(item.of)),
  );
  const emptySlots = units.reduce((sum, unit, i) => {
    const filled = (rows[i] ?? []).filter((item) => item !== null).length;
    return sum + Math.max(0, (roomIn(unit) ?? 0) - filled);
  }, 0);
  return {
    figures: { placed, emptySlots, ...figures },
    units: [...cells].map(([unitId, row]) => ({ unitId, slots: row.map((item) => item?.supplyId ?? null) })),
  };
}

function targetSpots({ target, moving }: Planned): Map<string, PlaceSpot | null> {
  const spots = new Map<string, PlaceSpot | null>(moving.map(({ id }) => [id, null]));
  for (const { unit, slots } of target.units)
    slots.forEach((item, cell) => item && spots.set(item.id, { unitId: unit.id, cell, rank: 0 }));
  return spots;
}

/** The places that would change, and a name for exactly this outcome. */
function outcome(planned: Planned): { changed: Map<string, PlaceSpot | null>; token: string } {
  const now = new Map(planned.moving.map(({ id, lot }) => [id, lot.spot]));
  const changed = new Map(
    [...targetSpots(planned)].filter(([id, spot]) => !sameSpot(now.get(id) ?? null, spot)),
  );
  const before = planned.supplies.map(({ holdings }) => holdings.map(({ id, spot }) => [id, spot]));
  return { changed, token: fingerprint([before, [...changed]]) };
}

/** The day, so that what was planned today can be carried out today: growth is counted by it. */
const today = ({ now }: Ports): string => now().slice(0, 10);

/** What arranging would do, with figures. Nothing changes. */
export async function previewArrange(
  { store, ports }: Context,
  request: ArrangeRequest,
): Promise<ArrangePreview> {
  const planned = await plan(store.read, request, today(ports));
  const spots = targetSpots(planned);
  const { changed, token } = outcome(planned);
  return {
    by: planned.grouping.by,
    before: side(planned, ({ spot }) => spot),
    after: side(planned, ({ id, spot }) => (spots.has(id) ? (spots.get(id) ?? null) : spot)),
    held: [...planned.target.held].flatMap(([unitId, slots]) =>
      [...slots].map(([slot, group]) => ({ unitId, slot, group })),
    ),
    leftOver: planned.target.leftOver.map(({ item, reason }) => ({ supplyId: item.supplyId, reason })),
    moves: changed.size,
    token,
  };
}

/** Carries a previewed arrangement out, if nothing has changed since the preview. */
export async function applyArrange(
  { store, ports }: Context,
  request: ArrangeRequest,
  token: string,
): Promise<ChangeView> {
  return store.write(async (tx) => {
    const planned = await plan(tx, request, today(ports));
    const { changed, token: now } = outcome(planned);
    if (now !== token)
      throw new Refusal(
        409,
        'preview_outdated',
        'The stash has changed since this preview. Look at the new one first; nothing was moved.',
      );
    const recorder = new Recorder(tx, ports);
    await recorder.move([...changed].map(([lotId, to]) => ({ lotId, to })));
    return recorder.finish('arrange', planned.units.map(({ name }) => name).join(', '), changed.size);
  });
}
