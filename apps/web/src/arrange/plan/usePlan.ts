import {
  doublesIn,
  HAND_ID,
  inWalkingOrder,
  isNowhere,
  isOnWall,
  isSpotOf,
  sharedRoom,
  stillToDo,
  type Lift,
  type PlaceSpot,
  type StillToDo,
} from '@red-shelf/core';
import { spotsOf, type Place, type PlanBody } from '@red-shelf/contract';
import { useMemo } from 'react';
import type { Living } from '../../api/contents';
import type { Stash } from '../../api/queries';

/** One lift of a plan as it is carried out now. */
export interface Step {
  readonly thing: Living;
  readonly from: PlaceSpot | null;
  /** Null where it is taken out. */
  readonly to: PlaceSpot | null;
  /** What is asked of the server. */
  readonly place: Place | null;
}
export interface Carrying extends Pick<StillToDo<string>, 'done' | 'kept' | 'no'> {
  readonly steps: readonly Step[];
  readonly of: number;
  /** Things whose place is not there any more: they stay where they are. */
  readonly lost: readonly Living[];
}

/** The desk of a plan is the bench. */
const real = (spot: PlaceSpot): PlaceSpot | null =>
  isNowhere(spot) ? null : spot.unitId === 'desk' ? { unitId: HAND_ID, cell: null, rank: 0 } : spot;

/** What of a plan is still to be lifted, from how things stand now, whoever moved what. */
function carryingOf(body: PlanBody, stash: Stash): Carrying {
  const wantedAt = spotsOf(body, 'to');
  const things = new Map<string, Living>();
  for (const supply of stash.all) for (const lot of supply.holdings) things.set(lot.id, { supply, lot });
  const isThere = standingIn(stash);
  const target = new Map([...wantedAt].filter(([, spot]) => spot === null || isThere(spot)));
  const lost = [...wantedAt.keys()].flatMap((id) => (target.has(id) ? [] : (things.get(id) ?? [])));
  const now = new Map([...things].map(([id, { lot }]) => [id, lot.spot]));
  const same = doublesIn(
    [...target].flatMap(([id, spot]) => {
      const thing = (spot?.cell ?? null) === null ? undefined : things.get(id);
      return thing ? [{ ...thing.lot, supplyId: thing.supply.id }] : [];
    }),
  );
  const { lifts, done, kept, no } = stillToDo(now, target, same ? { same } : {});
  const rank = new Map(stash.wall.units.map(({ id }, i) => [id, i]));
  const walked = inWalkingOrder(
    lifts,
    (id) => rank.get(id) ?? rank.size,
    sharedRoom(stash.wall.units, things),
  );
  const wanted = inTheirOrder(target);
  const waiting = new Set(walked.map(({ id }) => id));
  const steps = walked.flatMap((lift): Step[] => {
    const thing = things.get(lift.id);
    if (!thing) return [];
    const to = real(lift.to);
    return [{ thing, from: real(lift.from), to, place: to && placeFor(lift, to, wanted, now, waiting) }];
  });
  return { steps, done, kept, no, lost, of: done + waiting.size };
}

/** Tells whether a spot is there still: its place stands, and has such a cell. */
function standingIn(stash: Stash): (spot: PlaceSpot) => boolean {
  const units = new Map(stash.wall.units.map((unit) => [unit.id, unit]));
  return ({ unitId, cell }) => {
    const unit = units.get(unitId);
    if (!unit?.model) return false;
    return isOnWall(unit) && isSpotOf(unit.model, cell);
  };
}

/** Where a lift goes back to: where things share a place, before the one that came behind it. */
export function placeBack({ thing, from }: Step, stash: Stash): Place | null {
  if (!from) return null;
  const { unitId, cell, rank } = from;
  if (cell !== null || unitId === HAND_ID) return { unitId, cell };
  const behind = stash.all
    .flatMap(({ holdings }) => holdings)
    .filter(({ id, spot }) => id !== thing.lot.id && spot?.unitId === unitId && spot.rank >= rank)
    .sort((p, q) => (p.spot?.rank ?? 0) - (q.spot?.rank ?? 0))[0];
  return { unitId, cell, ...(behind ? { before: behind.id } : {}) };
}

/** Lots each shared place is to hold, in their order. */
function inTheirOrder(target: ReadonlyMap<string, PlaceSpot | null>): ReadonlyMap<string, string[]> {
  const rows = new Map<string, { id: string; rank: number }[]>();
  for (const [id, spot] of target)
    if (spot?.cell === null)
      rows.set(spot.unitId, [...(rows.get(spot.unitId) ?? []), { id, rank: spot.rank }]);
  return new Map(
    [...rows].map(([unitId, row]) => [unitId, row.sort((p, q) => p.rank - q.rank).map(({ id }) => id)]),
  );
}

/** Where things share a place, one is set down before the next of its order that is there. */
function placeFor(
  { id }: Lift<string>,
  { unitId, cell }: PlaceSpot,
  wanted: ReadonlyMap<string, readonly string[]>,
  now: ReadonlyMap<string, PlaceSpot | null>,
  waiting: ReadonlySet<string>,
): Place {
  if (cell !== null || unitId === HAND_ID) return { unitId, cell };
  const row = wanted.get(unitId) ?? [];
  const next = row
    .slice(row.indexOf(id) + 1)
    .find((each) => now.get(each)?.unitId === unitId && !waiting.has(each));
  return { unitId, cell, ...(next === undefined ? {} : { before: next }) };
}

export const useCarrying = (body: PlanBody | undefined, stash: Stash | undefined): Carrying | null =>
  useMemo(() => (body && stash ? carryingOf(body, stash) : null), [body, stash]);
