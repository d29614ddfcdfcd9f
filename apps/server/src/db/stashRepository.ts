import type { StashDocument } from '@red-shelf/contract';
import { asc, gt } from 'drizzle-orm';
import { appendEvents, eventsAfter, type EventRecord } from './eventRepository';
import { foldWhole } from './foldRepository';
import { holdingRow, insertLots, saidOfLot } from './holdingRepository';
import { events, holdings, postings, records, shifts, supplies, tallies, units, usage } from './schema';
import { recordsAfter } from './supplyRepository';
import { breathe, chunks, touch, type Readable, type Tx } from './tx';

/** What a whole stash is made of. */
type Content = Omit<StashDocument, 'format' | 'formatVersion' | 'exportedAt'>;

/** Told how many more things were written. */
type Written = (more: number) => void;

/** Events that came with a document or an older shape belong to no change. */
const BROUGHT = '';

type Lists = keyof Content;
type Page = { [List in Lists]: { readonly list: List; readonly page: Content[List] } }[Lists];

/** So many rows are read at a stretch. */
const PAGE = 2000;

/** Rows of a table by a key of theirs that rises, some at a time. */
async function* pagesBy<Row, Key>(
  first: Key,
  read: (after: Key) => Promise<Row[]>,
  keyOf: (row: Row) => Key,
): AsyncGenerator<Row[]> {
  for (let after = first; ;) {
    const rows = await read(after);
    const last = rows.at(-1);
    if (last !== undefined) yield rows;
    if (last === undefined || rows.length < PAGE) return;
    after = keyOf(last);
  }
}
const idOf = ({ id }: { readonly id: string }): string => id;

/** Reads everything, removed things and all history included, list after list and page after page. What follows from it is left out. */
export async function* stashPages(db: Readable): AsyncGenerator<Page> {
  yield { list: 'units', page: await db.select().from(units).orderBy(asc(units.id)) };
  for await (const page of pagesBy('', (after) => recordsAfter(db, after, PAGE), idOf))
    yield { list: 'supplies', page };
  const lots = (after: string) =>
    db.select().from(holdings).where(gt(holdings.id, after)).orderBy(asc(holdings.id)).limit(PAGE);
  for await (const page of pagesBy('', lots, idOf)) yield { list: 'holdings', page: page.map(saidOfLot) };
  const happened = (after: number) => eventsAfter(db, after, PAGE);
  for await (const page of pagesBy(0, happened, ({ seq }) => seq))
    yield { list: 'events', page: page.map(({ event }) => documentEvent(event)) };
  const beside = (after: string) =>
    db.select().from(records).where(gt(records.id, after)).orderBy(asc(records.id)).limit(PAGE);
  for await (const page of pagesBy('', beside, idOf))
    yield { list: 'records', page: page.map(({ sort: _sort, seq: _seq, ...record }) => record) };
}

const documentEvent = (event: EventRecord): Content['events'][number] => ({
  ...event,
  postings: [...event.postings],
  shifts: [...event.shifts],
});

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
