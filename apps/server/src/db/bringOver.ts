import { oldLotId, type OldEntry, type PlaceSpot } from '@red-shelf/core';
import { upgraded, upgradedUnit, type OldUnit } from '@red-shelf/contract';
import { eq, inArray, isNull, sql } from 'drizzle-orm';
import { contentOf, saysStill } from './fingerprint';
import { insertHistory } from './stashRepository';
import { changes, events, settings, units } from './schema';
import { allRecords } from './supplyRepository';
import { chunks, type Tx } from './tx';

/**
 * Brings a stash of the first shape over: one slot a supply becomes a spot of its lot, ledger lines become events, racks
 * carry their own sizes and rules, and what can be undone still can. All of it or nothing; the old tables go with it.
 */
export async function bringOver(tx: Tx): Promise<void> {
  const [old] = await tx.all(sql`select name from sqlite_master where type = 'table' and name = 'old_units'`);
  if (!old) return;
  const racks = (await tx.all<OldUnitRow>(sql`select * from old_units`)).map(oldUnitOf);
  const placements = (await tx.all<OldPlacementRow>(sql`select * from old_placements`)).map(
    ({ supply_id: supplyId, unit_id: unitId, slot }) => ({ supplyId, unitId, slot }),
  );
  const ledger = (await tx.all<OldLedgerRow>(sql`select * from old_ledger order by seq`)).map(entryOf);
  const [named] = await tx.select().from(settings).where(eq(settings.key, OLD_ROOM_NAME));
  const supplies = await allRecords(tx);
  const stash = upgraded({
    exportedAt: new Date(0).toISOString(),
    roomName: named?.value ?? '',
    units: racks,
    supplies,
    placements,
    ledger,
    records: [],
  });
  for (const some of chunks(stash.units)) await tx.insert(units).values(some);
  await insertHistory(tx, stash);
  await tx.update(changes).set({ seq: sql`rowid` });
  await convertInverses(tx, racks, new Map(stash.units.map((unit) => [unit.id, unit])));
  await tx.delete(settings).where(eq(settings.key, OLD_ROOM_NAME));
  for (const table of ['old_placements', 'old_ledger', 'old_units'])
    await tx.run(sql.raw(`drop table ${table}`));
}

const OLD_ROOM_NAME = 'roomName';

interface OldUnitRow {
  id: string;
  version: number;
  position: number;
  letter: string;
  name: string;
  template: string;
  rows: number;
  columns: number;
  slot_width_um: number;
  slot_height_um: number;
  slot_depth_um: number;
  facts: string;
  removed_at: string | null;
}
interface OldPlacementRow {
  supply_id: string;
  unit_id: string;
  slot: number;
}
interface OldLedgerRow extends Omit<OldEntry, 'supplyId'> {
  seq: number;
  supply_id: string;
}

const oldUnitOf = (row: OldUnitRow): OldUnit => ({
  id: row.id,
  version: row.version,
  position: row.position,
  letter: row.letter,
  name: row.name,
  template: row.template,
  rows: row.rows,
  columns: row.columns,
  slotWidthUm: row.slot_width_um,
  slotHeightUm: row.slot_height_um,
  slotDepthUm: row.slot_depth_um,
  facts: JSON.parse(row.facts) as OldUnit['facts'],
  removedAt: row.removed_at,
});
const entryOf = ({ seq: _, supply_id: supplyId, ...entry }: OldLedgerRow): OldEntry => ({
  ...entry,
  supplyId,
});

type OldUnitBefore = Omit<OldUnit, 'facts'> & { facts?: OldUnit['facts'] };
interface OldInverse {
  supplies: unknown[];
  units: { id: string; before: OldUnitBefore | null; after: string; afterVersion?: number }[];
  records?: unknown[];
  places: { supplyId: string; before: OldPlace | null; after: OldPlace | null }[];
  ledger: { id: string }[];
  snapshotId?: string;
}
interface OldPlace {
  unitId: string;
  slot: number;
}

/** What it takes to undo a change of the first shape, said in today's. */
async function convertInverses(
  tx: Tx,
  racks: readonly OldUnit[],
  now: ReadonlyMap<string, Parameters<typeof contentOf>[0]>,
): Promise<void> {
  const rackById = new Map(racks.map((rack) => [rack.id, rack]));
  const spot = (place: OldPlace | null): PlaceSpot | null =>
    place && { unitId: place.unitId, cell: place.slot, rank: 0 };
  const rows = await tx.select().from(changes).where(isNull(changes.undoneBy));
  for (const { id, inverse } of rows) {
    const old = inverse as OldInverse;
    const converted = {
      supplies: old.supplies,
      units: old.units.map(({ id: unitId, before, ...was }) => {
        const present = now.get(unitId);
        const rack = rackById.get(unitId);
        const same = rack !== undefined && present !== undefined && saysStill(rack, was);
        return {
          id: unitId,
          // The first programs knew no facts.
          before: before && upgradedUnit({ ...before, facts: before.facts ?? {} }),
          after: same ? contentOf(present) : was.after,
        };
      }),
      records: old.records ?? [],
      lots: [],
      moves: old.places.map(({ supplyId, before, after }) => ({
        holdingId: oldLotId(supplyId),
        from: spot(before),
        to: spot(after),
      })),
      ...(old.snapshotId ? { snapshotId: old.snapshotId } : {}),
    };
    await tx.update(changes).set({ inverse: converted }).where(eq(changes.id, id));
    for (const some of chunks(old.ledger))
      await tx
        .update(events)
        .set({ changeId: id })
        .where(
          inArray(
            events.id,
            some.map((entry) => entry.id),
          ),
        );
  }
}
