import type { StashDocument } from '@red-shelf/contract';
import { asc } from 'drizzle-orm';
import type { Readable } from '../db/open';
import { ledger, records, supplies, units } from '../db/schema';
import { allPlacements, setting } from '../db/wallRepository';

export const ROOM_NAME = 'roomName';

/** The whole stash, removed things and all history included. Stock is left out: it follows from the ledger. */
export async function writeDocument(db: Readable, exportedAt: string): Promise<StashDocument> {
  const entries = await db.select().from(ledger).orderBy(asc(ledger.seq));
  return {
    format: 'red-shelf',
    formatVersion: 2,
    exportedAt,
    roomName: (await setting(db, ROOM_NAME)) ?? '',
    units: await db.select().from(units).orderBy(asc(units.id)),
    supplies: await db.select().from(supplies).orderBy(asc(supplies.id)),
    placements: await allPlacements(db),
    ledger: entries.map(({ seq: _, ...entry }) => entry),
    records: (await db.select().from(records).orderBy(asc(records.id))).map(
      ({ sort: _, ...record }) => record,
    ),
  };
}
