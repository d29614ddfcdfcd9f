import { asc, eq, isNull } from 'drizzle-orm';
import { touch, type Readable, type Tx } from './tx';
import { records } from './schema';

export type RecordRow = typeof records.$inferSelect;

/** Every record that has not been removed, oldest first. */
export const standingRecords = (db: Readable): Promise<RecordRow[]> =>
  db.select().from(records).where(isNull(records.removedAt)).orderBy(asc(records.id));

/** A record, removed or not. */
export async function recordRow(db: Readable, id: string): Promise<RecordRow | undefined> {
  const [row] = await db.select().from(records).where(eq(records.id, id));
  return row;
}

/** Writes a whole record, new or over the one with its id. */
export async function putRecord(tx: Tx, row: RecordRow): Promise<void> {
  touch(tx, [], 'records');
  const { id: _, ...set } = row;
  await tx.insert(records).values(row).onConflictDoUpdate({ target: records.id, set });
}
