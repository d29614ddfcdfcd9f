import { openingPlan } from '../../fit/openingPlan';
import { isOnWall, type Unit } from '../unit';
import { outsideOf } from './front';

/** An empty piece of furniture, and how many of a unit would stand in it. */
export interface MoreOf<U> {
  readonly piece: U;
  readonly count: number;
}

/**
 * Where more of the same could still stand: every measured piece that nothing stands in, with how many of a unit go into it. Empty where
 * the unit was not measured.
 */
export function moreLike<U extends Unit>(unit: Unit, units: readonly U[]): readonly MoreOf<U>[] {
  const size = outsideOf(unit);
  if (!size) return [];
  const taken = new Set(units.filter(isOnWall).map(({ parentId }) => parentId));
  return units.flatMap((piece): MoreOf<U>[] => {
    const gap = piece.facts.outsideUm;
    if (piece.sort !== 'piece' || !gap || taken.has(piece.id)) return [];
    const count = openingPlan([{ size }], gap).take[0] ?? 0;
    return count > 0 ? [{ piece, count }] : [];
  });
}
