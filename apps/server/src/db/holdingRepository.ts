import type { Holding, LotAs, PlaceSpot } from '@red-shelf/core';
import { inArray, sql, type SQL } from 'drizzle-orm';
import { chunks, touch, type Readable, type Tx } from './tx';
import { holdings } from './schema';

export type HoldingRecord = typeof holdings.$inferSelect;

/** A row's spot, or null where it has none. */
const spotOf = ({ unitId, cell, rank }: HoldingRecord): PlaceSpot | null =>
  unitId === null ? null : { unitId, cell, rank };

/** What a row says of a lot; how much there is of it follows from the events. */
export const saidOfLot = (lot: HoldingRecord): Omit<Holding, 'items' | 'left'> => ({
  id: lot.id,
  version: lot.version,
  supplyId: lot.supplyId,
  as: lot.as,
  sizeUm:
    lot.widthUm === null || lot.heightUm === null ? null : { widthUm: lot.widthUm, heightUm: lot.heightUm },
  spot: spotOf(lot),
});

const byId = (p: Holding, q: Holding): number => (p.id < q.id ? -1 : 1);

interface LotRow {
  id: string;
  version: number;
  supply_id: string;
  as: LotAs;
  width_um: number | null;
  height_um: number | null;
  unit_id: string | null;
  cell: number | null;
  rank: number;
  items: number | null;
  left: number | null;
}

/** Lots and how much there is of each, chosen by a condition; read without the mapping of single rows, since there are many. */
const lotRows = (db: Readable, where: SQL): Promise<LotRow[]> =>
  db.all<LotRow>(
    sql`select h.*, t.items, t.left from holdings h left join tallies t on t.holding_id = h.id where ${where}`,
  );

const lotOf = (row: LotRow): Holding => ({
  id: row.id,
  version: row.version,
  supplyId: row.supply_id,
  as: row.as,
  sizeUm:
    row.width_um === null || row.height_um === null
      ? null
      : { widthUm: row.width_um, heightUm: row.height_um },
  spot: row.unit_id === null ? null : { unitId: row.unit_id, cell: row.cell, rank: row.rank },
  items: row.items ?? 0,
  left: row.left ?? 0,
});

/** The lots of supplies after one and up to another, by supply, in order of age. */
export async function lotsBetween(
  db: Readable,
  after: string,
  last: string,
): Promise<Map<string, Holding[]>> {
  const rows = await lotRows(db, sql`h.supply_id > ${after} and h.supply_id <= ${last} order by h.id`);
  const lots = new Map<string, Holding[]>();
  for (const row of rows) {
    const list = lots.get(row.supply_id);
    if (list) list.push(lotOf(row));
    else lots.set(row.supply_id, [lotOf(row)]);
  }
  return lots;
}

/** Lots of some supplies, by supply, each list in order of age. */
export async function lotsOf(db: Readable, supplyIds: readonly string[]): Promise<Map<string, Holding[]>> {
  const found = new Map<string, Holding[]>(supplyIds.map((id) => [id, []]));
  for (const some of chunks(supplyIds))
    for (const row of await lotRows(db, sql`h.supply_id in ${some}`))
      found.get(row.supply_id)?.push(lotOf(row));
  for (const list of found.values()) list.sort(byId);
  return found;
}

export async function lotById(db: Readable, id: string): Promise<Holding | undefined> {
  const [row] = await lotRows(db, sql`h.id = ${id}`);
  return row && lotOf(row);
}

export async function lotsByIds(db: Readable, ids: readonly string[]): Promise<Map<string, Holding>> {
  const found = new Map<string, Holding>();
  for (const some of chunks(ids))
    for (const row of await lotRows(db, sql`h.id in ${some}`)) found.set(row.id, lotOf(row));
  return found;
}

/** Units asked for in one statement: each may hold hundreds of lots, and a statement holds everybody up. */
const UNITS_AT_ONCE = 8;

/** What is in some units. */
export async function lotsIn(db: Readable, unitIds: readonly string[]): Promise<Holding[]> {
  const found: Holding[] = [];
  for (const some of chunks(unitIds, UNITS_AT_ONCE))
    for (const row of await lotRows(db, sql`h.unit_id in ${some}`)) found.push(lotOf(row));
  return found.sort(byId);
}

/** A row for a lot. */
export const holdingRow = ({
  id,
  version,
  supplyId,
  as,
  sizeUm,
  spot,
}: Omit<Holding, 'items' | 'left' | 'as'> & { as: LotAs }): HoldingRecord => ({
  id,
  version,
  supplyId,
  as,
  widthUm: sizeUm?.widthUm ?? null,
  heightUm: sizeUm?.heightUm ?? null,
  unitId: spot?.unitId ?? null,
  cell: spot?.cell ?? null,
  rank: spot?.rank ?? 0,
});

export async function insertLots(tx: Tx, lots: readonly HoldingRecord[]): Promise<void> {
  touch(
    tx,
    lots.map(({ supplyId }) => supplyId),
  );
  for (const some of chunks(lots)) await tx.insert(holdings).values(some);
}

/** Writes whole lots over those with their ids. All are lifted first, so that things may swap places. */
export async function overwriteLots(tx: Tx, lots: readonly HoldingRecord[]): Promise<void> {
  touch(
    tx,
    lots.map(({ supplyId }) => supplyId),
  );
  for (const some of chunks(lots))
    await tx
      .update(holdings)
      .set({ unitId: null, cell: null })
      .where(
        inArray(
          holdings.id,
          some.map(({ id }) => id),
        ),
      );
  for (const some of chunks(lots))
    await tx
      .insert(holdings)
      .values(some)
      .onConflictDoUpdate({
        target: holdings.id,
        set: {
          version: sql`excluded.version`,
          widthUm: sql`excluded.width_um`,
          heightUm: sql`excluded.height_um`,
          unitId: sql`excluded.unit_id`,
          cell: sql`excluded.cell`,
          rank: sql`excluded.rank`,
        },
      });
}

/** Raises the version of lots whose stock changed. */
export async function ageLots(tx: Tx, ids: readonly string[]): Promise<void> {
  for (const some of chunks(ids))
    await tx
      .update(holdings)
      .set({ version: sql`${holdings.version} + 1` })
      .where(inArray(holdings.id, some));
}
