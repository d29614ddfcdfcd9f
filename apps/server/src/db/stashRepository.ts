import type { StashDocument } from '@red-shelf/contract';
import { asc } from 'drizzle-orm';
import { allEvents, appendEvents } from './eventRepository';
import { foldWhole } from './foldRepository';
import { holdingRow, insertLots, spotOf } from './holdingRepository';
import { events, holdings, postings, records, shifts, supplies, tallies, units, usage } from './schema';
import { allRecords } from './supplyRepository';
import { breathe, chunks, touch, type Readable, type Tx } from './tx';

/** What a whole stash is made of. */
type Content = Omit<StashDocument, 'format' | 'formatVersion' | 'exportedAt'>;

/** Told how many more things were written. */
type Written = (more: number) => void;

/** Events that came with a document or an older shape belong to no change. */
const BROUGHT = '';

/** Reads everything, removed things and all history included. What follows from it is left out. */
export async function readStash(db: Readable): Promise<Content> {
  const lots = await db.select().from(holdings).orderBy(asc(holdings.id));
  return {
    units: await db.select().from(units).orderBy(asc(units.id)),
    supplies: await allRecords(db),
    holdings: lots.map((lot) => ({
      id: lot.id,
      version: lot.version,
      supplyId: lot.supplyId,
      as: lot.as,
      sizeUm:
        lot.widthUm === null || lot.heightUm === null
          ? null
          : { widthUm: lot.widthUm, heightUm: lot.heightUm },
      spot: spotOf(lot),
    })),
    events: (await allEvents(db)).map((event) => ({
      ...event,
      postings: [...event.postings],
      shifts: [...event.shifts],
    })),
    records: (await db.select().from(records).orderBy(asc(records.id))).map(
      ({ sort: _sort, seq: _seq, ...record }) => record,
    ),
  };
}

/** Lots and history, and what they add up to; the supplies and units they speak of are there. */
export async function insertHistory(
  tx: Tx,
  { supplies: of, holdings: lots, events: happened }: Pick<Content, 'supplies' | 'holdings' | 'events'>,
  written: Written = () => undefined,
): Promise<void> {
  for (const some of chunks(lots)) {
    await insertLots(tx, some.map(holdingRow));
    written(some.length);
    await breathe();
  }
  for (const some of chunks(happened)) {
    await appendEvents(tx, BROUGHT, some);
    written(some.length);
    await breathe();
  }
  const empty = lots.map((lot) => ({ ...lot, items: 0, left: 0 }));
  await foldWhole(tx, of, empty, happened);
}

/** Empties every table of the stash itself; the journal stays. */
export async function clearStash(tx: Tx): Promise<void> {
  touch(tx, 'all');
  for (const table of [postings, shifts, tallies, usage, events, holdings, supplies, units, records])
    await tx.delete(table);
}

/** Fills an empty stash. */
export async function insertStash(
  tx: Tx,
  content: Content,
  written: Written = () => undefined,
): Promise<void> {
  touch(tx, 'all');
  for (const some of chunks(content.units)) await tx.insert(units).values(some);
  for (const some of chunks(content.supplies)) {
    await tx.insert(supplies).values(some);
    written(some.length);
    await breathe();
  }
  for (const some of chunks(content.records))
    await tx.insert(records).values(some.map((record) => ({ ...record, sort: record.body.sort })));
  await insertHistory(tx, content, written);
}
