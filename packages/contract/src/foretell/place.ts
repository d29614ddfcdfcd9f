import {
  becomesOne,
  countOfLot,
  formFor,
  HAND_ID,
  isRefusal,
  mayLive,
  sameSpot,
  splitPostings,
  type Holding,
  type PlaceSpot,
  type Shift,
  type StashEvent,
} from '@red-shelf/core';
import type { z } from 'zod';
import type { Place, placedHolding, sizedHolding, SupplyView } from '../supply';
import { lotsOfView, viewOf, writtenOf } from '../view';
import { afterEvent, foretold, newLot, type Foretold, type Known, type Naming } from './known';
import { livingIn, liftUnfit, roomKnown, spotAt } from './lift';

/** The supply that has a lot, and the lot. */
function lotIn(known: Known, lotId: string): { supply: SupplyView; lot: Holding } | null {
  for (const supply of known.supplies()) {
    const lot = supply.holdings.find(({ id }) => id === lotId);
    if (lot) return { supply, lot: { ...lot, supplyId: supply.id } };
  }
  return null;
}

const isAt = (spot: PlaceSpot | null, place: Place | null): boolean =>
  spot?.unitId === place?.unitId && (spot?.cell ?? null) === (place?.cell ?? null);

/** A supply whose lot was set down, lifted, or moved in part. Null where it will be refused. */
export function foretellPlace(
  known: Known,
  naming: Naming,
  lotId: string,
  { place, amount }: z.output<typeof placedHolding>,
): Foretold | null {
  const found = lotIn(known, lotId);
  if (!found) return null;
  const { supply, lot } = found;
  const form = formFor(supply);
  const count = countOfLot(lot, form);
  if (amount !== undefined && amount > count) return null;
  const part = amount !== undefined && amount < count;
  const twin = place && lotsOfView(supply).find((each) => isAt(each.spot, place) && becomesOne(each, lot));
  const spot =
    place && spotFor(known, { supply, lot: part ? { ...lot, id: '', spot: null } : lot }, place, twin);
  if (place && !spot) return null;
  const to = spot?.to ?? null;
  const event = (postings: StashEvent['postings'], shifts: StashEvent['shifts']): StashEvent => ({
    act: 'move',
    id: naming.id,
    supplyId: supply.id,
    at: naming.at,
    postings,
    shifts,
  });
  const done = (next: SupplyView): Foretold => foretold(naming, 'place', supply.name, { supplies: [next] });
  if (!twin && !part) {
    const shift = sameSpot(lot.spot, to) ? [] : [{ holdingId: lotId, from: lot.spot, to }];
    return beside(known, naming, supply, shift, spot?.others);
  }
  const made = twin ? null : newLot({ id: naming.nextId(), as: lot.as, sizeUm: lot.sizeUm }, supply.id);
  const targetId = (twin ?? made)?.id ?? '';
  const shifts = [
    ...(made && to ? [{ holdingId: made.id, from: null, to }] : []),
    ...(!part && lot.spot ? [{ holdingId: lotId, from: lot.spot, to: null }] : []),
  ];
  const postings = splitPostings(lot, targetId, amount ?? count, form);
  return done(afterEvent(supply, event(postings, shifts), made ? [made] : []));
}

/** A supply that was moved, with those beside it that are numbered anew. */
function beside(
  known: Known,
  naming: Naming,
  moved: SupplyView,
  shifts: readonly Shift[],
  others: SpotAt['others'] = new Map(),
): Foretold {
  const bySupply = new Map<SupplyView, Shift[]>([[moved, [...shifts]]]);
  for (const [{ supply }, shift] of others) {
    const owner = supply.id === moved.id ? moved : supply;
    bySupply.set(owner, [...(bySupply.get(owner) ?? []), shift]);
  }
  const { id, at } = naming;
  const supplies = [...bySupply].map(([supply, all]) =>
    all.length === 0
      ? supply
      : afterEvent(supply, { act: 'move', id, supplyId: supply.id, at, postings: [], shifts: all }),
  );
  return foretold(naming, 'place', moved.name, { supplies });
}

type SpotAt = ReturnType<typeof spotAt>;

/** The spot a lot gets in a place, or null where it may not live there. */
function spotFor(
  known: Known,
  thing: { supply: SupplyView; lot: Holding },
  place: Place,
  twin: Holding | null | undefined,
): SpotAt | null {
  if (twin?.spot) return { to: twin.spot, others: new Map() };
  const unit = known.unit(place.unitId);
  if (!unit && place.unitId !== HAND_ID) return null;
  const living = livingIn(known, place.unitId);
  if (unit && !isAt(thing.lot.spot, place)) {
    const answer = mayLive(thing, { unit, cell: place.cell }, roomKnown(living));
    if (isRefusal(answer)) return null;
  }
  return spotAt(
    living.filter(({ lot }) => lot.id !== thing.lot.id),
    place,
  );
}

/** A supply whose base or scrap got a size. */
export function foretellSize(
  known: Known,
  naming: Naming,
  lotId: string,
  { sizeUm }: z.output<typeof sizedHolding>,
): Foretold | null {
  const found = lotIn(known, lotId);
  if (!found || (found.lot.as !== 'base' && found.lot.as !== 'scrap')) return null;
  const { supply } = found;
  const lots = lotsOfView(supply).map((lot) =>
    lot.id === lotId ? { ...lot, sizeUm, version: lot.version + 1 } : lot,
  );
  const next = liftUnfit(known, naming, viewOf(writtenOf(supply), supply.stock, lots));
  return foretold(naming, 'lot', supply.name, { supplies: [next.supply], lifted: next.lifted });
}
