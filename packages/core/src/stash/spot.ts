/** Where a lot is: a unit, a cell of it where it has cells, and the order among what shares that. */
export interface Spot {
  readonly unitId: string;
  /** Cell, counted from 0 in reading order; null where a unit has none. */
  readonly cell: number | null;
  /** Order among things that share the unit or the cell, from 0. */
  readonly rank: number;
}

/** Whether two spots are one. */
export const sameSpot = (a: Spot | null, b: Spot | null): boolean =>
  a === b || (a !== null && b !== null && a.unitId === b.unitId && a.cell === b.cell && a.rank === b.rank);
