import {
  bodyOf,
  doublesIn,
  HAND_ID,
  holdsOf,
  inWalkingOrder,
  isNowhere,
  stillToDo,
  type Lift,
  type PlaceSpot,
  type SharedRoom,
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
}

/** The desk of a plan is the bench. */
const real = (spot: PlaceSpot): PlaceSpot | null =>
  isNowhere(spot) ? null : spot.unitId === 'desk' ? { unitId: HAND_ID, cell: null, rank: 0 } : spot;

/** What of a plan is still to be lifted, from how things stand now, whoever moved what. */
function carryingOf(body: PlanBody, stash: Stash): Carrying {
  const target = spotsOf(body, 'to');
  const things = new Map<string, Living>();
  for (const supply of stash.all) for (const lot of supply.holdings) things.set(lot.id, { supply, lot });
  const now = new Map([...things].map(([id, { lot }]) => [id, lot.spot]));
  const same = doublesIn(
    [...target].flatMap(([id, spot]) => {
      const thing = (spot?.cell ?? null) === null ? undefined : things.get(id);
      return thing ? [{ ...thing.lot, supplyId: thing.supply.id }] : [];
    }),
  );
  const { lifts, done, kept, no } = stillToDo(now, target, same ? { same } : {});
  const rank = new Map(stash.wall.units.map(({ id }, i) => [id, i]));
  const walked = inWalkingOrder(lifts, (id) => rank.get(id) ?? rank.size, sharedIn(stash, things));
  const wanted = inTheirOrder(target);
  const waiting = new Set(walked.map(({ id }) => id));
  const steps = walked.flatMap((lift): Step[] => {
    const thing = things.get(lift.id);
    if (!thing) return [];
    const to = real(lift.to);
    return [{ thing, from: real(lift.from), to, place: to && placeFor(lift, to, wanted, now, waiting) }];
  });
  return { steps, done, kept, no, of: done + waiting.size };
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

/** How much is free where things share a length, a height or a volume. */
function sharedIn(stash: Stash, things: ReadonlyMap<string, Living>): SharedRoom<string> {
  const models = new Map(
    stash.wall.units.flatMap(({ id, model }) =>
      model && holdsOf(model).shares && holdsOf(model).overflows !== 'too full'
        ? [[id, holdsOf(model)] as const]
        : [],
    ),
  );
  return {
    sizeIn: (lotId, unitId) => {
      const thing = things.get(lotId);
      return (thing && models.get(unitId)?.fill([bodyOf(thing.supply, thing.lot).all])?.have) ?? 0;
    },
    freeIn: (unitId) => {
      const holds = models.get(unitId);
      if (!holds) return null;
      const there = [...things.values()].filter(({ lot }) => lot.spot?.unitId === unitId);
      const full = holds.fill(there.map(({ supply, lot }) => bodyOf(supply, lot).all));
      return full && full.of - full.have;
    },
  };
}

export const useCarrying = (body: PlanBody | undefined, stash: Stash | undefined): Carrying | null =>
  useMemo(() => (body && stash ? carryingOf(body, stash) : null), [body, stash]);
