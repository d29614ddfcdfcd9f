import { HAND_ID, type PlaceSpot } from '@red-shelf/core';
import type { Place } from '@red-shelf/contract';
import type { Stash } from '../../api/queries';
import type { Step } from './step';

type Spots = ReadonlyMap<string, PlaceSpot | null>;

/** Lots a place that is shared is to hold by a plan, in their order. */
function orderIn(unitId: string, target: Spots): string[] {
  const row: { id: string; rank: number }[] = [];
  for (const [id, spot] of target)
    if (spot?.unitId === unitId && spot.cell === null) row.push({ id, rank: spot.rank });
  return row.sort((p, q) => p.rank - q.rank).map(({ id }) => id);
}

/**
 * Where lifts that are made together are set down, one after another: where things share a place, before the next of its order that is
 * there by then. Null where one is taken out. `waiting` is what is still to be lifted.
 */
export function placesFor(
  steps: readonly Pick<Step, 'thing' | 'to'>[],
  target: Spots,
  now: Spots,
  waiting: ReadonlySet<string>,
): (Place | null)[] {
  const orders = new Map<string, string[]>();
  const made = new Set<string>();
  return steps.map(({ thing: { lot }, to }) => {
    if (!to) return null;
    const { unitId, cell } = to;
    if (cell !== null || unitId === HAND_ID) return { unitId, cell };
    const row = orders.get(unitId) ?? orderIn(unitId, target);
    orders.set(unitId, row);
    const isThere = (id: string): boolean =>
      made.has(id) || (now.get(id)?.unitId === unitId && !waiting.has(id));
    const next = row.slice(row.indexOf(lot.id) + 1).find(isThere);
    made.add(lot.id);
    return { unitId, cell, ...(next === undefined ? {} : { before: next }) };
  });
}

/** The steps of one go in the order they are taken back, the last of a row first, so that the one behind each is there again. */
export const inReturn = (steps: readonly Step[]): Step[] =>
  [...steps].sort((p, q) => (q.from?.rank ?? 0) - (p.from?.rank ?? 0));

/** Where lifts go back to, in the order of `inReturn`: where things share a place, before the one that came behind. */
export function placesBack(steps: readonly Step[], stash: Stash): (Place | null)[] {
  const returning = new Set(steps.map(({ thing }) => thing.lot.id));
  const there = stash.all
    .flatMap(({ holdings }) => holdings)
    .flatMap(({ id, spot }) => (spot && !returning.has(id) ? [{ id, spot }] : []));
  return steps.map(({ thing, from }) => {
    if (!from) return null;
    const { unitId, cell, rank } = from;
    if (cell !== null || unitId === HAND_ID) return { unitId, cell };
    const [behind] = there
      .filter(({ spot }) => spot.unitId === unitId && spot.rank >= rank)
      .sort((p, q) => p.spot.rank - q.spot.rank);
    there.push({ id: thing.lot.id, spot: from });
    return { unitId, cell, ...(behind ? { before: behind.id } : {}) };
  });
}
