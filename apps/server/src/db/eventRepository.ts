import type { Happening, PlaceSpot, Posting, Carried, Shift, StashEvent } from '@red-shelf/core';
import { and, asc, desc, eq, gt, gte, inArray, lte, min, sql } from 'drizzle-orm';
import { chunks, touch, type Readable, type Tx } from './tx';
import { changes, events, postings, shifts } from './schema';

/** An event and when it was recorded. */
export type EventRecord = StashEvent & { readonly recordedAt: string };

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

const asPosting = ({ holdingId, items, left, how }: typeof postings.$inferSelect): Posting => ({
  holdingId,
  items,
  left,
  how,
});
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

/** Events recorded after one, so many at most, in the order recorded. */
export async function eventsAfter(
  db: Readable,
  after: number,
  most: number,
): Promise<{ seq: number; event: EventRecord }[]> {
  const rows = await db
    .select()
    .from(events)
    .where(gt(events.seq, after))
    .orderBy(asc(events.seq))
    .limit(most);
  const last = rows.at(-1)?.seq ?? after;
  const within = (seq: typeof postings.eventSeq | typeof shifts.eventSeq) =>
    and(gt(seq, after), lte(seq, last));
  const posted = gather(await db.select().from(postings).where(within(postings.eventSeq)), asPosting);
  const moved = gather(await db.select().from(shifts).where(within(shifts.eventSeq)), asShift);
  return rows.map((row) => ({
    seq: row.seq,
    event: asEvent(row, posted.get(row.seq) ?? [], moved.get(row.seq) ?? []),
  }));
}

/** Events of a change read in one statement. */
const EVENTS_AT_ONCE = 150;

/** The events of one change, in the order recorded. */
export async function eventsOfChange(db: Readable, changeId: string): Promise<EventRecord[]> {
  const found: EventRecord[] = [];
  for (let after = -1; ;) {
    // An arrangement is ten thousand events: read at once, nobody else would be answered meanwhile.
    const rows = await db
      .select()
      .from(events)
      .where(and(eq(events.changeId, changeId), gt(events.seq, after)))
      .orderBy(asc(events.seq))
      .limit(EVENTS_AT_ONCE);
    const last = rows.at(-1);
    if (!last) return found;
    const seqs = rows.map(({ seq }) => seq);
    const posted = gather(
      await db.select().from(postings).where(inArray(postings.eventSeq, seqs)),
      asPosting,
    );
    const moved = gather(await db.select().from(shifts).where(inArray(shifts.eventSeq, seqs)), asShift);
    for (const row of rows) found.push(asEvent(row, posted.get(row.seq) ?? [], moved.get(row.seq) ?? []));
    if (rows.length < EVENTS_AT_ONCE) return found;
    after = last.seq;
  }
}

/**
 * The events that speak of some lots or of their supplies, in the order recorded, with what they did to those lots.
 * An event of another supply that took from one of them is among them.
 */
export async function eventsTouching(
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

interface HistoryRow {
  id: string;
  supply_id: string;
  at: string;
  recorded_at: string;
  act: string;
  detail: string;
  posted: string;
  moved: string;
}
type PostedCell = [holdingId: string, items: number, left: number, how: Posting['how']];
type MovedCell = [
  holdingId: string,
  fromUnit: string | null,
  fromCell: number | null,
  fromRank: number,
  toUnit: string | null,
  toCell: number | null,
  toRank: number,
];

/**
 * One supply's events and those that took from one of its lots, in the order recorded, with what they did to its lots: what
 * `eventsTouching` gives of it, in one statement, since a page asks for it again and again.
 */
export async function historyRows(db: Readable, supplyId: string): Promise<EventRecord[]> {
  const rows = await db.all<HistoryRow>(sql`
    with own as (select id from holdings where supply_id = ${supplyId})
    select e.id, e.supply_id, e.at, e.recorded_at, e.act, e.detail,
      (select json_group_array(json_array(p.holding_id, p.items, p.left, p.how))
        from postings p where p.event_seq = e.seq and p.holding_id in own) as posted,
      (select json_group_array(json_array(s.holding_id, s.from_unit, s.from_cell, s.from_rank, s.to_unit, s.to_cell, s.to_rank))
        from shifts s where s.event_seq = e.seq and s.holding_id in own) as moved
    from events e
    where e.supply_id = ${supplyId}
      or e.seq in (select event_seq from postings where holding_id in own)
      or e.seq in (select event_seq from shifts where holding_id in own)
    order by e.seq`);
  return rows.map((row) => ({
    ...({ ...(JSON.parse(row.detail) as object), act: row.act } as Happening),
    id: row.id,
    supplyId: row.supply_id,
    at: row.at,
    recordedAt: row.recorded_at,
    postings: (JSON.parse(row.posted) as PostedCell[]).map(([holdingId, items, left, how]) => ({
      ...{ holdingId, items, left, how },
    })),
    shifts: (JSON.parse(row.moved) as MovedCell[]).map(
      ([holdingId, fromUnit, fromCell, fromRank, toUnit, toCell, toRank]) => ({
        holdingId,
        from: spot(fromUnit, fromCell, fromRank),
        to: spot(toUnit, toCell, toRank),
      }),
    ),
  }));
}

/** So many of the last lifts say how fast a person is. */
const LATEST_LIFTS = 300;

/** When things were set down lately, one change each, and how many. */
export async function liftTimes(db: Readable): Promise<Carried[]> {
  const rows = await db
    .select({ at: min(events.at), count: changes.count })
    .from(events)
    .innerJoin(changes, eq(changes.id, events.changeId))
    .where(and(eq(events.act, 'move'), eq(changes.kind, 'place')))
    .groupBy(changes.seq)
    .orderBy(desc(changes.seq))
    .limit(LATEST_LIFTS);
  return rows.map(({ at, count }) => ({ at: Date.parse(at ?? ''), count }));
}

/** Where each lot stood before a change that was moved in it or since; undefined where there is no such change. */
export async function stoodBefore(
  db: Readable,
  changeId: string,
): Promise<ReadonlyMap<string, PlaceSpot | null> | undefined> {
  const [change] = await db.select({ seq: changes.seq }).from(changes).where(eq(changes.id, changeId));
  if (!change) return undefined;
  const rows = await db
    .select({
      holdingId: shifts.holdingId,
      unit: shifts.fromUnit,
      cell: shifts.fromCell,
      rank: shifts.fromRank,
    })
    .from(shifts)
    .innerJoin(events, eq(events.seq, shifts.eventSeq))
    .innerJoin(changes, eq(changes.id, events.changeId))
    .where(gte(changes.seq, change.seq))
    .orderBy(asc(shifts.eventSeq));
  const stood = new Map<string, PlaceSpot | null>();
  // The first move since says where it was.
  for (const { holdingId, unit, cell, rank } of rows)
    if (!stood.has(holdingId)) stood.set(holdingId, spot(unit, cell, rank));
  return stood;
}

/** Supplies that were written after a change, by any other. */
export async function writtenAfter(db: Readable, changeId: string): Promise<ReadonlySet<string>> {
  const rows = await db.all<{ id: string }>(
    sql`select distinct json_extract(was.value, '$.id') as id
        from ${changes}, json_each(${changes.inverse}, '$.supplies') as was
        where ${changes.seq} > (select seq from ${changes} as this where this.id = ${changeId})`,
  );
  return new Set(rows.map(({ id }) => id));
}
