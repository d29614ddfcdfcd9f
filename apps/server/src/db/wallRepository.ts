import { and, asc, eq, inArray, isNull } from 'drizzle-orm';
import { chunks, touch, type Readable, type Tx } from './open';
import { placements, settings, units } from './schema';

export type UnitRecord = typeof units.$inferSelect;
export type PlacementRecord = typeof placements.$inferSelect;

/** Units that stand on the wall, in the person's order. */
export const standingUnits = (db: Readable): Promise<UnitRecord[]> =>
  db.select().from(units).where(isNull(units.removedAt)).orderBy(asc(units.position), asc(units.id));

export async function unitRecord(db: Readable, id: string): Promise<UnitRecord | undefined> {
  const [row] = await db.select().from(units).where(eq(units.id, id));
  return row;
}

export async function insertUnit(tx: Tx, record: UnitRecord): Promise<void> {
  await tx.insert(units).values(record);
}

export async function overwriteUnit(tx: Tx, { id, ...fields }: UnitRecord): Promise<void> {
  await tx.update(units).set(fields).where(eq(units.id, id));
}

export const allPlacements = (db: Readable): Promise<PlacementRecord[]> =>
  db.select().from(placements).orderBy(asc(placements.unitId), asc(placements.slot));

export async function placementsOf(
  db: Readable,
  supplyIds: readonly string[],
): Promise<Map<string, PlacementRecord>> {
  const found = new Map<string, PlacementRecord>();
  for (const some of chunks(supplyIds))
    for (const row of await db.select().from(placements).where(inArray(placements.supplyId, some)))
      found.set(row.supplyId, row);
  return found;
}

export async function placementAt(
  db: Readable,
  unitId: string,
  slot: number,
): Promise<PlacementRecord | undefined> {
  const [row] = await db
    .select()
    .from(placements)
    .where(and(eq(placements.unitId, unitId), eq(placements.slot, slot)));
  return row;
}

/** Lifts everything first and then sets it down, so that things may swap slots. */
export async function rewritePlacements(
  tx: Tx,
  lifted: readonly string[],
  setDown: readonly PlacementRecord[],
): Promise<void> {
  touch(tx, [...lifted, ...setDown.map(({ supplyId }) => supplyId)]);
  for (const some of chunks(lifted)) await tx.delete(placements).where(inArray(placements.supplyId, some));
  for (const some of chunks(setDown)) await tx.insert(placements).values(some);
}

/** A setting's value, or undefined when it was never set. */
export async function setting(db: Readable, key: string): Promise<string | undefined> {
  const [row] = await db.select().from(settings).where(eq(settings.key, key));
  return row?.value;
}
