import { formOf, type Holding } from '@red-shelf/core';
import { inMakingOrder, joined, renamed, type ChangeView, type SupplyView } from '@red-shelf/contract';
import type { EventRecord } from '../db/eventRepository';
import { historyOf } from '../db/foldRepository';
import { standingRecords } from '../db/recordRepository';
import type { SupplyWithState } from '../db/supplyRepository';
import type { Tx } from '../db/tx';
import { Refusal } from './refusal';
import { refuseStale, type Context } from './context';
import { liftUnfit } from './placing';
import { madeId, type Ports } from './ports';
import { recordToView } from './records';
import { Recorder } from './recorder';
import { mustFind } from './find';
import { supplyToView } from './views';

interface Seen {
  readonly id: string;
  readonly version: number;
}

/** The other's own history without its moves, which are told anew, and without what undid a move. */
function retold(events: readonly EventRecord[], supplyId: string): EventRecord[] {
  const kept = new Set<string>();
  return events.filter((event) => {
    if (event.act === 'move' || event.supplyId !== supplyId) return false;
    if (event.act === 'undo' && !kept.has(event.undoes)) return false;
    kept.add(event.id);
    return true;
  });
}

/**
 * The other's lots and history under the kept one's name: each lot becomes one of the kept supply's, where it was, and
 * adds up to what it did.
 */
async function takeOver(
  tx: Tx,
  recorder: Recorder,
  keep: SupplyWithState,
  other: SupplyWithState,
  ports: Ports,
): Promise<void> {
  const { events } = await historyOf(tx, other.supply);
  const lots = inMakingOrder(other.lots).map((lot) => ({ lot, newId: madeId(ports) }));
  const lotIds = new Map(lots.map(({ lot, newId }) => [lot.id, newId]));
  const told = retold(events, other.supply.id);
  const eventIds = new Map(told.map(({ id }) => [id, ports.newId()]));
  await recorder.addLots(
    lots.map(({ lot, newId }) => ({
      supplyId: keep.supply.id,
      lot: { id: newId, as: lot.as, sizeUm: lot.sizeUm },
    })),
  );
  const copies = told.map((event) => ({
    ...event,
    // What a refill took from a bottle was taken once.
    ...(event.act === 'refill' ? { from: undefined } : {}),
    ...(event.act === 'undo' ? { undoes: eventIds.get(event.undoes) ?? event.undoes } : {}),
    id: eventIds.get(event.id) ?? ports.newId(),
    supplyId: keep.supply.id,
    postings: event.postings.flatMap((posting) => {
      const holdingId = lotIds.get(posting.holdingId);
      return holdingId ? [{ ...posting, holdingId }] : [];
    }),
    shifts: [],
  }));
  // In one go, so that a lot is one version older, whatever is told of it.
  await recorder.append([...copies, balance(recorder, keep.supply.id, lots)]);
  await recorder.move(lots.map(({ newId, lot }) => ({ lotId: newId, to: lot.spot })));
}

/** What moved between lots, or came from elsewhere, is no act that could be told again: the lots are set to what they hold. */
function balance(
  recorder: Recorder,
  supplyId: string,
  lots: readonly { readonly lot: Holding; readonly newId: string }[],
): EventRecord {
  const postings = lots.map(({ lot, newId }) => ({
    holdingId: newId,
    items: lot.items,
    left: lot.left,
    how: 'to' as const,
  }));
  return recorder.event(supplyId, { act: 'move' }, postings);
}

/** Kits, palettes and drawers that named the one that leaves name the one that stays. */
async function renameIn(tx: Tx, recorder: Recorder, ports: Ports, from: string, to: string): Promise<void> {
  for (const before of await standingRecords(tx)) {
    const body = renamed(recordToView(before).body, from, to);
    if (!body) continue;
    const after = { ...before, body, version: before.version + 1, updatedAt: ports.now() };
    await recorder.putRecord(before, after);
  }
}

/** Makes one of two records that are one thing: stock and history are joined, the other one leaves the stash. */
export async function mergeSupplies(
  { store, ports }: Context,
  given: { keep: Seen; other: Seen },
): Promise<{ supply: SupplyView; change: ChangeView }> {
  if (given.keep.id === given.other.id)
    throw new Refusal(422, 'invalid', 'Those are the same record; choose two.');
  return store.write(async (tx) => {
    const keep = await mustFind(tx, given.keep.id);
    const other = await mustFind(tx, given.other.id);
    refuseStale(given.keep.version, supplyToView(keep));
    refuseStale(given.other.version, supplyToView(other));
    if (keep.supply.kind !== other.supply.kind || keep.supply.form !== other.supply.form)
      throw new Refusal(
        422,
        'different_things',
        `A ${formOf(keep.supply.kind, keep.supply.form).name} and a ${formOf(other.supply.kind, other.supply.form).name} are two things. Make them the same form first.`,
      );
    const recorder = new Recorder(tx, ports);
    const next = joined(keep.supply, other.supply, ports.now());
    await recorder.writeSupply(keep.supply, next);
    await recorder.removeSupplies([other.supply]);
    await takeOver(tx, recorder, keep, other, ports);
    await renameIn(tx, recorder, ports, other.supply.id, keep.supply.id);
    await liftUnfit(tx, recorder, [next]);
    const change = await recorder.finish('merge', keep.supply.name, 2);
    return { supply: supplyToView(await mustFind(tx, keep.supply.id)), change };
  });
}
