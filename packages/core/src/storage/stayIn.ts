import { cellAt, layersOf } from './models/grid';
import type { Model } from './models/models';
import { isSpotOf } from './models/models';
import { suits, type Lodger } from './mayLive';
import type { Spot } from '../stash/spot';
import type { Unit } from './unit';

type Placed = Lodger & { readonly lot: { readonly spot: Spot | null } };

/**
 * The cell that is in the same row, column and layer when a unit is given another size: with a column more, what stood first in its
 * row stands first in it still. Undefined where there is none such.
 */
export function cellAfter(
  before: Model | null,
  after: Model | null,
  cell: number | null,
): number | null | undefined {
  if (after === null) return undefined;
  if (before?.model === 'grid' && after.model === 'grid' && cell !== null) {
    const { row, column, layer } = cellAt(before, cell);
    const [columns, rows] = [after.columnsUm.length, after.rowsUm.length];
    return row < rows && column < columns && layer < layersOf(after)
      ? (layer * rows + row) * columns + column
      : undefined;
  }
  return isSpotOf(after, cell) ? cell : undefined;
}

/** What becomes of what lives in a unit that is changed: what keeps its row and column, under which cell, and what is lifted. */
export function stayIn<T extends Placed>(
  before: Pick<Unit, 'model'>,
  after: Unit,
  things: readonly T[],
): {
  readonly moved: readonly { readonly thing: T; readonly cell: number | null }[];
  readonly lifted: readonly T[];
} {
  const moved: { thing: T; cell: number | null }[] = [];
  const lifted: T[] = [];
  for (const thing of things) {
    const now = thing.lot.spot?.cell ?? null;
    const cell = cellAfter(before.model, after.model, now);
    if (cell === undefined || suits(thing, { unit: after, cell }) !== null) lifted.push(thing);
    else if (cell !== now) moved.push({ thing, cell });
  }
  return { moved, lifted };
}
