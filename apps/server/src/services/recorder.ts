import { createHash } from 'node:crypto';
import type { ChangeView, Place } from '@red-shelf/contract';
import { changes } from '../db/schema';
import type { Tx } from '../db/open';
import { putRecord, type RecordRow } from '../db/recordRepository';
import {
  insertSupplies,
  nextNumber,
  overwriteSupply,
  supplyRecord,
  type SupplyRecord,
} from '../db/supplyRepository';
import { appendLedger, refoldStock, type LedgerRecord } from '../db/ledgerRepository';
import {
  insertUnit,
  overwriteUnit,
  placementsOf,
  rewritePlacements,
  type UnitRecord,
} from '../db/wallRepository';
import type { Ports } from './ports';

/**
 * Names what a record says, whatever its version: an undo is safe exactly when a thing still says
 * what the change left behind, be it that nothing happened since or that all of it was undone.
 */
export function contentOf({
  version: _version,
  updatedAt: _at,
  ...content
}: {
  version: number;
  updatedAt?: string;
}): string {
  return createHash('sha1').update(JSON.stringify(content, inKeyOrder)).digest('base64url');
}

/** Writes objects with their keys in order, so that equal content has one text. */
const inKeyOrder = (_key: string, value: unknown): unknown =>
  value && typeof value === 'object' && !Array.isArray(value)
    ? Object.fromEntries(Object.entries(value).sort(([a], [b]) => (a < b ? -1 : 1)))
    : value;

/** What it takes to undo a change: how things were before, and what they must still be (`contentOf`) for the undo to be safe. */
export interface Inverse {
  supplies: { id: string; before: SupplyRecord | null; after: string }[];
  units: { id: string; before: UnitRecord | null; after: string }[];
  records?: { id: string; before: RecordRow | null; after: string }[];
  places: { supplyId: string; before: Place | null; after: Place | null }[];
  /** Ledger entries to cancel. */
  ledger: { id: string; supplyId: string }[];
  /** Set when a whole document was brought in. */
  snapshotId?: string;
}

/** Makes changes inside one transaction and remembers how to take them back. Every write of a service goes through one. */
export class Recorder {
  readonly inverse: Inverse = { supplies: [], units: [], places: [], ledger: [] };
  constructor(
    private readonly tx: Tx,
    private readonly ports: Ports,
  ) {}

  /** Adds supplies; those without a short number get the next ones. */
  async addSupplies(given: readonly SupplyRecord[]): Promise<void> {
    let next = await nextNumber(this.tx);
    const records = given.map((record) => (record.number > 0 ? record : { ...record, number: next++ }));
    await insertSupplies(this.tx, records);
    for (const record of records)
      this.inverse.supplies.push({ id: record.id, before: null, after: contentOf(record) });
  }

  async writeSupply(before: SupplyRecord, after: SupplyRecord): Promise<void> {
    await overwriteSupply(this.tx, after);
    this.inverse.supplies.push({ id: before.id, before, after: contentOf(after) });
    // Another form counts differently, so what is left has to be read again.
    if (before.form !== after.form || before.kind !== after.kind) await refoldStock(this.tx, [after]);
  }

  async addUnit(record: UnitRecord): Promise<void> {
    await insertUnit(this.tx, record);
    this.inverse.units.push({ id: record.id, before: null, after: contentOf(record) });
  }

  async writeUnit(before: UnitRecord, after: UnitRecord): Promise<void> {
    await overwriteUnit(this.tx, after);
    this.inverse.units.push({ id: before.id, before, after: contentOf(after) });
  }

  /** Writes a record, new (`before` null) or over what was there. */
  async putRecord(before: RecordRow | null, after: RecordRow): Promise<void> {
    await putRecord(this.tx, after);
    (this.inverse.records ??= []).push({ id: after.id, before, after: contentOf(after) });
  }

  /** Appends to the ledger. Opening counts of supplies added by the same change need no undoing of their own. */
  async appendLedger(entries: readonly LedgerRecord[], of: readonly SupplyRecord[]): Promise<void> {
    await appendLedger(this.tx, entries, of);
    const added = new Set(this.inverse.supplies.filter(({ before }) => before === null).map(({ id }) => id));
    for (const { id, supplyId } of entries)
      if (!added.has(supplyId)) this.inverse.ledger.push({ id, supplyId });
  }

  /** Sets supplies down, or lifts them for good where the place is null. */
  async setPlaces(places: ReadonlyMap<string, Place | null>): Promise<void> {
    const before = await placementsOf(this.tx, [...places.keys()]);
    const down = [...places].flatMap(([supplyId, place]) => (place ? [{ supplyId, ...place }] : []));
    await rewritePlacements(this.tx, [...before.keys()], down);
    for (const [supplyId, after] of places) {
      const was = before.get(supplyId);
      this.inverse.places.push({
        supplyId,
        before: was ? { unitId: was.unitId, slot: was.slot } : null,
        after,
      });
    }
  }

  /** Takes a supply out of the stash; its row and history stay. */
  async removeSupply(id: string): Promise<SupplyRecord | undefined> {
    const before = await supplyRecord(this.tx, id);
    if (!before) return undefined;
    const at = this.ports.now();
    await this.setPlaces(new Map([[id, null]]));
    await this.writeSupply(before, { ...before, version: before.version + 1, removedAt: at, updatedAt: at });
    return before;
  }

  /** Writes the journal line. */
  async finish(kind: ChangeView['kind'], name: string, count: number): Promise<ChangeView> {
    const change = { id: this.ports.newId(), kind, name, count };
    await this.tx.insert(changes).values({ ...change, at: this.ports.now(), inverse: this.inverse });
    return change;
  }
}
