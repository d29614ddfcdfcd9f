import {
  emptiedShifts,
  mainLot,
  sameSpot,
  type Holding,
  type NewLot,
  type PlaceSpot,
  type Posted,
  type Posting,
  type Shift,
} from '@red-shelf/core';
import type { ChangeView } from '@red-shelf/contract';
import { appendEvents, type EventRecord } from '../db/eventRepository';
import { foldOn, refold } from '../db/foldRepository';
import { contentOf } from '../db/fingerprint';
import { ageLots, holdingRow, insertLots, lotsByIds, lotsOf, overwriteLots } from '../db/holdingRepository';
import { putRecord, type RecordRow } from '../db/recordRepository';
import { changes } from '../db/schema';
import {
  insertSupplies,
  nextNumber,
  overwriteSupply,
  supplyRecords,
  type SupplyRecord,
} from '../db/supplyRepository';
import { latestSeq, type Tx } from '../db/tx';
import { putUnit, type UnitRecord } from '../db/unitRepository';
import { madeId, type Ports } from './ports';

interface Was<T> {
  readonly id: string;
  readonly before: T | null;
  /** What it must still say for the undo to be safe (`contentOf`). */
  readonly after: string;
  /** What the very first program wrote instead. */
  readonly afterVersion?: number;
}

/**
 * What it takes to undo a change, beside its events, which name it: how things were before. `moves` are those of changes
 * from before moves were events.
 */
export interface Inverse {
  supplies: Was<SupplyRecord>[];
  units: Was<UnitRecord>[];
  records: Was<RecordRow>[];
  /** Sizes of lots. */
  lots: { readonly id: string; readonly before: Holding['sizeUm']; readonly after: Holding['sizeUm'] }[];
  moves?: readonly Shift[];
  /** Set when a whole document was brought in. */
  snapshotId?: string;
}

/** A lot that goes to another place. */
export interface Move {
  readonly lotId: string;
  readonly to: PlaceSpot | null;
}

type Extra = Partial<Pick<EventRecord, 'shifts'>>;

/** Makes changes inside one transaction and remembers how to take them back. Every write of a service goes through one. */
export class Recorder {
  readonly inverse: Inverse = { supplies: [], units: [], records: [], lots: [] };
  readonly changeId: string;
  private readonly recordedAt: string;

  /** `at` is when the person did it; now, unless it was told later. */
  constructor(
    private readonly tx: Tx,
    private readonly ports: Ports,
    private readonly at: string = ports.doneAt?.() ?? ports.now(),
  ) {
    this.changeId = ports.commandId ?? ports.newId();
    this.recordedAt = ports.now();
  }

  /** Adds supplies, each with a lot of whole things; those without a short number get the next ones. */
  async addSupplies(given: readonly SupplyRecord[]): Promise<ReadonlyMap<string, Holding>> {
    let next = await nextNumber(this.tx);
    const records = given.map((record) => (record.number > 0 ? record : { ...record, number: next++ }));
    await insertSupplies(this.tx, records);
    for (const record of records)
      this.inverse.supplies.push({ id: record.id, before: null, after: contentOf(record) });
    return this.addLots(
      records.map(({ id }) => ({ supplyId: id, lot: { id: madeId(this.ports), as: 'whole', sizeUm: null } })),
    );
  }

  /** New lots, by their supply; the last one of each where there are several. */
  async addLots(
    given: readonly { readonly supplyId: string; readonly lot: NewLot }[],
  ): Promise<ReadonlyMap<string, Holding>> {
    const lots = given.map(({ supplyId, lot }): Holding => ({
      ...lot,
      supplyId,
      version: 1,
      spot: null,
      items: 0,
      left: 0,
    }));
    await insertLots(this.tx, lots.map(holdingRow));
    return new Map(lots.map((lot) => [lot.supplyId, lot]));
  }

  async writeSupply(before: SupplyRecord, after: SupplyRecord): Promise<void> {
    await overwriteSupply(this.tx, after);
    this.inverse.supplies.push({ id: before.id, before, after: contentOf(after) });
    // Another form, or another word on how it is counted: what is left has to be read again.
    const counts = ({ kind, form, facts }: SupplyRecord): string =>
      [kind, form, facts.usesPerFill, facts.lowAt].join(' ');
    if (counts(before) !== counts(after)) await refold(this.tx, [after]);
  }

  /** Writes a unit, new (`before` null) or over what was there. */
  async putUnit(before: UnitRecord | null, after: UnitRecord): Promise<void> {
    await putUnit(this.tx, after);
    this.inverse.units.push({ id: after.id, before, after: contentOf(after) });
  }

  /** Writes a record, new (`before` null) or over what was there. */
  async putRecord(before: RecordRow | null, after: RecordRow): Promise<void> {
    await putRecord(this.tx, after);
    this.inverse.records.push({ id: after.id, before, after: contentOf(after) });
  }

  /** An event as the ledger keeps it. */
  event(
    supplyId: string,
    happening: Posted['happening'] | { act: 'move' } | { act: 'undo'; undoes: string },
    posted: readonly Posting[],
    { shifts = [] }: Extra = {},
  ): EventRecord {
    const { at, recordedAt } = this;
    return { id: this.ports.newId(), supplyId, at, recordedAt, postings: posted, shifts, ...happening };
  }

  /** Writes acts into the ledger; lots that have to be made for them are made, emptied ones let go of their place. */
  async post(acts: readonly { readonly supplyId: string; readonly act: Posted }[]): Promise<void> {
    await this.addLots(acts.flatMap(({ supplyId, act }) => act.made.map((lot) => ({ supplyId, lot }))));
    const touched = acts.flatMap(({ act }) => act.postings.map(({ holdingId }) => holdingId));
    const lots = await lotsByIds(this.tx, [...new Set(touched)]);
    const shiftsOf = acts.map(({ act }) => emptiedShifts(act.postings, lots));
    const events = acts.map(({ supplyId, act }, i) =>
      this.event(supplyId, act.happening, act.postings, { shifts: shiftsOf[i] ?? [] }),
    );
    const lifted = shiftsOf.flat().flatMap(({ holdingId }) => lots.get(holdingId) ?? []);
    await overwriteLots(
      this.tx,
      lifted.map((lot) => holdingRow({ ...lot, spot: null })),
    );
    await this.append(events);
  }

  /** Appends events, and adds up again what they touched. */
  async append(events: readonly EventRecord[]): Promise<void> {
    await appendEvents(this.tx, this.changeId, events);
    const lotIds = [...new Set(events.flatMap(({ postings }) => postings.map(({ holdingId }) => holdingId)))];
    await ageLots(this.tx, lotIds);
    const owners = [...(await lotsByIds(this.tx, lotIds)).values()].map(({ supplyId }) => supplyId);
    const posting = events.filter(({ act }) => act !== 'move').map(({ supplyId }) => supplyId);
    const of = await supplyRecords(this.tx, [...new Set([...owners, ...posting])]);
    const concerned = [...of.values()];
    if (events.some(({ act }) => act === 'undo')) await refold(this.tx, concerned);
    else if (concerned.length > 0) await foldOn(this.tx, concerned, events);
  }

  /**
   * Sets lots down, or lifts them for good where there is no place to go to. A move is an event of its supply; `posted`
   * says, by supply, what went from one lot to another on the way.
   */
  async move(
    moves: readonly Move[],
    posted: Readonly<Record<string, readonly Posting[]>> = {},
  ): Promise<void> {
    const lots = await lotsByIds(
      this.tx,
      moves.map(({ lotId }) => lotId),
    );
    const bySupply = new Map<string, Shift[]>(Object.keys(posted).map((id) => [id, []]));
    const rows = moves.flatMap(({ lotId, to }) => {
      const lot = lots.get(lotId);
      if (!lot) return [];
      if (sameSpot(lot.spot, to)) return [];
      const shift = { holdingId: lotId, from: lot.spot, to };
      bySupply.set(lot.supplyId, [...(bySupply.get(lot.supplyId) ?? []), shift]);
      return [holdingRow({ ...lot, version: lot.version + 1, spot: to })];
    });
    await overwriteLots(this.tx, rows);
    await this.append(
      [...bySupply].map(([supplyId, shifts]) =>
        this.event(supplyId, { act: 'move' }, posted[supplyId] ?? [], { shifts }),
      ),
    );
  }

  /** Says how large a lot is. */
  async sizeLot(lot: Holding, sizeUm: Holding['sizeUm']): Promise<void> {
    this.inverse.lots.push({ id: lot.id, before: lot.sizeUm, after: sizeUm });
    await overwriteLots(this.tx, [holdingRow({ ...lot, version: lot.version + 1, sizeUm })]);
  }

  /** Takes supplies out of the stash; their rows and history stay, their lots have no place any more. */
  async removeSupplies(records: readonly SupplyRecord[]): Promise<void> {
    const at = this.ports.now();
    const lots = await lotsOf(
      this.tx,
      records.map(({ id }) => id),
    );
    const placed = [...lots.values()].flat().filter(({ spot }) => spot !== null);
    await this.move(placed.map(({ id }) => ({ lotId: id, to: null })));
    for (const before of records)
      await this.writeSupply(before, {
        ...before,
        version: before.version + 1,
        removedAt: at,
        updatedAt: at,
      });
  }

  /** A supply's main lot. */
  async mainLotOf(supplyId: string): Promise<Holding | undefined> {
    return mainLot((await lotsOf(this.tx, [supplyId])).get(supplyId) ?? []);
  }

  /** Writes the journal line. */
  async finish(kind: ChangeView['kind'], name: string, count: number): Promise<ChangeView> {
    const change = { id: this.changeId, kind, name, count };
    const seq = (await latestSeq(this.tx)) + 1;
    await this.tx.insert(changes).values({ ...change, at: this.recordedAt, inverse: this.inverse, seq });
    return change;
  }
}
