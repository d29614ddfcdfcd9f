import type { Told } from '@red-shelf/core';
import { and, asc, gt, inArray, max } from 'drizzle-orm';
import { events } from './schema';
import type { Readable } from './tx';

/** What tells of use, and what takes it back. */
const TELLING = ['use', 'cut', 'refill', 'undo'] as const;

/** Everything recorded after a number that tells of use, in the order recorded; without what it did to lots. */
export async function usesAfter(
  db: Readable,
  after: number,
): Promise<{ readonly seq: number; readonly told: readonly Told[] }> {
  const [last] = await db.select({ seq: max(events.seq) }).from(events);
  const rows = await db
    .select({
      id: events.id,
      supplyId: events.supplyId,
      at: events.at,
      act: events.act,
      detail: events.detail,
    })
    .from(events)
    .where(and(gt(events.seq, after), inArray(events.act, [...TELLING])))
    .orderBy(asc(events.seq));
  const told = rows.map(
    ({ id, supplyId, at, act, detail }) => ({ ...detail, id, supplyId, at, act }) as Told,
  );
  return { seq: last?.seq ?? 0, told };
}
