import {
  isRefusal,
  mayLive,
  placeAt,
  type Holding,
  type Lodger,
  type PlaceSpot,
  type Refusal,
  type RoomNow,
  type Unit,
} from '@red-shelf/core';
import type { Place } from '@red-shelf/contract';
import { lotsIn } from '../db/holdingRepository';
import type { SupplyRecord } from '../db/supplyRepository';
import { supplyRecords } from '../db/supplyRepository';
import type { Readable } from '../db/tx';
import { unitRecords, type UnitRecord } from '../db/unitRepository';
import type { Move } from './recorder';
import { unitToView } from './views';

/** A lot and the supply it is of. */
export interface LotOf {
  readonly supply: SupplyRecord;
  readonly lot: Holding;
}
type Living = Lodger & { readonly lot: Holding };

/** Some units with what lives in them, to ask `mayLive` of before anything is written. */
export class Room implements RoomNow {
  private constructor(
    private readonly units: ReadonlyMap<string, UnitRecord>,
    private readonly living: Map<string, Map<string, Living>>,
  ) {}

  static async of(db: Readable, unitIds: readonly string[]): Promise<Room> {
    const units = await unitRecords(db, [...new Set(unitIds)]);
    const lots = await lotsIn(db, [...units.keys()]);
    const supplies = await supplyRecords(db, [...new Set(lots.map(({ supplyId }) => supplyId))]);
    const room = new Room(units, new Map([...units.keys()].map((id) => [id, new Map<string, Living>()])));
    for (const lot of lots) {
      const supply = supplies.get(lot.supplyId);
      if (supply) room.put({ supply, lot });
    }
    return room;
  }

  livingIn = (unitId: string): readonly Living[] => [...(this.living.get(unitId)?.values() ?? [])];

  /** The unit, if it stands. */
  unit(id: string): Unit | undefined {
    const record = this.units.get(id);
    return record && record.removedAt === null ? unitToView(record) : undefined;
  }

  private put(thing: LotOf): void {
    if (thing.lot.spot) this.living.get(thing.lot.spot.unitId)?.set(thing.lot.id, thing);
  }

  lift({ lot }: LotOf): void {
    if (lot.spot) this.living.get(lot.spot.unitId)?.delete(lot.id);
  }

  /** Sets a lot down if it may live there, or says why not. */
  setDown(thing: LotOf, spot: PlaceSpot): Refusal | null {
    const unit = this.unit(spot.unitId);
    if (!unit) return { code: 'no_such_spot' };
    const answer = mayLive(thing, { unit, cell: spot.cell }, this);
    if (isRefusal(answer)) return answer;
    this.putBack(thing, spot);
    return null;
  }

  /** Sets a lot down without asking: it stood there before. */
  putBack(thing: LotOf, spot: PlaceSpot): void {
    this.lift(thing);
    this.put({ ...thing, lot: { ...thing.lot, spot } });
  }

  /** The rank after all that share a spot. */
  nextRank(unitId: string, cell: number | null): number {
    return cell === null ? placeAt(this.sharing(unitId)).rank : 0;
  }

  /** The spot of a place, before another lot where that is said, and the lots that get another rank by it. */
  spotAt({ unitId, cell, before }: Place): { readonly to: PlaceSpot; readonly others: readonly Move[] } {
    if (cell !== null || before === undefined)
      return { to: { unitId, cell, rank: this.nextRank(unitId, cell) }, others: [] };
    const { rank, others } = placeAt(this.sharing(unitId), before);
    for (const [id, next] of others) {
      const thing = this.living.get(unitId)?.get(id);
      if (thing) this.put({ ...thing, lot: { ...thing.lot, spot: { unitId, cell, rank: next } } } as LotOf);
    }
    return {
      to: { unitId, cell, rank },
      others: [...others].map(([lotId, next]) => ({ lotId, to: { unitId, cell, rank: next } })),
    };
  }

  private sharing(unitId: string): { id: string; rank: number }[] {
    return this.livingIn(unitId).flatMap(({ lot: { id, spot } }) =>
      spot?.cell === null ? [{ id, rank: spot.rank }] : [],
    );
  }
}

/** What lives in a unit, with the supplies. */
export async function lotsWithSupplies(db: Readable, unitIds: readonly string[]): Promise<LotOf[]> {
  const lots = await lotsIn(db, unitIds);
  const supplies = await supplyRecords(db, [...new Set(lots.map(({ supplyId }) => supplyId))]);
  return lots.flatMap((lot) => {
    const supply = supplies.get(lot.supplyId);
    return supply ? [{ supply, lot }] : [];
  });
}
