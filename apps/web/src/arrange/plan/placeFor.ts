import { HAND_ID, type PlaceSpot } from '@red-shelf/core';
import type { Place } from '@red-shelf/contract';
import type { Stash } from '../../api/queries';
import type { Step } from './step';

/** Lots a place that is shared is to hold by a plan, in their order. */
function orderIn(unitId: string, target: ReadonlyMap<string, PlaceSpot | null>): string[] {
  const row: { id: string; rank: number }[] = [];
  for (const [id, spot] of target)
    if (spot?.unitId === unitId && spot.cell === null) row.push({ id, rank: spot.rank });
  return row.sort((p, q) => p.rank - q.rank).map(({ id }) => id);
}

/** Where a lift is set down: where things share a place, before the next of its order that is there. Null where it is taken out. */
export function placeFor(
  { thing, to }: Pick<Step, 'thing' | 'to'>,
  target: ReadonlyMap<string, PlaceSpot | null>,
  now: ReadonlyMap<string, PlaceSpot | null>,
  waiting: ReadonlySet<string>,
): Place | null {
  if (!to) return null;
  const { unitId, cell } = to;
  if (cell !== null || unitId === HAND_ID) return { unitId, cell };
  const row = orderIn(unitId, target);
  const next = row
    .slice(row.indexOf(thing.lot.id) + 1)
    .find((each) => now.get(each)?.unitId === unitId && !waiting.has(each));
  return { unitId, cell, ...(next === undefined ? {} : { before: next }) };
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
