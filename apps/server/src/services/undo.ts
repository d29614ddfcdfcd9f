import type { ChangeView } from '@red-shelf/contract';
import { eq } from 'drizzle-orm';
import type { Tx } from '../db/open';
import { changes } from '../db/schema';
import { recordRow } from '../db/recordRepository';
import { supplyRecords } from '../db/supplyRepository';
import { placementsOf, standingUnits, unitRecord } from '../db/wallRepository';
import { notFound, Refusal } from '../http/problem';
import type { Context } from './context';
import { entry } from './supplies';
import { contentOf, Recorder, type Inverse } from './recorder';
import { REPLACED, restoreSnapshot } from './restore';

const changedSince = (): Refusal =>
  new Refusal(
    409,
    'changed_since',
    'That cannot be undone any more: something it touched has changed since.',
  );

/** Takes a change back, whole or not at all. The undo is a change too, so it can itself be undone. */
export async function undoChange({ store, ports }: Context, id: string): Promise<ChangeView> {
  return store.write(async (tx) => {
    const [line] = await tx.select().from(changes).where(eq(changes.id, id));
    if (!line) throw notFound('change');
    if (line.undoneBy === REPLACED) throw changedSince();
    if (line.undoneBy) throw new Refusal(409, 'already_undone', 'That was undone already.');
    const inverse = line.inverse as Inverse;
    const recorder = new Recorder(tx, ports);
    if (inverse.snapshotId)
      recorder.inverse.snapshotId = await restoreSnapshot(tx, ports, inverse.snapshotId);
    await undoRecords(tx, recorder, inverse, ports.now());
    await undoUnits(tx, recorder, inverse, ports.now());
    await undoSupplies(tx, recorder, inverse, ports.now());
    await undoPlaces(tx, recorder, inverse);
    await undoLedger(tx, recorder, inverse, ports);
    const change = await recorder.finish('undo', line.name, line.count);
    await tx.update(changes).set({ undoneBy: change.id }).where(eq(changes.id, id));
    return change;
  });
}

async function undoUnits(tx: Tx, recorder: Recorder, { units }: Inverse, at: string): Promise<void> {
  for (const { id, before, after } of units) {
    const now = await unitRecord(tx, id);
    if (!now || contentOf(now) !== after) throw changedSince();
    await recorder.writeUnit(now, { ...(before ?? { ...now, removedAt: at }), version: now.version + 1 });
  }
}

async function undoRecords(tx: Tx, recorder: Recorder, { records = [] }: Inverse, at: string): Promise<void> {
  for (const { id, before, after } of records) {
    const now = await recordRow(tx, id);
    if (!now || contentOf(now) !== after) throw changedSince();
    const then = before ?? { ...now, removedAt: at };
    await recorder.putRecord(now, { ...then, version: now.version + 1, updatedAt: at });
  }
}

async function undoSupplies(tx: Tx, recorder: Recorder, { supplies }: Inverse, at: string): Promise<void> {
  const current = await supplyRecords(
    tx,
    supplies.map(({ id }) => id),
  );
  const lifted: [string, null][] = [];
  for (const { id, before, after } of supplies) {
    const now = current.get(id);
    if (!now || contentOf(now) !== after) throw changedSince();
    const then = before ?? { ...now, removedAt: at };
    if (!before) lifted.push([id, null]);
    await recorder.writeSupply(now, { ...then, version: now.version + 1, updatedAt: at });
  }
  if (lifted.length > 0) await recorder.setPlaces(new Map(lifted));
}

async function undoPlaces(tx: Tx, recorder: Recorder, { places }: Inverse): Promise<void> {
  if (places.length === 0) return;
  const now = await placementsOf(
    tx,
    places.map(({ supplyId }) => supplyId),
  );
  for (const { supplyId, after } of places) {
    const here = now.get(supplyId);
    if ((here?.unitId ?? null) !== (after?.unitId ?? null) || (here?.slot ?? null) !== (after?.slot ?? null))
      throw changedSince();
  }
  const standing = new Set((await standingUnits(tx)).map(({ id }) => id));
  if (places.some(({ before }) => before && !standing.has(before.unitId))) throw changedSince();
  try {
    await recorder.setPlaces(new Map(places.map(({ supplyId, before }) => [supplyId, before])));
  } catch {
    // The slot was given to something else meanwhile: the one-supply-a-slot rule refused it.
    throw changedSince();
  }
}

async function undoLedger(
  tx: Tx,
  recorder: Recorder,
  { ledger }: Inverse,
  ports: Context['ports'],
): Promise<void> {
  if (ledger.length === 0) return;
  const at = ports.now();
  const of = await supplyRecords(tx, [...new Set(ledger.map(({ supplyId }) => supplyId))]);
  const entries = ledger.map(({ id, supplyId }) =>
    entry(ports.newId(), supplyId, at, 'undo', { undoes: id }),
  );
  await recorder.appendLedger(entries, [...of.values()]);
}
