import { asc, eq, inArray, isNull } from 'drizzle-orm';
import { chunks, touch, type Readable, type Tx } from './tx';
import { settings, units } from './schema';

export type UnitRecord = typeof units.$inferSelect;

/** Everything that stands, the room and the hand too, in the person's order. */
export const standingUnits = (db: Readable): Promise<UnitRecord[]> =>
  db.select().from(units).where(isNull(units.removedAt)).orderBy(asc(units.position), asc(units.id));

export async function unitRecord(db: Readable, id: string): Promise<UnitRecord | undefined> {
  const [row] = await db.select().from(units).where(eq(units.id, id));
  return row;
}

export async function unitRecords(db: Readable, ids: readonly string[]): Promise<Map<string, UnitRecord>> {
  const found = new Map<string, UnitRecord>();
  for (const some of chunks(ids))
    for (const row of await db.select().from(units).where(inArray(units.id, some))) found.set(row.id, row);
  return found;
}

/** Writes a whole unit, new or over the one with its id. */
export async function putUnit(tx: Tx, record: UnitRecord): Promise<void> {
  touch(tx, [], { wall: true });
  const { id: _, ...set } = record;
  await tx.insert(units).values(record).onConflictDoUpdate({ target: units.id, set });
}

/** A setting's value, or undefined when it was never set. */
export async function setting(db: Readable, key: string): Promise<string | undefined> {
  const [row] = await db.select().from(settings).where(eq(settings.key, key));
  return row?.value;
}

export async function putSetting(tx: Tx, key: string, value: string): Promise<void> {
  await tx
    .insert(settings)
    .values({ key, value })
    .onConflictDoUpdate({ target: settings.key, set: { value } });
}
