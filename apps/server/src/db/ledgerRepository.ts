import { formOf, stockFromLedger } from '@red-shelf/core';
import { asc, eq, inArray } from 'drizzle-orm';
import { chunks, touch, type Readable, type Tx } from './open';
import { ledger, stock } from './schema';
import type { SupplyRecord } from './supplyRepository';

export type LedgerRecord = Omit<typeof ledger.$inferSelect, 'seq'>;

/** One supply's ledger, oldest entry first. */
export const ledgerOf = (db: Readable, supplyId: string) =>
  db.select().from(ledger).where(eq(ledger.supplyId, supplyId)).orderBy(asc(ledger.seq));

/** Appends entries and refolds the stock of the supplies they speak of. */
export async function appendLedger(
  tx: Tx,
  entries: readonly LedgerRecord[],
  of: readonly Pick<SupplyRecord, 'id' | 'kind' | 'form'>[],
): Promise<void> {
  for (const some of chunks(entries)) await tx.insert(ledger).values(some);
  await refoldStock(tx, of);
}

/** Computes stock again from the ledger, for these supplies. */
export async function refoldStock(
  tx: Tx,
  of: readonly Pick<SupplyRecord, 'id' | 'kind' | 'form'>[],
): Promise<void> {
  for (const some of chunks(of)) {
    const ids = some.map(({ id }) => id);
    touch(tx, ids);
    const rows = await tx.select().from(ledger).where(inArray(ledger.supplyId, ids)).orderBy(asc(ledger.seq));
    const bySupply = new Map<string, typeof rows>(ids.map((id) => [id, []]));
    for (const row of rows) bySupply.get(row.supplyId)?.push(row);
    const folded = some.map(({ id, kind, form }) => ({
      supplyId: id,
      ...stockFromLedger(bySupply.get(id) ?? [], formOf(kind, form)),
    }));
    await tx.delete(stock).where(inArray(stock.supplyId, ids));
    await tx.insert(stock).values(folded);
  }
}
