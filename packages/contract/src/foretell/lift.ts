import {
  placeAt,
  stayIn,
  unfitIn,
  type Holding,
  type PlaceSpot,
  type RoomNow,
  type Shift,
} from '@red-shelf/core';
import type { Place, SupplyView } from '../supply';
import { lotsOfView } from '../view';
import type { LiftedView, UnitView } from '../wall';
import { afterEvent, afterLift, type Known, type Naming } from './known';

/** A lot, and the supply it is of. */
export interface LotOf {
  readonly supply: SupplyView;
  readonly lot: Holding;
}

/** Everything that lives in a unit, as far as a client knows. */
export function livingIn(known: Known, unitId: string): LotOf[] {
  const living: LotOf[] = [];
  for (const supply of known.supplies())
    for (const lot of supply.holdings)
      if (lot.spot?.unitId === unitId) living.push({ supply, lot: { ...lot, supplyId: supply.id } });
  return living;
}

/** The same, to ask `mayLive` with. */
export const roomKnown = (living: readonly LotOf[]): RoomNow => ({ livingIn: () => living });

/** The spot of a place among what lives there, and the lots that get another rank by it, as shifts by their supply. */
export function spotAt(
  living: readonly LotOf[],
  { unitId, cell, before }: Place,
): { readonly to: PlaceSpot; readonly others: ReadonlyMap<LotOf, Shift> } {
  if (cell !== null) return { to: { unitId, cell, rank: 0 }, others: new Map() };
  const sharing = living.flatMap(({ lot: { id, spot } }) =>
    spot?.cell === null ? [{ id, rank: spot.rank }] : [],
  );
  const { rank, others } = placeAt(sharing, before);
  const shifts = living.flatMap((thing): [LotOf, Shift][] => {
    const next = others.get(thing.lot.id);
    if (next === undefined || next === thing.lot.spot?.rank) return [];
    return [[thing, { holdingId: thing.lot.id, from: thing.lot.spot, to: { unitId, cell, rank: next } }]];
  });
  return { to: { unitId, cell, rank }, others: new Map(shifts) };
}

/** Supplies of whose lots some have to give way, and the names of those. */
export interface Lifting {
  readonly supplies: readonly SupplyView[];
  readonly lifted: LiftedView;
}

/** Takes lots out of their places. */
export function lifting(naming: Naming, things: readonly LotOf[]): Lifting {
  const bySupply = new Map<SupplyView, Holding[]>();
  for (const { supply, lot } of things) bySupply.set(supply, [...(bySupply.get(supply) ?? []), lot]);
  return {
    supplies: [...bySupply].map(([supply, lots]) => afterLift(naming, supply, lots)),
    lifted: things.map(({ supply: { id, name } }) => ({ supplyId: id, name })),
  };
}

/** A supply that was changed, with those of its lots lifted that no longer fit where they are. */
export function liftUnfit(
  known: Known,
  naming: Naming,
  supply: SupplyView,
): { supply: SupplyView; lifted: LiftedView } {
  const placed = lotsOfView(supply).flatMap((lot) => (lot.spot ? [{ supply, lot }] : []));
  const units = new Set(placed.map(({ lot }) => lot.spot?.unitId));
  const unfit = known
    .units()
    .filter(({ id }) => units.has(id))
    .flatMap((unit) =>
      unfitIn(
        unit,
        placed.filter(({ lot }) => lot.spot?.unitId === unit.id),
      ),
    );
  const { supplies, lifted } = lifting(naming, unfit);
  return { supply: supplies[0] ?? supply, lifted };
}

/** In a unit that was changed things keep their row and column; what that no longer takes is lifted. */
export function keepInPlace(known: Known, naming: Naming, before: UnitView, after: UnitView): Lifting {
  const { moved, lifted } = stayIn(before, after, livingIn(known, after.id));
  const bySupply = new Map<SupplyView, Shift[]>();
  const shift = ({ supply, lot }: LotOf, to: Shift['to']): unknown =>
    bySupply.set(supply, [...(bySupply.get(supply) ?? []), { holdingId: lot.id, from: lot.spot, to }]);
  for (const thing of lifted) shift(thing, null);
  for (const { thing, cell } of moved)
    shift(thing, { unitId: after.id, cell, rank: thing.lot.spot?.rank ?? 0 });
  return {
    supplies: [...bySupply].map(([supply, shifts]) => {
      const { id, at } = naming;
      return afterEvent(supply, { act: 'move', id, supplyId: supply.id, at, postings: [], shifts });
    }),
    lifted: lifted.map(({ supply: { id, name } }) => ({ supplyId: id, name })),
  };
}
