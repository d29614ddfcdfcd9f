import type { Bought, Told } from '@red-shelf/core';
import { and, asc, eq, gt, inArray, lte, max, or, sql } from 'drizzle-orm';
import { events } from './schema';
import type { Readable } from './tx';

/** What was used of a supply, as it was told: an act each. */
export interface ToldOf {
  readonly supplyId: string;
  readonly told: readonly Told[];
}

/** Number of the last event there is. */
export async function lastEvent(db: Readable): Promise<number> {
  const [row] = await db.select({ seq: max(events.seq) }).from(events);
  return row?.seq ?? 0;
}

/**
 * Uses and cuts recorded after a number, up to another, supply by supply. Each supply's come as one text: a hundred thousand rows would take
 * seconds to be read one by one.
 */
export async function plainUsesAfter(db: Readable, after: number, upTo: number): Promise<ToldOf[]> {
  const amount = sql`coalesce(json_extract(${events.detail}, '$.amount'), json_extract(${events.detail}, '$.sheets'), 0)`;
  const of = sql`coalesce(json_extract(${events.detail}, '$.of'), 'whole')`;
  const rows = await db
    .select({
      supplyId: events.supplyId,
      said: sql<string>`group_concat(${events.id} || ' ' || ${events.at} || ' ' || ${events.act} || ' ' || ${of} || ' ' || ${amount}, char(10))`,
    })
    .from(events)
    .where(and(gt(events.seq, after), lte(events.seq, upTo), inArray(events.act, ['use', 'cut'])))
    .groupBy(events.supplyId);
  return rows.map(({ supplyId, said }) => ({
    supplyId,
    told: said.split('\n').map((line): Told => {
      const [id = '', at = '', act, lot, much] = line.split(' ');
      const amountOf = Number(much);
      return act === 'cut'
        ? { id, at, supplyId, act, sheets: amountOf, bases: 0, scraps: 0 }
        : { id, at, supplyId, act: 'use', of: lot === 'whole' ? 'whole' : 'scrap', amount: amountOf };
    }),
  }));
}

/** Fillings and what takes acts back, recorded after a number, up to another, in the order recorded: few. */
export async function otherUsesAfter(db: Readable, after: number, upTo: number): Promise<Told[]> {
  const rows = await db
    .select({
      id: events.id,
      supplyId: events.supplyId,
      at: events.at,
      act: events.act,
      detail: events.detail,
    })
    .from(events)
    .where(
      and(gt(events.seq, after), lte(events.seq, upTo), or(eq(events.act, 'refill'), eq(events.act, 'undo'))),
    )
    .orderBy(asc(events.seq));
  return rows.map(({ id, supplyId, at, act, detail }) => ({ ...detail, id, supplyId, at, act }) as Told);
}

/** What was bought, and what takes such acts back, in the order recorded. */
export async function boughtIn(db: Readable) {
  const rows = await db
    .select({
      ...{ id: events.id, supplyId: events.supplyId, at: events.at, act: events.act },
      ...{ undoes: events.undoes, detail: events.detail },
    })
    .from(events)
    .where(or(eq(events.act, 'buy'), eq(events.act, 'undo')))
    .orderBy(asc(events.seq));
  return rows.map(({ detail, undoes, ...row }) => {
    const { amount = 0, price } = detail as { amount?: number; price?: Bought['price'] };
    return { ...row, amount, price, ...(undoes === null ? {} : { undoes }) };
  });
}
