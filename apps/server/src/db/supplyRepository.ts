import type { Holding } from '@red-shelf/core';
import { eq, gt, max, sql, type SQL } from 'drizzle-orm';
import { lotsBetween, lotsOf } from './holdingRepository';
import { breathe, chunks, touch, type Readable, type Tx } from './tx';
import { supplies, type usage } from './schema';

/** A supply's own row; the number of the change that last touched it is bookkeeping and no part of it. */
export type SupplyRecord = Omit<typeof supplies.$inferSelect, 'seq'>;
type UsageRecord = typeof usage.$inferSelect;

export interface SupplyWithState {
  readonly supply: SupplyRecord;
  readonly seq: number;
  readonly usage: UsageRecord | null;
  readonly lots: readonly Holding[];
}

type Row = typeof supplies.$inferSelect;

/** A row as SQLite gives it. There are many, so they are read without the mapping of single rows. */
interface RawRecord {
  id: string;
  version: number;
  kind: Row['kind'];
  form: string;
  name: string;
  maker: string;
  range: string;
  code: string;
  hex: string;
  finish: Row['finish'];
  family_override: Row['familyOverride'];
  family_reason: string;
  note: string;
  number: number;
  facts: string;
  created_at: string;
  updated_at: string;
  removed_at: string | null;
  seq: number;
}
interface RawRow extends RawRecord {
  uses: number | null;
  used: number | null;
  last_used_at: string | null;
}

const recordOf = (row: RawRecord): SupplyRecord => ({
  id: row.id,
  version: row.version,
  kind: row.kind,
  form: row.form,
  name: row.name,
  maker: row.maker,
  range: row.range,
  code: row.code,
  hex: row.hex,
  finish: row.finish,
  familyOverride: row.family_override,
  familyReason: row.family_reason,
  note: row.note,
  number: row.number,
  facts: JSON.parse(row.facts) as Row['facts'],
  createdAt: row.created_at,
  updatedAt: row.updated_at,
  removedAt: row.removed_at,
});

const withLots = (row: RawRow, lots: ReadonlyMap<string, Holding[]>): SupplyWithState => ({
  supply: recordOf(row),
  seq: row.seq,
  usage:
    row.uses === null
      ? null
      : { supplyId: row.id, uses: row.uses, used: row.used ?? 0, lastUsedAt: row.last_used_at },
  lots: lots.get(row.id) ?? [],
});

/** So many supplies are read at a stretch: some 6 ms. */
const PAGE = 100;

/** Supplies that were not removed, chosen by a condition. */
const rawRows = (db: Readable, where: SQL): Promise<RawRow[]> =>
  db.all<RawRow>(
    sql`select s.*, u.uses, u.used, u.last_used_at from supplies s left join usage u on u.supply_id = s.id
        where s.removed_at is null and ${where}`,
  );

/** Every supply that has not been removed, oldest first, in pages. */
export async function* supplyPages(db: Readable): AsyncGenerator<SupplyWithState[]> {
  for (let after = ''; ;) {
    const raw = await rawRows(db, sql`s.id > ${after} order by s.id limit ${PAGE}`);
    const last = raw[raw.length - 1];
    if (!last) return;
    await breathe();
    const lots = await lotsBetween(db, after, last.id);
    yield raw.map((row) => withLots(row, lots));
    if (raw.length < PAGE) return;
    after = last.id;
    await breathe();
  }
}

/** All of them at once. */
export async function allSupplies(db: Readable): Promise<SupplyWithState[]> {
  const all: SupplyWithState[] = [];
  for await (const page of supplyPages(db)) all.push(...page);
  return all;
}

/** Some supplies that have not been removed, oldest first. */
export async function someSupplies(db: Readable, ids: readonly string[]): Promise<SupplyWithState[]> {
  const lots = await lotsOf(db, ids);
  const found: SupplyWithState[] = [];
  for (const some of chunks(ids))
    for (const row of await rawRows(db, sql`s.id in ${some}`)) found.push(withLots(row, lots));
  return found.sort((p, q) => (p.supply.id < q.supply.id ? -1 : 1));
}

/** Ids of supplies, removed or not, that changes after a known one touched. */
export const touchedSince = async (db: Readable, known: number): Promise<string[]> =>
  (await db.select({ id: supplies.id }).from(supplies).where(gt(supplies.seq, known))).map(({ id }) => id);

/** One supply with its stock and places, unless it was removed. */
export const findSupply = async (db: Readable, id: string): Promise<SupplyWithState | undefined> =>
  (await someSupplies(db, [id]))[0];

/** A supply's bare record, removed or not. */
export const supplyRecord = async (db: Readable, id: string): Promise<SupplyRecord | undefined> =>
  (await supplyRecords(db, [id])).get(id);

const rawRecords = (db: Readable, which: SQL): Promise<RawRecord[]> =>
  db.all<RawRecord>(sql`select * from supplies ${which}`);

export async function supplyRecords(
  db: Readable,
  ids: readonly string[],
): Promise<Map<string, SupplyRecord>> {
  const found = new Map<string, SupplyRecord>();
  for (const some of chunks(ids))
    for (const row of await rawRecords(db, sql`where id in ${some}`)) found.set(row.id, recordOf(row));
  return found;
}

/** Every supply's record, removed ones too, in order of id. */
export const recordsAfter = async (db: Readable, after: string, most: number): Promise<SupplyRecord[]> =>
  (await rawRecords(db, sql`where id > ${after} order by id limit ${most}`)).map(recordOf);

/** Every one of them at once. */
export const allRecords = async (db: Readable): Promise<SupplyRecord[]> =>
  (await rawRecords(db, sql`order by id`)).map(recordOf);

/** The next short number; numbers of removed supplies are not given again. */
export async function nextNumber(db: Readable): Promise<number> {
  const [row] = await db.select({ most: max(supplies.number) }).from(supplies);
  return (row?.most ?? 0) + 1;
}

export async function insertSupplies(tx: Tx, records: readonly SupplyRecord[]): Promise<void> {
  touch(
    tx,
    records.map(({ id }) => id),
  );
  for (const some of chunks(records)) await tx.insert(supplies).values(some);
}

/** Writes a whole record over the one with its id. */
export async function overwriteSupply(tx: Tx, { id, ...fields }: SupplyRecord): Promise<void> {
  touch(tx, [id]);
  await tx.update(supplies).set(fields).where(eq(supplies.id, id));
}
