import { createHash } from 'node:crypto';
import {
  DEFAULT_SCHEME,
  envelopeOf,
  fillingOrder,
  isOnWall,
  keyed,
  makeRecipesOrder,
  placeInGrid,
  REACHES,
  shelfFigures,
  slotCount,
  type Arrangement,
  type PlaceItem,
  type PlaceOptions,
  type PlaceUnit,
} from '@red-shelf/core';
import type {
  ArrangePreview,
  ArrangeRequest,
  ChangeView,
  Place,
  SupplyView,
  UnitView,
} from '@red-shelf/contract';
import { allSupplies } from '../db/supplyRepository';
import type { Readable } from '../db/open';
import { standingUnits } from '../db/wallRepository';
import { notFound, Refusal } from '../http/problem';
import type { Context } from './context';
import { homes, toSortable } from './homes';
import { Recorder } from './recorder';
import { supplyToView, unitToView } from './views';

interface Item extends PlaceItem {
  readonly place: Place | null;
}
interface Planned {
  readonly units: readonly UnitView[];
  readonly supplies: readonly SupplyView[];
  readonly moving: readonly Item[];
  readonly target: Arrangement<Item>;
}

const toItem = (supply: SupplyView): Item => ({
  id: supply.id,
  hex: supply.hex,
  finish: supply.finish,
  family: supply.family,
  kind: supply.kind,
  envelope: envelopeOf(supply),
  uses: supply.stock.uses,
  place: supply.place,
});

async function plan(db: Readable, request: ArrangeRequest): Promise<Planned> {
  const wanted = new Set(request.unitIds);
  const units = (await standingUnits(db)).filter(({ id }) => wanted.has(id)).map(unitToView);
  if (units.length < wanted.size) throw notFound('rack');
  const away = units.find(({ facts }) => !isOnWall(facts));
  if (away) throw new Refusal(422, 'off_wall', `${away.name} is put away; bring it back to the wall first.`);
  const supplies = (await allSupplies(db)).map(supplyToView);
  const kinds = new Set<string>(request.kinds);
  const moves = ({ kind, place }: SupplyView): boolean =>
    kinds.has(kind) && (place === null || wanted.has(place.unitId) || request.fromElsewhere === true);
  const moving = supplies.filter(moves).map(toItem);
  const blocked = new Map<string, Set<number>>(units.map(({ id }) => [id, new Set()]));
  for (const supply of supplies)
    if (supply.place && !moves(supply)) blocked.get(supply.place.unitId)?.add(supply.place.slot);
  const kept = await homes(db, supplies, request.recipes ?? {}, request.scheme ?? DEFAULT_SCHEME);
  const room = units.map((unit): PlaceUnit => {
    const only = kept.get(unit.id);
    const staying = blocked.get(unit.id) ?? new Set<number>();
    // A limit counts what stays, too.
    const most = Math.max(0, (unit.facts.cap ?? Infinity) - staying.size);
    return {
      ...unit,
      blocked: staying,
      filling: fillingOrder(unit, unit.facts)
        .filter((slot) => !staying.has(slot))
        .slice(0, most),
      ...(only ? { only } : {}),
    };
  });
  const target = placeInGrid(moving, byReach(room, units, request), {
    ...(request.scheme ? { scheme: request.scheme } : {}),
    ...recipeOrder(supplies, request),
  });
  return { units, supplies, moving, target };
}

/** The order of the person's recipes, where they have any. */
function recipeOrder(
  supplies: readonly SupplyView[],
  { recipes = {}, scheme }: ArrangeRequest,
): Pick<PlaceOptions, 'order'> {
  if (Object.keys(recipes).length === 0) return {};
  const sortable = new Map(supplies.map((supply) => [supply.id, toSortable(supply)]));
  const order = makeRecipesOrder(recipes, scheme ?? DEFAULT_SCHEME, [...sortable.values()]);
  return {
    order: (a, b) => {
      const [p, q] = [sortable.get(a.id), sortable.get(b.id)];
      return p && q ? order(p, q) : 0;
    },
  };
}

/** Where a recipe begins with use, what is used often goes nearest: near racks are filled first. */
function byReach(
  room: readonly PlaceUnit[],
  units: readonly UnitView[],
  { recipes = {} }: ArrangeRequest,
): readonly PlaceUnit[] {
  if (!Object.values(recipes).some(([first]) => first === 'how often used')) return room;
  const rank = new Map(units.map(({ id, facts }) => [id, REACHES.indexOf(facts.reach ?? 'mid')]));
  return [...room].sort((p, q) => (rank.get(p.id) ?? 0) - (rank.get(q.id) ?? 0));
}

/** Where everything in the chosen racks stands, before or after; things that stay put stand in both. */
function side(
  { units, supplies }: Planned,
  placeOf: (supply: SupplyView) => Place | null,
): ArrangePreview['before'] {
  const slots = new Map(units.map((unit) => [unit.id, Array<SupplyView | null>(slotCount(unit)).fill(null)]));
  let placed = 0;
  for (const supply of supplies) {
    const place = placeOf(supply);
    const row = place && slots.get(place.unitId);
    if (!place || !row) continue;
    row[place.slot] = supply;
    placed++;
  }
  const rows = [...slots.values()].map((row) => row.map((supply) => supply && keyed(toItem(supply))));
  return {
    figures: { placed, ...shelfFigures(rows) },
    units: [...slots].map(([unitId, row]) => ({ unitId, slots: row.map((supply) => supply?.id ?? null) })),
  };
}

function targetPlaces({ target, moving }: Planned): Map<string, Place | null> {
  const places = new Map<string, Place | null>(moving.map(({ id }) => [id, null]));
  for (const { unit, slots } of target.units)
    slots.forEach((item, slot) => item && places.set(item.id, { unitId: unit.id, slot }));
  return places;
}

const same = (p: Place | null, q: Place | null): boolean => p?.unitId === q?.unitId && p?.slot === q?.slot;

/** The places that would change, and a name for exactly this outcome. */
function outcome(planned: Planned): { changed: Map<string, Place | null>; token: string } {
  const now = new Map(planned.moving.map(({ id, place }) => [id, place]));
  const changed = new Map(
    [...targetPlaces(planned)].filter(([id, place]) => !same(now.get(id) ?? null, place)),
  );
  const before = planned.supplies.map(({ id, place }) => [id, place]);
  const token = createHash('sha256')
    .update(JSON.stringify([before, [...changed]]))
    .digest('base64url');
  return { changed, token };
}

/** What arranging would do, with figures. Nothing changes. */
export async function previewArrange({ store }: Context, request: ArrangeRequest): Promise<ArrangePreview> {
  const planned = await plan(store.read, request);
  const places = targetPlaces(planned);
  const { changed, token } = outcome(planned);
  return {
    before: side(planned, ({ place }) => place),
    after: side(planned, ({ id, place }) => (places.has(id) ? (places.get(id) ?? null) : place)),
    held: [...planned.target.held].flatMap(([unitId, slots]) =>
      [...slots].map(([slot, group]) => ({ unitId, slot, group })),
    ),
    leftOver: planned.target.leftOver.map(({ item, reason }) => ({ supplyId: item.id, reason })),
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
    const planned = await plan(tx, request);
    const { changed, token: now } = outcome(planned);
    if (now !== token)
      throw new Refusal(
        409,
        'preview_outdated',
        'The stash has changed since this preview. Look at the new one first; nothing was moved.',
      );
    const recorder = new Recorder(tx, ports);
    await recorder.setPlaces(changed);
    return recorder.finish('arrange', planned.units.map(({ name }) => name).join(', '), changed.size);
  });
}
