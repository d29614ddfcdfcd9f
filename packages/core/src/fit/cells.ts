import type { Size } from '../kinds/definition';
import { mustMeasure } from './positive';

/** How many cells of an inside size a rack of an outside size can have. */
export interface CellCount {
  readonly rows: number;
  readonly columns: number;
  /** Cells one behind another. */
  readonly layers: number;
  /** What the rack has left along each side, µm: all of it where not one cell goes in. */
  readonly leftUm: Size;
}

/** Cells along one side, with a wall before, between and behind them. */
function along(outsideUm: number, cellUm: number, wallUm: number): readonly [count: number, leftUm: number] {
  const count = Math.max(0, Math.floor((outsideUm - wallUm) / (cellUm + wallUm)));
  return [count, count === 0 ? outsideUm : outsideUm - count * (cellUm + wallUm) - wallUm];
}

/**
 * Rows, columns and layers of equal cells in a rack: `outside` is the rack's own size, `cell` the inside of one cell, both
 * as seen from the front, and every cell has a wall on each side, shared with its neighbour. µm. Throws RangeError for a side that
 * is no length.
 */
export function gridIn(outside: Size, cell: Size, wallUm: number): CellCount {
  mustMeasure('The rack', outside, 'nothing or more');
  mustMeasure('A cell', cell, 'above nothing');
  mustMeasure('A wall', { wallUm }, 'nothing or more');
  const [columns, widthUm] = along(outside.widthUm, cell.widthUm, wallUm);
  const [rows, heightUm] = along(outside.heightUm, cell.heightUm, wallUm);
  const [layers, depthUm] = along(outside.depthUm, cell.depthUm, wallUm);
  return { rows, columns, layers, leftUm: { widthUm, heightUm, depthUm } };
}
