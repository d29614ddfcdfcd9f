import { goesOf, inStash, paceOf, placedLots, remediesFor, type Pace, type RoomNow } from '@red-shelf/core';
import {
  planOf,
  type ArrangeAsked,
  type ArrangePreview,
  type ArrangeProgress,
  type ChangeView,
  type RecordView,
} from '@red-shelf/contract';
import { liftTimes } from '../../db/eventRepository';
import { fingerprint } from '../../db/fingerprint';
import { breathe, type Readable } from '../../db/tx';
import { asideOf, type Report } from '../aside';
import type { Context } from '../context';
import type { Ports } from '../ports';
import { newRow, recordToView } from '../records';
import { Recorder } from '../recorder';
import { Refusal } from '../refusal';
import { fullIn } from './full';
import { liftsOf, movesOf } from './lifts';
import { plan, readStash, targetOf, type Planned, type Stash } from './plan';
import { sideOf } from './sides';

/** The day, so that what was planned today can be carried out today: growth is counted by it. */
const today = ({ now }: Ports): string => now().slice(0, 10);

/** Up to so many things other choices of nearness are tried, too. */
const TRIED_TO = 600;
const NEARNESS = [0, 0.25, 0.5, 1] as const;

/** A name for exactly this outcome from exactly this state. */
function tokenFor({ supplies }: Stash, planned: Planned): string {
  const before = supplies.map(({ holdings }) => holdings.map(({ id, spot }) => [id, spot]));
  return fingerprint([before, [...targetOf(planned)]]);
}

/** How fast this person sets things down. */
const paceIn = async (db: Readable): Promise<Pace> => paceOf(await liftTimes(db));

/** How often a thing of the plan is looked for in a year, all together: by how it was used since it came. */
function looksAYear({ moving }: Planned, now: string): number {
  const YEAR = 365.25 * 86_400_000;
  const LEAST = YEAR / 12;
  const seen = new Map(moving.map(({ of, uses = 0 }) => [of.id, { uses, since: Date.parse(of.createdAt) }]));
  return [...seen.values()].reduce(
    (sum, { uses, since }) => sum + Math.max(1, (uses * YEAR) / Math.max(LEAST, Date.parse(now) - since)),
    0,
  );
}

/** How far previews have come that are watched, by the name a client gave each. */
const watched = new Map<string, ArrangeProgress>();
export const progressOf = (watch: string): ArrangeProgress => watched.get(watch) ?? { done: 0, total: STEPS };
/** Reading, placing, both sides, the lifts. */
const STEPS = 4;

/** What arranging would do, with figures. Nothing changes; it is worked out beside, where nobody waits for it. */
export async function previewArrange(
  context: Context,
  { watch, ...request }: ArrangeAsked & { readonly watch?: string | undefined },
  signal?: AbortSignal,
): Promise<ArrangePreview> {
  const report: Report = ({ done, total }) => watch !== undefined && watched.set(watch, { done, total });
  try {
    return await asideOf(context)('arrange', request, { report, ...(signal ? { signal } : {}) });
  } finally {
    if (watch !== undefined) watched.delete(watch);
  }
}

/** The same, here. */
export async function previewHere(
  { store, ports }: Context,
  request: ArrangeAsked,
  report: Report = () => undefined,
): Promise<ArrangePreview> {
  let done = 0;
  const total = STEPS + NEARNESS.length;
  /** Says how far it is, and lets that be sent. */
  const next = async (): Promise<void> => {
    report({ step: 'arranging', done: ++done, total });
    await breathe();
  };
  const stash = await readStash(store.read);
  const day = today(ports);
  await next();
  const planned = plan(stash, request, day);
  await next();
  const { target, grouping, moving, units, room } = planned;
  const spots = targetOf(planned);
  const before = sideOf(stash, planned, ({ spot }) => spot);
  const after = sideOf(stash, planned, ({ id, spot }) => (spots.has(id) ? (spots.get(id) ?? null) : spot));
  await next();
  const lifts = liftsOf(stash, planned);
  await next();
  const others = stash.units.filter(
    ({ id, sort, facts }) => sort === 'unit' && !facts.stays && !request.unitIds.includes(id),
  );
  const inUnit = livingNow(stash);
  return {
    by: grouping.by,
    before,
    after,
    held: [...target.held].flatMap(([unitId, slots]) =>
      [...slots].map(([slot, group]) => ({ unitId, slot, group })),
    ),
    leftOver: target.leftOver.map(({ item, reason }) => ({ supplyId: item.supplyId, reason })),
    remedies: remediesFor(
      target.leftOver.filter(({ reason }) => reason.code !== 'let_go').map(({ item }) => item),
      others,
      { ...room, livingIn: (unitId) => inUnit.get(unitId) ?? [] },
    ).map(({ items, ...remedy }) => ({ ...remedy, supplyIds: items.map(({ supplyId }) => supplyId) })),
    // A place that is kept for a palette or a drawer is no part of a run.
    continues: target.continues.filter(({ from, to }) => !room.keptFor?.(from) && !room.keptFor?.(to)),
    full: fullIn(planned, after, ports.now()),
    freed: units.map(({ id }) => id).filter((id) => isEmpty(after, id) && !isEmpty(before, id)),
    moves: new Set(lifts.map(({ id }) => id)).size,
    lifts: lifts.length,
    goes: goesOf(lifts).length,
    looksAYear: looksAYear(planned, ports.now()),
    pace: await paceIn(store.read),
    nearer: moving.length > TRIED_TO ? [] : await stopsOf(stash, planned, request.near, next),
    token: tokenFor(stash, planned),
  };
}

/** What other choices of nearness would cost and give; only those that take fewer lifts than the ones before, and the one chosen. */
async function stopsOf(
  stash: Stash,
  planned: Planned,
  chosen: number,
  next: () => Promise<void>,
): Promise<ArrangePreview['nearer']> {
  const stops: ArrangePreview['nearer'] = [];
  for (const near of NEARNESS) {
    stops.push(tried(stash, near === chosen ? planned : planned.placedNear(near), near));
    await next();
  }
  return stops.filter(
    ({ near, lifts }, i) => near === chosen || stops.slice(0, i).every((stop) => lifts < stop.lifts),
  );
}

/** What another nearness to today would cost and give. */
function tried(stash: Stash, planned: Planned, near: number): ArrangePreview['nearer'][number] {
  const spots = targetOf(planned);
  const { figures } = sideOf(stash, planned, ({ id, spot }) =>
    spots.has(id) ? (spots.get(id) ?? null) : spot,
  );
  const { inOrder, beside } = figures;
  return { near, lifts: liftsOf(stash, planned).length, inOrder, beside };
}

const isEmpty = (side: ArrangePreview['before'], unitId: string): boolean =>
  side.units.find((each) => each.unitId === unitId)?.slots.every((slot) => slot === null) ?? true;

/** What lives in each place now, to ask of how much room there is. */
function livingNow({ supplies }: Stash): ReadonlyMap<string, ReturnType<RoomNow['livingIn']>> {
  const living = new Map<string, ReturnType<RoomNow['livingIn']>[number][]>();
  for (const supply of supplies.filter(inStash))
    for (const lot of placedLots(supply.holdings)) {
      const there = living.get(lot.spot?.unitId ?? '') ?? [];
      there.push({ supply, lot });
      living.set(lot.spot?.unitId ?? '', there);
    }
  return living;
}

/** Plans once more in the transaction that changes something; refuses where that is not what was looked at. */
async function agreed(db: Readable, ports: Ports, request: ArrangeAsked, token: string) {
  const stash = await readStash(db);
  const planned = plan(stash, request, today(ports));
  if (tokenFor(stash, planned) !== token)
    throw new Refusal(
      409,
      'preview_outdated',
      'The stash has changed since this preview. Look at the new one first; nothing was moved.',
    );
  return { stash, planned, name: planned.units.map(({ name }) => name).join(', ') };
}

/** Carries a previewed arrangement out, if nothing has changed since the preview. */
export async function applyArrange(
  { store, ports }: Context,
  request: ArrangeAsked,
  token: string,
): Promise<ChangeView> {
  return store.write(async (tx) => {
    const { stash, planned, name } = await agreed(tx, ports, request, token);
    const recorder = new Recorder(tx, ports);
    await recorder.move(movesOf(stash, planned));
    return recorder.finish('arrange', name, new Set(liftsOf(stash, planned).map(({ id }) => id)).size);
  });
}

/** Most characters of a plan's name. */
const LONGEST_NAME = 110;

/** Begins a plan that is carried out lift by lift, if nothing has changed since the preview. Nothing is moved yet. */
export async function startArrange(
  { store, ports }: Context,
  request: ArrangeAsked,
  token: string,
): Promise<{ record: RecordView; change: ChangeView }> {
  return store.write(async (tx) => {
    const { stash, planned, name } = await agreed(tx, ports, request, token);
    const target = targetOf(planned);
    const moved = new Set(liftsOf(stash, planned).map(({ id }) => id));
    // Where things share a place, all of them say where one belongs that comes between.
    const moves = planned.moving.flatMap(({ id, spot }) => {
      const to = target.get(id) ?? null;
      return moved.has(id) || (to !== null && to.cell === null) ? [{ lotId: id, from: spot, to }] : [];
    });
    if (moved.size === 0)
      throw new Refusal(422, 'nothing_to_do', 'Everything stands where this order would put it.');
    const row = newRow(ports, planOf(name.slice(0, LONGEST_NAME), moves));
    const recorder = new Recorder(tx, ports);
    await recorder.putRecord(null, row);
    return { record: recordToView(row), change: await recorder.finish('record', name, 1) };
  });
}
