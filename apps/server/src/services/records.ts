import { findForm } from '@red-shelf/core';
import {
  nameOfRecord,
  PREFERENCES_ID,
  recordBody,
  type ChangeView,
  type DealtWith,
  type RecordBody,
  type RecordView,
} from '@red-shelf/contract';
import { recordRow, standingRecords, type RecordRow } from '../db/recordRepository';
import { supplyRecords } from '../db/supplyRepository';
import { unitRecord } from '../db/unitRepository';
import type { Tx } from '../db/tx';
import { notFound, Refusal } from './refusal';
import { refuseStale, type Context } from './context';
import { madeId, type Ports } from './ports';
import { Recorder } from './recorder';

/** As it is shown; what an earlier version of the app kept gets the fields that came since. */
export const recordToView = ({ id, version, createdAt, updatedAt, body }: RecordRow): RecordView => ({
  id,
  version,
  createdAt,
  updatedAt,
  body: recordBody.safeParse(body).data ?? body,
});

/** A new record's row; preferences have one fixed id, everything else a new one. */
export function newRow(ports: Ports, body: RecordBody): RecordRow {
  const at = ports.now();
  const id = body.sort === 'preferences' ? PREFERENCES_ID : madeId(ports);
  return { id, version: 1, sort: body.sort, body, createdAt: at, updatedAt: at, removedAt: null };
}

export const listRecords = async ({ store }: Context): Promise<RecordView[]> =>
  (await standingRecords(store.read)).map(recordToView);

/** The units a record speaks of. */
function unitsOf(body: RecordBody): string[] {
  switch (body.sort) {
    case 'group':
      return body.home ? [body.home] : [];
    case 'challenge':
    case 'session':
      return body.unitId ? [body.unitId] : [];
    case 'drawers':
      return body.drawers.flatMap(({ unitId }) => unitId ?? []);
    default:
      return [];
  }
}

/** What a record speaks of must be there, or nothing is kept. */
async function refuseUnknown(tx: Tx, body: RecordBody): Promise<void> {
  if (
    (body.sort === 'range' || body.sort === 'session' || body.sort === 'drawers') &&
    body.form !== null &&
    !(body.kind && findForm(body.kind, body.form))
  )
    throw new Refusal(422, 'invalid', 'That form does not exist for this kind; choose one from the list.');
  const ids =
    body.sort === 'group'
      ? [...body.members.map(({ supplyId }) => supplyId), ...body.matches]
      : body.sort === 'done'
        ? body.entries.map(({ supplyId }) => supplyId)
        : [];
  if (body.sort === 'done') await mustFindSession(tx, body.sessionId);
  for (const unitId of unitsOf(body)) if (!(await unitRecord(tx, unitId))) throw notFound('unit');
  const found = await supplyRecords(tx, [...new Set(ids)]);
  if (ids.some((id) => !found.has(id))) throw notFound('supply');
}

type Changed = Promise<{ record: RecordView; change: ChangeView }>;

export async function addRecord({ store, ports }: Context, body: RecordBody): Changed {
  return store.write(async (tx) => {
    await refuseUnknown(tx, body);
    const row = newRow(ports, body);
    const before = (await recordRow(tx, row.id)) ?? null;
    // Written first in two windows at once: the second one looks before it overwrites.
    if (before?.removedAt === null) refuseStale(0, recordToView(before), body);
    const after = before ? { ...row, version: before.version + 1, createdAt: before.createdAt } : row;
    const recorder = new Recorder(tx, ports);
    await recorder.putRecord(before, after);
    return { record: recordToView(after), change: await recorder.finish('record', nameOfRecord(body), 1) };
  });
}

async function mustFindRecord(tx: Tx, id: string): Promise<RecordRow> {
  const row = await recordRow(tx, id);
  if (!row || row.removedAt !== null) throw notFound('record');
  return row;
}

export async function editRecord(
  { store, ports }: Context,
  id: string,
  { version, body }: { version: number; body: RecordBody },
): Changed {
  return store.write(async (tx) => {
    const before = await mustFindRecord(tx, id);
    refuseStale(version, recordToView(before), body);
    if (before.sort !== body.sort)
      throw new Refusal(422, 'invalid', 'A record cannot become one of another sort.');
    await refuseUnknown(tx, body);
    const after = { ...before, body, version: version + 1, updatedAt: ports.now() };
    const recorder = new Recorder(tx, ports);
    await recorder.putRecord(before, after);
    return { record: recordToView(after), change: await recorder.finish('record', nameOfRecord(body), 1) };
  });
}

export async function removeRecord(
  { store, ports }: Context,
  id: string,
  version: number,
): Promise<ChangeView> {
  return store.write(async (tx) => {
    const before = await mustFindRecord(tx, id);
    refuseStale(version, recordToView(before));
    const at = ports.now();
    const recorder = new Recorder(tx, ports);
    await recorder.putRecord(before, { ...before, removedAt: at, updatedAt: at, version: version + 1 });
    return recorder.finish('record', nameOfRecord(before.body), 1);
  });
}

async function mustFindSession(tx: Tx, id: string): Promise<void> {
  const found = await recordRow(tx, id);
  if (found?.removedAt !== null || found.body.sort !== 'session') throw notFound('session');
}

/** Notes a verdict in the session it was given in: one row, however many were given before. */
export async function noteInSession(
  tx: Tx,
  recorder: Recorder,
  ports: Ports,
  sessionId: string,
  decided: DealtWith,
): Promise<void> {
  await mustFindSession(tx, sessionId);
  await recorder.putRecord(null, newRow(ports, { sort: 'done', sessionId, entries: [decided] }));
}
