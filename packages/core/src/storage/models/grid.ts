import type { ModelDefinition } from './definition';
import type { GridModel } from './gridSchema';

/** A front is drawn this high at most; the rest of it would only be grey. */
const FRONT_SHOWN_UM = 20_000;
const LEAST_SEEN_UM = 10_000;

const seen = ({ frontUm }: GridModel, heightUm: number): number =>
  Math.max(LEAST_SEEN_UM, heightUm - frontUm);
/** How much is drawn of a front: all of it as built, else a strip that says that it is there. */
const frontShown = (model: GridModel, asBuilt: boolean): number =>
  model.frontUm === 0 ? 0 : asBuilt ? model.frontUm : FRONT_SHOWN_UM;

/** Where each of a row of lengths begins, with a wall before every one. */
function starts(lengths: readonly number[], wallUm: number): number[] {
  let at = wallUm;
  return lengths.map((length) => {
    const here = at;
    at += length + wallUm;
    return here;
  });
}
const total = (lengths: readonly number[], wallUm: number): number =>
  lengths.reduce((sum, length) => sum + length + wallUm, wallUm);
const rowsDrawn = (model: GridModel, asBuilt: boolean): number[] =>
  model.rowsUm.map((height) => seen(model, height) + frontShown(model, asBuilt));

/** Row and column of a cell, from 0. */
export const cellAt = ({ columnsUm }: Pick<GridModel, 'columnsUm'>, cell: number) => ({
  row: Math.floor(cell / columnsUm.length),
  column: cell % columnsUm.length,
});

/** Whether two cells stand beside or above one another. */
export function areNeighbours(model: Pick<GridModel, 'columnsUm'>, a: number, b: number): boolean {
  const [p, q] = [cellAt(model, a), cellAt(model, b)];
  return Math.abs(p.row - q.row) + Math.abs(p.column - q.column) === 1;
}

export const grid: ModelDefinition<GridModel> = {
  id: 'grid',
  name: 'Cells',
  shares: false,
  openFront: true,
  cells: ({ columnsUm, rowsUm }) => columnsUm.length * rowsUm.length,
  order: ({ columnsUm, rowsUm, filling, skipColumns }) => {
    const [rows, columns] = [rowsUm.length, columnsUm.length];
    const skipped = new Set(skipColumns.map((column) => column - 1));
    const all = Array.from({ length: rows * columns }, (_, i) => {
      if (filling === 'columns') return (i % rows) * columns + Math.floor(i / rows);
      const row = Math.floor(i / columns);
      return filling === 'snake' && row % 2 === 1 ? row * columns + (columns - 1 - (i % columns)) : i;
    });
    return skipped.size === 0 ? all : all.filter((index) => !skipped.has(index % columns));
  },
  // Unit letter, row from the top, column from the left: `B2·04`.
  address: (label, model, cell) => {
    if (cell === null) return label;
    const { row, column } = cellAt(model, cell);
    return `${label}${row + 1}·${String(column + 1).padStart(2, '0')}`;
  },
  space: (model, cell) => {
    const { row, column } = cellAt(model, cell ?? 0);
    return {
      widthUm: model.columnsUm[column] ?? 0,
      heightUm: model.rowsUm[row] ?? 0,
      depthUm: model.depthUm,
    };
  },
  ways: () => 'as wanted',
  fill: () => null,
  overflows: 'refused',
  // One in a cell: what is there is what one sees, and takes.
  hidden: () => [],
  toReach: () => [],
  outside: (model, asBuilt = false) => ({
    w: total(model.columnsUm, model.wallUm),
    h: total(rowsDrawn(model, asBuilt), model.wallUm),
  }),
  boxes: (model, _contents, asBuilt = false) => {
    const xs = starts(model.columnsUm, model.wallUm);
    const ys = starts(rowsDrawn(model, asBuilt), model.wallUm);
    return model.rowsUm.flatMap((height, row) =>
      model.columnsUm.map((w, column) => ({
        x: xs[column] ?? 0,
        y: ys[row] ?? 0,
        w,
        h: seen(model, height),
      })),
    );
  },
  fronts: (model, asBuilt = false) => {
    if (model.frontUm === 0) return [];
    const ys = starts(rowsDrawn(model, asBuilt), model.wallUm);
    const w = total(model.columnsUm, model.wallUm);
    return model.rowsUm.map((height, row) => ({
      x: 0,
      y: (ys[row] ?? 0) + seen(model, height),
      w,
      h: frontShown(model, asBuilt) + model.wallUm,
    }));
  },
};

/** A grid of equal cells, from how many and how large. µm. */
export const evenGrid = (
  rows: number,
  columns: number,
  cell: { readonly widthUm: number; readonly heightUm: number; readonly depthUm: number },
  { wallUm = 0, frontUm = 0 } = {},
): GridModel => ({
  model: 'grid',
  columnsUm: Array.from({ length: columns }, () => cell.widthUm),
  rowsUm: Array.from({ length: rows }, () => cell.heightUm),
  depthUm: cell.depthUm,
  wallUm,
  frontUm,
  filling: 'rows',
  skipColumns: [],
});
