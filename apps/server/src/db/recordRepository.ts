import { asc, eq, gt, isNull } from 'drizzle-orm';
import { touch, type Readable, type Tx } from './tx';
import { records } from './schema';

type Row = typeof records.$inferSelect;
/** A record's own row; the number of the change that last touched it is bookkeeping and no part of it. */
export type RecordRow = Omit<Row, 'seq'>;
const rowOf = ({ id, version, sort, body, createdAt, updatedAt, removedAt }: Row): RecordRow => ({
  id,
  version,
  sort,
  body,
  createdAt,
  updatedAt,
  removedAt,
});

/** Every record that has not been removed, oldest first. */
export const standingRecords = async (db: Readable): Promise<RecordRow[]> =>
  (await db.select().from(records).where(isNull(records.removedAt)).orderBy(asc(records.id))).map(rowOf);

/** Records that changed after a number that is known, removed ones among them. */
export const recordsSince = async (db: Readable, known: number): Promise<RecordRow[]> =>
  (await db.select().from(records).where(gt(records.seq, known)).orderBy(asc(records.id))).map(rowOf);

/** A record, removed or not. */
export async function recordRow(db: Readable, id: string): Promise<RecordRow | undefined> {
  const [row] = await db.select().from(records).where(eq(records.id, id));
  return row && rowOf(row);
}

/** Writes a whole record, new or over the one with its id. */
export async function putRecord(tx: Tx, row: RecordRow): Promise<void> {
  touch(tx, [], { record: row.id });
  const { id: _, ...set } = row;
  await tx.insert(records).values(row).onConflictDoUpdate({ target: records.id, set });
}
