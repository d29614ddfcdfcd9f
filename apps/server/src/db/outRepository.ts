import { HAND_ID, type PlaceSpot } from '@red-shelf/core';
import { and, asc, eq } from 'drizzle-orm';
import { events, holdings, shifts } from './schema';
import type { Readable } from './tx';

/** A lot that is out: since when, and where it stood before it was taken. */
export interface OutLot {
  readonly holdingId: string;
  /** ISO 8601. */
  readonly since: string;
  readonly from: PlaceSpot | null;
}

/** What is in the hand, each with the move that brought it there. */
export async function outLots(db: Readable): Promise<OutLot[]> {
  const rows = await db
    .select({
      holdingId: shifts.holdingId,
      since: events.at,
      unit: shifts.fromUnit,
      cell: shifts.fromCell,
      rank: shifts.fromRank,
    })
    .from(shifts)
    .innerJoin(holdings, eq(holdings.id, shifts.holdingId))
    .innerJoin(events, eq(events.seq, shifts.eventSeq))
    .where(and(eq(holdings.unitId, HAND_ID), eq(shifts.toUnit, HAND_ID)))
    .orderBy(asc(shifts.eventSeq));
  const last = new Map<string, OutLot>();
  for (const { holdingId, since, unit, cell, rank } of rows) {
    // Moved about on the bench it is out since it was taken.
    if (unit === HAND_ID) continue;
    last.set(holdingId, { holdingId, since, from: unit === null ? null : { unitId: unit, cell, rank } });
  }
  return [...last.values()];
}
