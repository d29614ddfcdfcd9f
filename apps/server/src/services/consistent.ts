import {
  brokenShift,
  findForm,
  foldSpots,
  HAND_ID,
  MOST_DEEP,
  pathTo,
  ROOM_ID,
  sameSpot,
  suits,
} from '@red-shelf/core';
import type { StashDocument } from '@red-shelf/contract';
import { Refusal } from './refusal';

const refuse = (what: string): never => {
  throw new Refusal(
    422,
    'inconsistent_document',
    `The document contradicts itself: ${what}. Nothing was changed.`,
  );
};

const unique = (list: readonly { id: string }[], what: string): Set<string> => {
  const ids = new Set(list.map(({ id }) => id));
  if (ids.size < list.length) refuse(`two ${what} have the same id`);
  return ids;
};

/** References inside a document must hold, and nothing may be where it cannot be, or nothing of it is taken. */
export function refuseInconsistent(document: StashDocument): void {
  const { supplies, units, holdings, events } = document;
  const supplyIds = unique(supplies, 'supplies');
  const unitIds = unique(units, 'units');
  const lotIds = unique(holdings, 'lots');
  const eventIds = unique(events, 'events');
  unique(document.records, 'records');
  for (const { name, kind, form } of supplies)
    if (!findForm(kind, form)) refuse(`“${name}” has the unknown form “${form}”`);
  refuseTree(units);
  for (const { supplyId } of holdings)
    if (!supplyIds.has(supplyId)) refuse('a lot is of a supply that is not there');
  for (const event of events) {
    if (!supplyIds.has(event.supplyId)) refuse(`event ${event.id} is about a supply that is not there`);
    if (event.act === 'undo' && !eventIds.has(event.undoes))
      refuse(`event ${event.id} undoes one that is not there`);
    for (const { holdingId } of [...event.postings, ...event.shifts])
      if (!lotIds.has(holdingId)) refuse(`event ${event.id} speaks of a lot that is not there`);
    for (const { from, to } of event.shifts)
      if ((from && !unitIds.has(from.unitId)) || (to && !unitIds.has(to.unitId)))
        refuse(`event ${event.id} moves something to a unit that is not there`);
  }
  refusePlaces(document);
}

/** One room, one hand, and everything else in them. */
function refuseTree(units: StashDocument['units']): void {
  const byId = new Map(units.map((unit) => [unit.id, unit]));
  for (const [id, sort] of [
    [ROOM_ID, 'room'],
    [HAND_ID, 'hand'],
  ] as const)
    if (byId.get(id)?.sort !== sort) refuse(`it has no ${sort}`);
  const labels = new Set<string>();
  for (const unit of units) {
    if ((unit.sort === 'room') !== (unit.id === ROOM_ID) || (unit.sort === 'hand') !== (unit.id === HAND_ID))
      refuse(`unit “${unit.name}” is a second room or hand`);
    if (unit.sort === 'unit' && !unit.model) refuse(`unit “${unit.name}” has no sizes`);
    const path = pathTo(unit, byId);
    if (unit.id !== ROOM_ID && path[0]?.id !== ROOM_ID) refuse(`unit “${unit.name}” stands nowhere`);
    if (path.length > MOST_DEEP) refuse(`unit “${unit.name}” stands in more than ${MOST_DEEP} others`);
    if (unit.sort !== 'unit' || unit.removedAt !== null) continue;
    if (labels.has(unit.label)) refuse(`two units have the letter ${unit.label}`);
    labels.add(unit.label);
  }
}

/** Lots are where their moves say, and may be there. */
function refusePlaces({ supplies, units, holdings, events }: StashDocument): void {
  const broken = brokenShift(events);
  if (broken !== null) refuse(`event ${broken} moves something from where it was not`);
  const spots = foldSpots(events);
  const supplyById = new Map(supplies.map((supply) => [supply.id, supply]));
  const unitById = new Map(units.map((unit) => [unit.id, unit]));
  const taken = new Set<string>();
  for (const lot of holdings) {
    if (!sameSpot(lot.spot, spots.get(lot.id) ?? null)) refuse('a lot is not where its moves say');
    const [supply, unit] = [supplyById.get(lot.supplyId), unitById.get(lot.spot?.unitId ?? '')];
    if (!lot.spot || !supply) continue;
    if (!unit || unit.removedAt !== null || supply.removedAt !== null)
      refuse(`“${supply.name}” is somewhere that is not there`);
    else {
      const here = { ...lot, items: 1, left: 1 };
      // What outgrew its place since it came there may stay.
      if (suits({ supply, lot: here }, { unit, cell: lot.spot.cell }))
        refuse(`“${supply.name}” is where it cannot be, in “${unit.name}”`);
    }
    const key = `${lot.spot.unitId} ${lot.spot.cell} ${lot.spot.cell === null ? lot.id : lot.spot.rank}`;
    if (taken.has(key)) refuse(`two things are in one slot of “${unit?.name ?? ''}”`);
    taken.add(key);
  }
}
