import { ROOM_ID } from '@red-shelf/core';
import { stashDocument, type ChangeView, type StashDocument } from '@red-shelf/contract';
import { asc, eq, isNull, ne } from 'drizzle-orm';
import { changes, snapshots } from '../db/schema';
import { clearStash, insertStash } from '../db/stashRepository';
import type { Tx } from '../db/tx';
import { parsed } from './refusal';
import { refuseInconsistent } from './consistent';
import type { Report } from './aside';
import type { Context } from './context';
import { documentPieces } from './document';
import type { Ports } from './ports';
import { Recorder } from './recorder';

/** Journal lines from before a document replaced the stash: their undo would no longer be safe. */
export const REPLACED = 'replaced';

/** Reads a document, or refuses what is none or contradicts itself. */
export function documentFrom(given: unknown, report: Report = () => undefined): StashDocument {
  report({ step: 'checking', done: 0, total: 1 });
  const document = parsed(stashDocument, given);
  refuseInconsistent(document);
  return document;
}

/** Ids of the pictures that a document's supplies and units show. */
export const photosNamedIn = ({ supplies, units }: StashDocument): ReadonlySet<string> =>
  new Set([...supplies, ...units].flatMap(({ facts }) => (facts.photos ?? []).map(({ id }) => id)));

/** Reads a document and replaces the whole stash by it. */
export const restoreDocument = (context: Context, given: unknown): Promise<ChangeView> =>
  replaceBy(context, documentFrom(given));

/** Replaces the whole stash by a document, whole or not at all. The stash as it was is kept, so it can be undone. */
export async function replaceBy(
  { store, ports }: Context,
  document: StashDocument,
  report: Report = () => undefined,
): Promise<ChangeView> {
  return store.write(async (tx) => {
    const recorder = new Recorder(tx, ports);
    recorder.inverse.snapshotId = await takeSnapshot(tx, ports);
    await replaceStash(tx, document, report);
    await tx.update(changes).set({ undoneBy: REPLACED }).where(isNull(changes.undoneBy));
    await pruneSnapshots(tx, recorder.inverse.snapshotId);
    const room = document.units.find(({ id }) => id === ROOM_ID);
    return recorder.finish('restore', room?.name ?? '', document.supplies.length);
  });
}

/** Brings a kept stash back; answers the id under which the present one is kept. */
export async function restoreSnapshot(tx: Tx, ports: Ports, snapshotId: string): Promise<string> {
  // One after the other, since each is as large as the stash.
  const present = await takeSnapshot(tx, ports);
  await replaceStash(tx, await keptDocument(tx, snapshotId));
  await pruneSnapshots(tx, present);
  return present;
}

async function keptDocument(tx: Tx, id: string): Promise<StashDocument> {
  const pieces = await tx
    .select({ piece: snapshots.piece })
    .from(snapshots)
    .where(eq(snapshots.id, id))
    .orderBy(asc(snapshots.n));
  if (pieces.length === 0) throw new Error(`Snapshot ${id} is missing`);
  return stashDocument.parse(JSON.parse(pieces.map(({ piece }) => piece).join('')));
}

/** Only the last thing that replaced the stash can be taken back, so only what it replaced is kept. */
const pruneSnapshots = (tx: Tx, kept: string) => tx.delete(snapshots).where(ne(snapshots.id, kept));

/** Keeps the stash as it is, piece by piece, so that it is never held twice. */
async function takeSnapshot(tx: Tx, ports: Ports): Promise<string> {
  const id = ports.newId();
  for await (const piece of documentPieces(tx, ports.now())) await tx.insert(snapshots).values({ id, piece });
  return id;
}

async function replaceStash(
  tx: Tx,
  document: StashDocument,
  report: Report = () => undefined,
): Promise<void> {
  await clearStash(tx);
  const { supplies, holdings, events } = document;
  const total = supplies.length + holdings.length + events.length;
  let done = 0;
  report({ step: 'writing', done: 0, total });
  await insertStash(tx, { ...document, supplies: numbered(supplies) }, (more) =>
    report({ step: 'writing', done: (done += more), total }),
  );
}

/** Supplies with a short number each; those of older documents get the next free ones. */
function numbered<T extends { number: number }>(given: readonly T[]): T[] {
  const taken = new Set<number>();
  let next = given.reduce((most, { number }) => Math.max(most, number), 0) + 1;
  return given.map((supply) => {
    const number = supply.number > 0 && !taken.has(supply.number) ? supply.number : next++;
    taken.add(number);
    return { ...supply, number };
  });
}
