import {
  doublesIn,
  inWalkingOrder,
  isNowhere,
  sameSpot,
  settledRanks,
  sharedRoom,
  stillToDo,
  type Lift,
  type PlaceSpot,
} from '@red-shelf/core';
import type { Move } from '../recorder';
import { targetOf, type Planned, type Stash } from './plan';

const spotsNow = ({ supplies }: Stash): Map<string, PlaceSpot | null> =>
  new Map(supplies.flatMap(({ holdings }) => holdings.map(({ id, spot }) => [id, spot] as const)));

/** Doubles may stand in for one another in cells of their own. */
const doubles = ({ moving, target }: Planned): { same?: (a: string, b: string) => boolean } => {
  const inCells = moving.filter(({ id }) => (target.spots.get(id)?.cell ?? null) !== null);
  const same = doublesIn(inCells.map(({ lot, supplyId }) => ({ ...lot, supplyId })));
  return same ? { same } : {};
};

/** The single lifts it takes, in walking order. */
export function liftsOf(stash: Stash, planned: Planned): readonly Lift<string>[] {
  const { lifts } = stillToDo(spotsNow(stash), targetOf(planned), doubles(planned));
  const things = new Map(
    stash.supplies.flatMap((supply) => supply.holdings.map((lot) => [lot.id, { supply, lot }] as const)),
  );
  const rank = new Map(planned.units.map(({ id }, i) => [id, i]));
  return inWalkingOrder(lifts, (unitId) => rank.get(unitId) ?? rank.size, sharedRoom(stash.units, things));
}

/** Every lot whose place changes when all of it is done at once; where things share a place, with what is numbered anew. */
export function movesOf(stash: Stash, planned: Planned): Move[] {
  const now = spotsNow(stash);
  const target = targetOf(planned);
  const { lifts } = stillToDo(now, target, doubles(planned));
  const lifted = new Set(lifts.map(({ id }) => id));
  const ends = new Map(lifts.map(({ id, to }) => [id, isNowhere(to) ? null : to]));
  const leaves = (id: string, unitId: string): boolean => lifted.has(id) && ends.get(id)?.unitId !== unitId;
  const moves = new Map<string, PlaceSpot | null>();
  for (const [id, to] of ends) if (to?.cell !== null && !sameSpot(now.get(id) ?? null, to)) moves.set(id, to);
  for (const { unit, slots } of planned.target.units) {
    const wanted = slots.flatMap((slot) => slot?.id ?? []);
    if (!wanted.some((id) => target.get(id)?.cell === null)) continue;
    const there = [...now].flatMap(([id, spot]) =>
      spot?.unitId === unit.id && !leaves(id, unit.id) ? [{ id, rank: spot.rank }] : [],
    );
    const comes = new Set(wanted.filter((id) => lifted.has(id)));
    for (const [id, rank] of settledRanks(there, wanted, comes))
      moves.set(id, { unitId: unit.id, cell: null, rank });
  }
  return [...moves].map(([lotId, to]) => ({ lotId, to }));
}
