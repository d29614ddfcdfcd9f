import {
  countRuleOf,
  foldEvents,
  formFor,
  type Folded,
  type Holding,
  type StashEvent,
} from '@red-shelf/core';
import { inArray, sql } from 'drizzle-orm';
import { eventsTouching, historyRows, type EventRecord } from './eventRepository';
import { lotsOf } from './holdingRepository';
import { breathe, chunks, touch, type Readable, type Tx } from './tx';
import { tallies, usage } from './schema';
import type { SupplyRecord } from './supplyRepository';

type Counted = Pick<SupplyRecord, 'id' | 'kind' | 'form' | 'facts'>;

const foldOf = (
  supply: Counted,
  lots: readonly Holding[],
  given: readonly StashEvent[],
  start?: Omit<Folded, 'unlogged'>,
): Folded =>
  foldEvents(
    given,
    supply.id,
    new Map(lots.map(({ id, as }) => [id, { whole: as === 'whole' }])),
    countRuleOf(formFor(supply)),
    start,
  );

/** One supply's history and what it adds up to. */
export async function historyOf(
  db: Readable,
  supply: Counted,
): Promise<{ events: EventRecord[]; folded: Folded }> {
  const lots = (await lotsOf(db, [supply.id])).get(supply.id) ?? [];
  const found = await historyRows(db, supply.id);
  return { events: found, folded: foldOf(supply, lots, found) };
}

const NEVER_USED = { uses: 0, used: 0, lastUsedAt: null } as const;

/**
 * Adds new events to what these supplies' earlier ones came to. Events only follow one another, so that nothing has to be
 * read again; an undo reaches back, and needs `refold`.
 */
export async function foldOn(tx: Tx, of: readonly Counted[], added: readonly StashEvent[]): Promise<void> {
  const ids = of.map(({ id }) => id);
  touch(tx, ids);
  const lots = await lotsOf(tx, ids);
  const before = new Map<string, typeof usage.$inferSelect>();
  for (const some of chunks(ids))
    for (const row of await tx.select().from(usage).where(inArray(usage.supplyId, some)))
      before.set(row.supplyId, row);
  const posted = new Set(added.flatMap(({ postings: each }) => each.map(({ holdingId }) => holdingId)));
  const folded = of.map((supply) => {
    const own = lots.get(supply.id) ?? [];
    const start = {
      ...(before.get(supply.id) ?? NEVER_USED),
      tallies: new Map(own.map(({ id, items, left }) => [id, { items, left }])),
    };
    return { supplyId: supply.id, ...foldOf(supply, own, added, start) };
  });
  const sums = folded.flatMap(({ tallies: own }) =>
    [...own].flatMap(([holdingId, { items, left }]) =>
      posted.has(holdingId) ? [{ holdingId, items, left }] : [],
    ),
  );
  for (const part of chunks(sums))
    await tx
      .insert(tallies)
      .values(part)
      .onConflictDoUpdate({
        target: tallies.holdingId,
        set: { items: sql`excluded.items`, left: sql`excluded.left` },
      });
  const used = folded.map(({ tallies: _t, unlogged: _u, ...row }) => row);
  for (const part of chunks(used))
    await tx
      .insert(usage)
      .values(part)
      .onConflictDoUpdate({
        target: usage.supplyId,
        set: { uses: sql`excluded.uses`, used: sql`excluded.used`, lastUsedAt: sql`excluded.last_used_at` },
      });
}

/** The events that concern each of some supplies: its own, and those that take from one of its lots. */
function bySupplyOf(
  found: readonly EventRecord[],
  lots: ReadonlyMap<string, readonly Holding[]>,
): Map<string, EventRecord[]> {
  const owner = new Map([...lots].flatMap(([id, list]) => list.map((lot) => [lot.id, id] as const)));
  const bySupply = new Map<string, EventRecord[]>([...lots.keys()].map((id) => [id, []]));
  for (const event of found) {
    const concerned = new Set([
      event.supplyId,
      ...event.postings.flatMap(({ holdingId }) => owner.get(holdingId) ?? []),
    ]);
    for (const id of concerned) bySupply.get(id)?.push(event);
  }
  return bySupply;
}

/** Writes what the events of a whole stash come to, which has no tallies yet. */
export async function foldWhole(
  tx: Tx,
  of: readonly Counted[],
  lots: readonly Holding[],
  happened: readonly EventRecord[],
): Promise<void> {
  const lotsById = new Map<string, Holding[]>(of.map(({ id }) => [id, []]));
  for (const lot of lots) lotsById.get(lot.supplyId)?.push(lot);
  const bySupply = bySupplyOf(happened, lotsById);
  for (const some of chunks(of)) {
    await writeFolded(
      tx,
      some.map((supply) => ({
        id: supply.id,
        ...foldOf(supply, lotsById.get(supply.id) ?? [], bySupply.get(supply.id) ?? []),
      })),
    );
    await breathe();
  }
}

async function writeFolded(tx: Tx, folded: readonly (Folded & { readonly id: string })[]): Promise<void> {
  const sums = folded.flatMap(({ tallies: own }) =>
    [...own].map(([holdingId, { items, left }]) => ({ holdingId, items, left })),
  );
  for (const part of chunks(sums)) await tx.insert(tallies).values(part);
  await tx
    .insert(usage)
    .values(folded.map(({ id, uses, used, lastUsedAt }) => ({ supplyId: id, uses, used, lastUsedAt })));
}

/** Computes tallies and usage again from the events, for these supplies. */
export async function refold(tx: Tx, of: readonly Counted[]): Promise<void> {
  for (const some of chunks(of)) {
    const ids = some.map(({ id }) => id);
    touch(tx, ids);
    const lots = await lotsOf(tx, ids);
    const lotIds = [...lots.values()].flatMap((list) => list.map(({ id }) => id));
    const found = await eventsTouching(tx, ids, lotIds, false);
    const bySupply = bySupplyOf(found, new Map(ids.map((id) => [id, lots.get(id) ?? []])));
    const folded = some.map((supply) => ({
      id: supply.id,
      ...foldOf(supply, lots.get(supply.id) ?? [], bySupply.get(supply.id) ?? []),
    }));
    for (const part of chunks(lotIds)) await tx.delete(tallies).where(inArray(tallies.holdingId, part));
    await tx.delete(usage).where(inArray(usage.supplyId, ids));
    await writeFolded(tx, folded);
  }
}
