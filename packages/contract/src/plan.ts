import type { PlaceSpot } from '@red-shelf/core';
import { lineOf } from '@red-shelf/core';
import { z } from 'zod';

const at = z
  .tuple([z.int().min(0).max(10_000), z.int().min(0).max(100_000).nullable(), z.int().min(0).max(1e6)])
  .nullable();

/** More is not carried by hand. */
const MOST_MOVES = 20_000;

/**
 * An arrangement that was begun: for each lot where it stood and where it goes, as unit (its place in `units`), cell and rank; null for
 * no place. What is still to do follows from where things stand, so that it can be gone on with anywhere.
 */
export const planBody = z.object({
  sort: z.literal('plan'),
  name: lineOf('The name', 120).min(1, 'The name is missing.'),
  units: z.array(z.string().min(1).max(64)).max(10_000),
  moves: z
    .array(z.tuple([z.string().min(1).max(80), at, at]))
    .min(1, 'There is nothing to move.')
    .max(MOST_MOVES, 'At most 20,000 things in one plan.'),
});
export type PlanBody = z.infer<typeof planBody>;

interface Moved {
  readonly lotId: string;
  readonly from: PlaceSpot | null;
  readonly to: PlaceSpot | null;
}

/** A plan as it is kept. */
export function planOf(name: string, moves: readonly Moved[]): PlanBody {
  const numbers = new Map<string, number>();
  const write = (spot: PlaceSpot | null): z.infer<typeof at> => {
    if (!spot) return null;
    const known = numbers.get(spot.unitId) ?? numbers.size;
    numbers.set(spot.unitId, known);
    return [known, spot.cell, spot.rank];
  };
  const rows = moves.map(({ lotId, from, to }): PlanBody['moves'][number] => [lotId, write(from), write(to)]);
  return { sort: 'plan', name, units: [...numbers.keys()], moves: rows };
}

/** Where a plan wants each lot, or where each stood when it was begun. */
export function spotsOf({ units, moves }: PlanBody, side: 'to' | 'from'): Map<string, PlaceSpot | null> {
  const read = (spot: z.infer<typeof at>): PlaceSpot | null =>
    spot && { unitId: units[spot[0]] ?? '', cell: spot[1], rank: spot[2] };
  return new Map(moves.map(([lotId, from, to]) => [lotId, read(side === 'to' ? to : from)]));
}
