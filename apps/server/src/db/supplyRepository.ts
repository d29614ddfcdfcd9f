import { and, asc, eq, inArray, isNull, max } from 'drizzle-orm';
import { chunks, touch, type Readable, type Tx } from './open';
import { placements, stock, supplies } from './schema';

export type SupplyRecord = typeof supplies.$inferSelect;
type StockRecord = typeof stock.$inferSelect;
type PlacementRecord = typeof placements.$inferSelect;

export interface SupplyWithState {
  readonly supply: SupplyRecord;
  readonly stock: StockRecord | null;
  readonly placement: PlacementRecord | null;
}

const joined = (db: Readable) =>
  db
    .select({ supply: supplies, stock, placement: placements })
    .from(supplies)
    .leftJoin(stock, eq(stock.supplyId, supplies.id))
    .leftJoin(placements, eq(placements.supplyId, supplies.id));

/** Every supply that has not been removed, oldest first. */
export const allSupplies = (db: Readable): Promise<SupplyWithState[]> =>
  joined(db).where(isNull(supplies.removedAt)).orderBy(asc(supplies.id));

/** One supply with its stock and place, unless it was removed. */
export async function findSupply(db: Readable, id: string): Promise<SupplyWithState | undefined> {
  const [row] = await joined(db).where(and(eq(supplies.id, id), isNull(supplies.removedAt)));
  return row;
}

/** A supply's bare record, removed or not. */
export async function supplyRecord(db: Readable, id: string): Promise<SupplyRecord | undefined> {
  const [row] = await db.select().from(supplies).where(eq(supplies.id, id));
  return row;
}

export async function supplyRecords(
  db: Readable,
  ids: readonly string[],
): Promise<Map<string, SupplyRecord>> {
  const found = new Map<string, SupplyRecord>();
  for (const some of chunks(ids))
    for (const row of await db.select().from(supplies).where(inArray(supplies.id, some)))
      found.set(row.id, row);
  return found;
}

/** Some supplies that have not been removed, oldest first. */
export async function someSupplies(db: Readable, ids: readonly string[]): Promise<SupplyWithState[]> {
  const found: SupplyWithState[] = [];
  for (const some of chunks(ids))
    found.push(...(await joined(db).where(and(inArray(supplies.id, some), isNull(supplies.removedAt)))));
  return found.sort((p, q) => (p.supply.id < q.supply.id ? -1 : 1));
}

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
