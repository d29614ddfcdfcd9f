import { becomesOne, HAND_ID, isRefusal, mayLive, sameSpot, type Holding, type Shift } from '@red-shelf/core';
import type { z } from 'zod';
import type { movedHoldings, Place, SupplyView } from '../supply';
import { afterEvent, foretold, type Foretold, type Known, type Naming } from './known';
import { livingIn, roomKnown, spotAt, type LotOf } from './lift';

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
  setDown(thing: LotOf, place: Place): SpotAt | null {
    const { unitId, cell } = place;
    const there = this.in(unitId);
    const unit = this.known.unit(unitId);
    if (!unit && unitId !== HAND_ID) return null;
    const joins = there.some(
      ({ supply, lot }) =>
        supply.id === thing.supply.id && (lot.spot?.cell ?? null) === cell && becomesOne(lot, thing.lot),
    );
    if (joins || (unit && isRefusal(mayLive(thing, { unit, cell }, roomKnown(there))))) return null;
    const spot = spotAt(there, place);
    for (const [other, { to }] of spot.others)
      there.splice(there.indexOf(other), 1, { ...other, lot: { ...other.lot, spot: to } });
    there.push({ ...thing, lot: { ...thing.lot, spot: spot.to } });
    return spot;
  }
}

type SpotAt = ReturnType<typeof spotAt>;

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
  const bySupply = new Map<SupplyView, Map<string, Shift>>();
  const note = (supply: SupplyView, shift: Shift): void => {
    const shifts = bySupply.get(supply) ?? new Map<string, Shift>();
    bySupply.set(supply, shifts);
    // Where it was is where it was before all of it.
    const { from } = shifts.get(shift.holdingId) ?? shift;
    shifts.set(shift.holdingId, { ...shift, from });
  };
  for (const { id, version, place } of moves) {
    const found = owners.get(id);
    if (found?.lot.version !== version) return null;
    const spot = place && room.setDown({ ...found, lot: { ...found.lot, spot: null } }, place);
    if (place && !spot) return null;
    for (const [{ supply }, shift] of spot?.others ?? []) note(supply, shift);
    note(found.supply, { holdingId: id, from: found.lot.spot, to: spot?.to ?? null });
  }
  const { id, at } = naming;
  const supplies = [...bySupply].map(([supply, all]) => {
    // What stays where it is was not moved.
    const shifts = [...all.values()].filter(({ from, to }) => !sameSpot(from, to));
    if (shifts.length === 0) return supply;
    return afterEvent(supply, { act: 'move', id, supplyId: supply.id, at, postings: [], shifts });
  });
  return foretold(naming, 'place', supplies[0]?.name ?? '', { supplies, count: moves.length });
}
