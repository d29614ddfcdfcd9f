import { said, sparse, type Aside, type RowVerdict } from '@red-shelf/core';
import type { ChangeView, ImportCommit, ImportProgress } from '@red-shelf/contract';
import { asideOf, type Progress, type Report } from './aside';
import { lotsOf } from '../db/holdingRepository';
import { supplyRecord } from '../db/supplyRepository';
import { breathe, chunks, type Tx } from '../db/tx';
import { Refusal } from './refusal';
import type { Context } from './context';
import { planUpload, type Upload, type Uploads } from './imports';
import { putAside, spreadOut } from './importBeside';
import { Recorder } from './recorder';
import { addCounted, newRecord, planned } from './supplies';
import { liftUnfit } from './placing';

class Cancelled extends Error {}

/** Rows written between two breaths, so that the server keeps answering. */
const BREATH = 200;

/**
 * Starts writing a previewed list: one transaction, all or nothing. Answers at once; progress is asked for.
 * Refused when the outcome would no longer be the one previewed.
 */
export async function commitImport(
  context: Context,
  uploads: Uploads,
  id: string,
  choices: ImportCommit,
  signal?: AbortSignal,
): Promise<ImportProgress> {
  const upload = uploads.get(id);
  if (upload.progress.state === 'running' || upload.progress.state === 'done')
    throw new Refusal(409, 'import_started', 'This list is being imported, or was already.');
  const { bytes } = upload;
  const before = upload.progress;
  upload.cancel = new AbortController();
  upload.progress = { state: 'running', done: 0, total: before.total, changeId: null, reason: null };
  try {
    const plan = await asideOf(context)('previewList', { bytes, choices }, { signal });
    refuseUnexpected(plan.refuse, plan.token, choices);
    upload.progress = { ...upload.progress, total: plan.add + plan.change };
  } catch (error) {
    upload.progress = before;
    throw error;
  }
  void run(context, upload, choices).catch(() => undefined);
  return upload.progress;
}

function refuseUnexpected(refused: number, token: string, choices: ImportCommit): void {
  if (token !== choices.token)
    throw new Refusal(
      409,
      'preview_outdated',
      'The stash has changed since this preview. Look at the new preview first; nothing was imported.',
    );
  if (refused > 0 && !choices.leaveOutRefused)
    throw new Refusal(
      422,
      'rows_refused',
      `${refused} rows cannot be read. Mend them, or say that they are to be left out; nothing was imported.`,
    );
}

async function run(context: Context, upload: Upload, choices: ImportCommit): Promise<void> {
  const { signal } = upload.cancel;
  const report = ({ done }: Progress): void => {
    upload.progress = { ...upload.progress, done };
  };
  try {
    const change = await asideOf(context)('importList', { bytes: upload.bytes, choices }, { report, signal });
    upload.progress = { ...upload.progress, state: 'done', changeId: change.id };
  } catch (error) {
    const reason = error instanceof Refusal ? error.message : 'Something went wrong in Red Shelf itself.';
    upload.progress =
      error instanceof Cancelled
        ? { ...upload.progress, state: 'cancelled', done: 0 }
        : { ...upload.progress, state: 'failed', done: 0, reason };
    if (!(error instanceof Cancelled) && !(error instanceof Refusal)) throw error;
  }
}

/** Writes a list that was previewed; refused where the stash changed while it waited its turn. */
export const importList = (
  { store, ports }: Context,
  { bytes, choices }: { readonly bytes: Uint8Array; readonly choices: ImportCommit },
  report: Report,
): Promise<ChangeView> =>
  store.write(async (tx) => {
    const { verdicts, token } = await planUpload(tx, { bytes, choices });
    const refused = verdicts.filter(({ verdict }) => verdict === 'refuse').length;
    refuseUnexpected(refused, token, choices);
    const recorder = new Recorder(tx, ports);
    const written = await writeRows(tx, recorder, verdicts, report, ports);
    return recorder.finish('import', '', written);
  });

async function writeRows(
  tx: Tx,
  recorder: Recorder,
  verdicts: readonly RowVerdict[],
  report: Report,
  ports: Context['ports'],
): Promise<number> {
  const at = ports.now();
  let written = 0;
  const total = verdicts.filter(({ verdict }) => verdict === 'add' || verdict === 'change').length;
  const progressed = async (rows: number): Promise<void> => {
    written += rows;
    await breathe();
    report({ step: 'writing', done: written, total });
  };
  const asides: { supplyId: string; aside: readonly Aside[] }[] = [];
  const added = verdicts.flatMap((row) => (row.verdict === 'add' ? [row] : []));
  for (const some of chunks(added, BREATH)) {
    const records = some.map(({ draft, count, place, lots, aside }) => ({
      record: newRecord(ports.newId(), at, { ...draft, count }),
      counted: { count: lots?.[0] ?? count },
      place,
      lots,
      aside,
    }));
    await addCounted(recorder, ports, records);
    await spreadOut(tx, recorder, ports, records);
    asides.push(...records.map(({ record, aside }) => ({ supplyId: record.id, aside })));
    await progressed(some.length);
  }
  const altered = verdicts.flatMap((row) => (row.verdict === 'change' ? [row] : []));
  for (const some of chunks(altered, BREATH)) {
    for (const { id, draft, count, aside } of some) {
      if (aside) asides.push({ supplyId: id, aside });
      const before = await supplyRecord(tx, id);
      if (!before) throw new Error(`Supply ${id} vanished inside a transaction`);
      const fields = { ...said(draft), facts: sparse(draft.facts) };
      const after = { ...before, ...fields, version: before.version + 1, updatedAt: at };
      await recorder.writeSupply(before, after);
      await liftUnfit(tx, recorder, [after]);
      if (!count) continue;
      const lots = (await lotsOf(tx, [id])).get(id) ?? [];
      await recorder.post([{ supplyId: id, act: planned(ports, after, lots, { act: 'count', ...count }) }]);
    }
    await progressed(some.length);
  }
  await putAside(tx, recorder, ports, asides);
  return written;
}

/** Asks a running import to stop; what it wrote so far is rolled back. */
export function cancelImport(uploads: Uploads, id: string): ImportProgress {
  const upload = uploads.get(id);
  upload.cancel.abort(new Cancelled());
  upload.cancel = new AbortController();
  if (upload.progress.state === 'waiting') upload.progress = { ...upload.progress, state: 'cancelled' };
  return upload.progress;
}
