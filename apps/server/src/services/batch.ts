import { findForm, inStash } from '@red-shelf/core';
import {
  afterBatch,
  nameOfMany,
  type BatchSet,
  type ChangeView,
  type GroupBody,
  type NewSupply,
} from '@red-shelf/contract';
import { lotsOf } from '../db/holdingRepository';
import type { Tx } from '../db/tx';
import { supplyRecords, type SupplyRecord, type SupplyWithState } from '../db/supplyRepository';
import { notFound, Refusal } from './refusal';
import type { Context } from './context';
import { madeId, type Ports } from './ports';
import { letGo } from './verdict';
import { Recorder } from './recorder';
import { addCounted, newRecord } from './supplies';
import { newRow } from './records';

interface Seen {
  readonly id: string;
  readonly version: number;
}

/** The records that were seen, in that order; refused as a whole when one has changed since. */
async function asSeen(tx: Tx, seen: readonly Seen[]): Promise<SupplyRecord[]> {
  const found = await supplyRecords(
    tx,
    seen.map(({ id }) => id),
  );
  return seen.map(({ id, version }) => {
    const record = found.get(id);
    if (!record || record.removedAt !== null) throw notFound('supply');
    if (record.version !== version)
      throw new Refusal(
        409,
        'stale',
        `“${record.name}” was changed in another window. Nothing was changed; look again and repeat.`,
      );
    return record;
  });
}

function after(before: SupplyRecord, set: BatchSet): SupplyRecord {
  const next = afterBatch(before, set);
  if (next) return next;
  const message = 'A trial needs a day to decide by.';
  throw new Refusal(422, 'invalid', message, {
    fields: [{ path: 'set.decideOn', code: 'custom', message }],
  });
}

async function setAll(
  tx: Tx,
  recorder: Recorder,
  ports: Ports,
  records: readonly SupplyRecord[],
  set: BatchSet,
): Promise<void> {
  const lots = await lotsOf(
    tx,
    records.map(({ id }) => id),
  );
  const going: Pick<SupplyWithState, 'supply' | 'lots'>[] = [];
  for (const record of records) {
    const next = after(record, set);
    await recorder.writeSupply(record, { ...next, version: record.version + 1, updatedAt: ports.now() });
    if (inStash(record) && !inStash(next)) going.push({ supply: record, lots: lots.get(record.id) ?? [] });
  }
  await letGo(recorder, going);
  if (set.lift) await recorder.move([...lots.values()].flat().map(({ id }) => ({ lotId: id, to: null })));
}

/** Changes or removes many supplies in one undoable change, all or none. */
export async function batchEdit(
  { store, ports }: Context,
  given: { supplies: readonly Seen[]; set?: BatchSet | undefined; remove?: boolean | undefined },
): Promise<ChangeView> {
  return store.write(async (tx) => {
    // One that is named twice is changed once.
    const once = [...new Map(given.supplies.map((each) => [each.id, each])).values()];
    const records = await asSeen(tx, once);
    const recorder = new Recorder(tx, ports);
    if (given.remove) await recorder.removeSupplies(records);
    else await setAll(tx, recorder, ports, records, given.set ?? {});
    return recorder.finish(given.remove ? 'remove' : 'batch', records[0]?.name ?? '', records.length);
  });
}

/** Adds many supplies in one undoable change, all or none; a pack remembers what was bought together. */
export async function addMany(
  { store, ports }: Context,
  given: { supplies: readonly NewSupply[]; pack?: GroupBody | undefined },
): Promise<{ ids: string[]; change: ChangeView }> {
  for (const { kind, form } of given.supplies)
    if (!findForm(kind, form)) throw new Error(`Unchecked form ${form}`);
  return store.write(async (tx) => {
    const recorder = new Recorder(tx, ports);
    const at = ports.now();
    const records = given.supplies.map((supply) => ({
      record: newRecord(madeId(ports), at, supply),
      counted: supply,
    }));
    await addCounted(recorder, ports, records);
    if (given.pack) {
      const members = records.map(({ record, counted }) => ({
        supplyId: record.id,
        amount: counted.count.left,
      }));
      await recorder.putRecord(null, newRow(ports, { ...given.pack, members }));
    }
    const change = await recorder.finish(given.pack ? 'pack' : 'add', nameOfMany(given), records.length);
    return { ids: records.map(({ record }) => record.id), change };
  });
}
