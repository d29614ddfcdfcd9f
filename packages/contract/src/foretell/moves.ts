import {
  becomesOne,
  HAND_ID,
  isRefusal,
  mayLive,
  sameSpot,
  type Holding,
  type PlaceSpot,
  type Shift,
} from '@red-shelf/core';
import type { z } from 'zod';
import type { movedHoldings, SupplyView } from '../supply';
import { afterEvent, foretold, type Foretold, type Known, type Naming } from './known';
import { livingIn, roomKnown, type LotOf } from './lift';

/** What lives in each unit while some lots are moved: those are in hand until they are set down. */
class Room {
  private readonly living = new Map<string, LotOf[]>();
  constructor(
    private readonly known: Known,
    private readonly moving: ReadonlySet<string>,
  ) {}

  in(unitId: string): LotOf[] {
    const there = this.living.get(unitId);
    if (there) return there;
    const now = livingIn(this.known, unitId).filter(({ lot }) => !this.moving.has(lot.id));
    this.living.set(unitId, now);
    return now;
  }

  /** The spot a lot gets, or null where it may not live there, or where only the server can tell. */
  setDown(thing: LotOf, { unitId, cell }: Omit<PlaceSpot, 'rank'>): PlaceSpot | null {
    const there = this.in(unitId);
    const unit = this.known.unit(unitId);
    if (!unit && unitId !== HAND_ID) return null;
    const joins = there.some(
      ({ supply, lot }) =>
        supply.id === thing.supply.id && (lot.spot?.cell ?? null) === cell && becomesOne(lot, thing.lot),
    );
    if (joins || (unit && isRefusal(mayLive(thing, { unit, cell }, roomKnown(there))))) return null;
    const ranks = there.flatMap(({ lot }) => (lot.spot?.cell === null ? [lot.spot.rank] : []));
    const spot = { unitId, cell, rank: cell === null ? Math.max(-1, ...ranks) + 1 : 0 };
    there.push({ ...thing, lot: { ...thing.lot, spot } });
    return spot;
  }
}

/** Several lots set down or lifted together: first all are in hand, then each is set down. Null where one will be refused. */
export function foretellMoves(
  known: Known,
  naming: Naming,
  { moves }: z.output<typeof movedHoldings>,
): Foretold | null {
  const owners = new Map<string, { supply: SupplyView; lot: Holding }>();
  for (const supply of known.supplies())
    for (const lot of supply.holdings) owners.set(lot.id, { supply, lot: { ...lot, supplyId: supply.id } });
  const room = new Room(known, new Set(moves.map(({ id }) => id)));
  const bySupply = new Map<SupplyView, Shift[]>();
  for (const { id, version, place } of moves) {
    const found = owners.get(id);
    if (found?.lot.version !== version) return null;
    const to = place && room.setDown({ ...found, lot: { ...found.lot, spot: null } }, place);
    if (place && !to) return null;
    const shifts = bySupply.get(found.supply) ?? [];
    bySupply.set(found.supply, shifts);
    // What stays where it is was not moved.
    if (sameSpot(found.lot.spot, to)) continue;
    const shift = { holdingId: id, from: found.lot.spot, to };
    shifts.push(shift);
  }
  const { id, at } = naming;
  const supplies = [...bySupply].map(([supply, shifts]) =>
    shifts.length === 0
      ? supply
      : afterEvent(supply, { act: 'move', id, supplyId: supply.id, at, postings: [], shifts }),
  );
  return foretold(naming, 'place', supplies[0]?.name ?? '', { supplies, count: moves.length });
}
