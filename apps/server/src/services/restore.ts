import { findForm, findTemplate, slotCount } from '@red-shelf/core';
import { stashDocument, type ChangeView, type StashDocument } from '@red-shelf/contract';
import { eq, isNull } from 'drizzle-orm';
import { chunks, touch, type Tx } from '../db/open';
import { refoldStock } from '../db/ledgerRepository';
import {
  changes,
  ledger,
  placements,
  records,
  settings,
  snapshots,
  stock,
  supplies,
  units,
} from '../db/schema';
import { parsed, Refusal } from '../http/problem';
import type { Context } from './context';
import { ROOM_NAME, writeDocument } from './document';
import type { Ports } from './ports';
import { Recorder } from './recorder';

/** Journal lines from before a document replaced the stash: their undo would no longer be safe. */
export const REPLACED = 'replaced';

/** Replaces the whole stash by a document, whole or not at all. The stash as it was is kept, so it can be undone. */
export async function restoreDocument({ store, ports }: Context, given: unknown): Promise<ChangeView> {
  const document = parsed(stashDocument, given);
  refuseInconsistent(document);
  return store.write(async (tx) => {
    const recorder = new Recorder(tx, ports);
    recorder.inverse.snapshotId = await takeSnapshot(tx, ports);
    await replaceStash(tx, document);
    await tx.update(changes).set({ undoneBy: REPLACED }).where(isNull(changes.undoneBy));
    return recorder.finish('restore', document.roomName, document.supplies.length);
  });
}

/** Brings a kept stash back; answers the id under which the present one is kept. */
export async function restoreSnapshot(tx: Tx, ports: Ports, snapshotId: string): Promise<string> {
  const [kept] = await tx.select().from(snapshots).where(eq(snapshots.id, snapshotId));
  if (!kept) throw new Error(`Snapshot ${snapshotId} is missing`);
  const present = await takeSnapshot(tx, ports);
  await replaceStash(tx, stashDocument.parse(JSON.parse(kept.document)));
  return present;
}

async function takeSnapshot(tx: Tx, ports: Ports): Promise<string> {
  const id = ports.newId();
  const at = ports.now();
  await tx.insert(snapshots).values({ id, at, document: JSON.stringify(await writeDocument(tx, at)) });
  return id;
}

async function replaceStash(tx: Tx, document: StashDocument): Promise<void> {
  touch(tx, 'all');
  for (const table of [placements, stock, ledger, supplies, units, records]) await tx.delete(table);
  for (const some of chunks(document.units)) await tx.insert(units).values(some);
  for (const some of chunks(numbered(document.supplies))) await tx.insert(supplies).values(some);
  for (const some of chunks(document.placements)) await tx.insert(placements).values(some);
  for (const some of chunks(document.ledger)) await tx.insert(ledger).values(some);
  for (const some of chunks(document.records))
    await tx.insert(records).values(some.map((record) => ({ ...record, sort: record.body.sort })));
  await refoldStock(tx, document.supplies);
  const name = { key: ROOM_NAME, value: document.roomName };
  await tx.insert(settings).values(name).onConflictDoUpdate({ target: settings.key, set: name });
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

/** References inside a document must hold, or nothing of it is taken. */
function refuseInconsistent(document: StashDocument): void {
  const refuse = (what: string): never => {
    throw new Refusal(
      422,
      'inconsistent_document',
      `The document contradicts itself: ${what}. Nothing was changed.`,
    );
  };
  const supplyIds = new Set(document.supplies.map(({ id }) => id));
  const unitById = new Map(document.units.map((unit) => [unit.id, unit]));
  const entryIds = new Set(document.ledger.map(({ id }) => id));
  if (supplyIds.size < document.supplies.length) refuse('two supplies have the same id');
  if (unitById.size < document.units.length) refuse('two units have the same id');
  if (entryIds.size < document.ledger.length) refuse('two ledger entries have the same id');
  for (const { name, kind, form } of document.supplies)
    if (!findForm(kind, form)) refuse(`“${name}” has the unknown form “${form}”`);
  for (const { name, template } of document.units)
    if (!findTemplate(template)) refuse(`unit “${name}” is of the unknown sort “${template}”`);
  for (const { id, supplyId, undoes } of document.ledger) {
    if (!supplyIds.has(supplyId)) refuse(`ledger entry ${id} is about a supply that is not there`);
    if (undoes !== null && !entryIds.has(undoes)) refuse(`ledger entry ${id} undoes one that is not there`);
  }
  const slots = new Set<string>();
  const placed = new Set<string>();
  for (const { supplyId, unitId, slot } of document.placements) {
    const unit = unitById.get(unitId);
    if (!unit || !supplyIds.has(supplyId)) refuse('a placement names something that is not there');
    else if (slot >= slotCount(unit)) refuse(`unit “${unit.name}” has no slot number ${slot + 1}`);
    if (slots.has(`${unitId} ${slot}`) || placed.has(supplyId)) refuse('a slot or a supply is taken twice');
    slots.add(`${unitId} ${slot}`);
    placed.add(supplyId);
  }
}
