import {
  countRuleOf,
  foldEvents,
  formFor,
  type Folded,
  type Happening,
  type Holding,
  type PlaceSpot,
  type Posting,
  type Shift,
  type StashEvent,
} from '@red-shelf/core';
import { asc, inArray, sql } from 'drizzle-orm';
import { lotsOf } from './holdingRepository';
import { breathe, chunks, touch, type Readable, type Tx } from './tx';
import { events, postings, shifts, tallies, usage } from './schema';
import type { SupplyRecord } from './supplyRepository';

/** An event and when it was recorded. */
export type EventRecord = StashEvent & { readonly recordedAt: string };
type Counted = Pick<SupplyRecord, 'id' | 'kind' | 'form' | 'facts'>;

const spot = (unitId: string | null, cell: number | null, rank: number): PlaceSpot | null =>
  unitId === null ? null : { unitId, cell, rank };

/** Appends events, in order; `changeId` is the change they belong to. */
export async function appendEvents(tx: Tx, changeId: string, given: readonly EventRecord[]): Promise<void> {
  touch(
    tx,
    given.map(({ supplyId }) => supplyId),
  );
  for (const some of chunks(given, 100)) {
    const rows = some.map((event) => {
      const { id, supplyId, at, recordedAt, postings: _p, shifts: _s, ...happening } = event;
      const { act, ...detail } = happening;
      const undoes = act === 'undo' && 'undoes' in detail ? detail.undoes : null;
      return { id, changeId, supplyId, at, recordedAt, act, detail, undoes };
    });
    const inserted = await tx.insert(events).values(rows).returning({ id: events.id, seq: events.seq });
    const seqs = new Map(inserted.map(({ id, seq }) => [id, seq]));
    const posted = some.flatMap((event) =>
      event.postings.map((posting) => ({ eventSeq: seqs.get(event.id) ?? 0, ...posting })),
    );
    const moved = some.flatMap((event) =>
      event.shifts.map(({ holdingId, from, to }) => ({
        eventSeq: seqs.get(event.id) ?? 0,
        holdingId,
        fromUnit: from?.unitId ?? null,
        fromCell: from?.cell ?? null,
        fromRank: from?.rank ?? 0,
        toUnit: to?.unitId ?? null,
        toCell: to?.cell ?? null,
        toRank: to?.rank ?? 0,
      })),
    );
    for (const part of chunks(posted)) await tx.insert(postings).values(part);
    for (const part of chunks(moved)) await tx.insert(shifts).values(part);
  }
}

type EventRow = typeof events.$inferSelect;

const asEvent = (row: EventRow, posted: readonly Posting[], moved: readonly Shift[]): EventRecord => ({
  ...({ ...row.detail, act: row.act } as Happening),
  id: row.id,
  supplyId: row.supplyId,
  at: row.at,
  recordedAt: row.recordedAt,
  postings: posted,
  shifts: moved,
});

const asPosting = ({ eventSeq: _, ...posting }: typeof postings.$inferSelect): Posting => posting;
const asShift = (row: typeof shifts.$inferSelect): Shift => ({
  holdingId: row.holdingId,
  from: spot(row.fromUnit, row.fromCell, row.fromRank),
  to: spot(row.toUnit, row.toCell, row.toRank),
});

function gather<R extends { eventSeq: number }, T>(
  rows: readonly R[],
  make: (row: R) => T,
): Map<number, T[]> {
  const found = new Map<number, T[]>();
  for (const row of rows) {
    const list = found.get(row.eventSeq);
    if (list) list.push(make(row));
    else found.set(row.eventSeq, [make(row)]);
  }
  return found;
}

/** Every event there is, in the order recorded. */
export async function allEvents(db: Readable): Promise<EventRecord[]> {
  const rows = await db.select().from(events).orderBy(asc(events.seq));
  const posted = gather(await db.select().from(postings), asPosting);
  const moved = gather(await db.select().from(shifts), asShift);
  return rows.map((row) => asEvent(row, posted.get(row.seq) ?? [], moved.get(row.seq) ?? []));
}

/** The events of one change, in the order recorded. */
export async function eventsOfChange(db: Readable, changeId: string): Promise<EventRecord[]> {
  const rows = await db
    .select()
    .from(events)
    .where(inArray(events.changeId, [changeId]))
    .orderBy(asc(events.seq));
  const seqs = rows.map(({ seq }) => seq);
  const [posted, moved] = [new Map<number, Posting[]>(), new Map<number, Shift[]>()];
  for (const some of chunks(seqs)) {
    for (const [seq, list] of gather(
      await db.select().from(postings).where(inArray(postings.eventSeq, some)),
      asPosting,
    ))
      posted.set(seq, list);
    for (const [seq, list] of gather(
      await db.select().from(shifts).where(inArray(shifts.eventSeq, some)),
      asShift,
    ))
      moved.set(seq, list);
  }
  return rows.map((row) => asEvent(row, posted.get(row.seq) ?? [], moved.get(row.seq) ?? []));
}

/**
 * The events that speak of some lots or of their supplies, in the order recorded, with what they did to those lots.
 * An event of another supply that took from one of them is among them.
 */
async function eventsTouching(
  db: Readable,
  supplyIds: readonly string[],
  lotIds: readonly string[],
  withShifts: boolean,
): Promise<EventRecord[]> {
  const rows = new Map<number, EventRow>();
  for (const some of chunks(supplyIds))
    for (const row of await db.select().from(events).where(inArray(events.supplyId, some)))
      rows.set(row.seq, row);
  const posted = new Map<number, Posting[]>();
  const moved = new Map<number, Shift[]>();
  const put = <T>(map: Map<number, T[]>, seq: number, item: T) => {
    const list = map.get(seq);
    if (list) list.push(item);
    else map.set(seq, [item]);
  };
  for (const some of chunks(lotIds)) {
    for (const row of await db.select().from(postings).where(inArray(postings.holdingId, some)))
      put(posted, row.eventSeq, asPosting(row));
    if (withShifts)
      for (const row of await db.select().from(shifts).where(inArray(shifts.holdingId, some)))
        put(moved, row.eventSeq, asShift(row));
  }
  const foreign = [...new Set([...posted.keys(), ...moved.keys()])].filter((seq) => !rows.has(seq));
  for (const some of chunks(foreign))
    for (const row of await db.select().from(events).where(inArray(events.seq, some))) rows.set(row.seq, row);
  return [...rows.values()]
    .sort((p, q) => p.seq - q.seq)
    .map((row) => asEvent(row, posted.get(row.seq) ?? [], moved.get(row.seq) ?? []));
}

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
  const found = await eventsTouching(
    db,
    [supply.id],
    lots.map(({ id }) => id),
    true,
  );
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
