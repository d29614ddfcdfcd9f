import { z } from 'zod';
import type { ModelDefinition } from './definition';

/** How cells follow one another: row by row, column by column, or back and forth. */
export const FILLINGS = ['rows', 'columns', 'snake'] as const;
export const MOST_ROWS = 60;
export const MOST_COLUMNS = 99;
const MOST_UM = 3_000_000;

const side = (what: string) =>
  z
    .int(`${what} must be a measure, such as 35 mm.`)
    .min(1000, `${what} must be at least 1 mm.`)
    .max(MOST_UM, `${what} may be at most 3 m.`);
const thickness = (what: string) =>
  z.int().min(0, `${what} cannot be less than nothing.`).max(300_000, `${what} may be at most 30 cm.`);

/** Rows × columns of cells, each row and column as high and wide as it says. µm. */
export const gridSchema = z.strictObject({
  model: z.literal('grid'),
  columnsUm: z
    .array(side('A column'))
    .min(1, 'At least one column.')
    .max(MOST_COLUMNS, `At most ${MOST_COLUMNS} columns.`),
  rowsUm: z.array(side('A row')).min(1, 'At least one row.').max(MOST_ROWS, `At most ${MOST_ROWS} rows.`),
  depthUm: side('The depth'),
  /** Wall between cells. */
  wallUm: thickness('A wall'),
  /** How much of the lowest part of each row the front hides. */
  frontUm: z.int().min(0, 'A front cannot be less than nothing.').max(MOST_UM),
  filling: z.enum(FILLINGS).default('rows'),
  /** Columns, from 1, that are left out when it is filled. */
  skipColumns: z.array(z.int().min(1).max(MOST_COLUMNS)).max(MOST_COLUMNS).default([]),
});
export type GridModel = z.infer<typeof gridSchema>;

/** A front is drawn this high at most; the rest of it would only be grey. */
const FRONT_SHOWN_UM = 20_000;
const LEAST_SEEN_UM = 10_000;

const seen = ({ frontUm }: GridModel, heightUm: number): number =>
  Math.max(LEAST_SEEN_UM, heightUm - frontUm);
const frontShown = ({ frontUm }: GridModel): number => (frontUm > 0 ? FRONT_SHOWN_UM : 0);

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
const rowsDrawn = (model: GridModel): number[] =>
  model.rowsUm.map((height) => seen(model, height) + frontShown(model));

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
  fill: () => null,
  outside: (model) => ({ w: total(model.columnsUm, model.wallUm), h: total(rowsDrawn(model), model.wallUm) }),
  boxes: (model) => {
    const xs = starts(model.columnsUm, model.wallUm);
    const ys = starts(rowsDrawn(model), model.wallUm);
    return model.rowsUm.flatMap((height, row) =>
      model.columnsUm.map((w, column) => ({
        x: xs[column] ?? 0,
        y: ys[row] ?? 0,
        w,
        h: seen(model, height),
      })),
    );
  },
  fronts: (model) => {
    if (frontShown(model) === 0) return [];
    const ys = starts(rowsDrawn(model), model.wallUm);
    const w = total(model.columnsUm, model.wallUm);
    return model.rowsUm.map((height, row) => ({
      x: 0,
      y: (ys[row] ?? 0) + seen(model, height),
      w,
      h: frontShown(model) + model.wallUm,
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
