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

type Sides = Pick<GridModel, 'columnsUm' | 'rowsUm'>;
const frontCells = ({ columnsUm, rowsUm }: Sides): number => columnsUm.length * rowsUm.length;
/** How many spots stand behind one another. */
export const layersOf = ({ layers = 1 }: Pick<GridModel, 'layers'>): number => layers;

/** Row and column of a cell, and how many stand before it; all from 0. Those in front are counted first. */
export function cellAt(model: Sides, cell: number): { row: number; column: number; layer: number } {
  const front = frontCells(model);
  const columns = model.columnsUm.length;
  return {
    row: Math.floor((cell % front) / columns),
    column: cell % columns,
    layer: Math.floor(cell / front),
  };
}

/** Whether two cells stand beside, above or behind one another. */
export function areNeighbours(model: Sides, a: number, b: number): boolean {
  const [p, q] = [cellAt(model, a), cellAt(model, b)];
  return Math.abs(p.row - q.row) + Math.abs(p.column - q.column) + Math.abs(p.layer - q.layer) === 1;
}

/** Cells that stand before one, the nearest to it first: what is in them is moved before it can be taken. */
export function cellsBefore(model: Sides, cell: number): readonly number[] {
  const front = frontCells(model);
  const before: number[] = [];
  for (let at = cell - front; at >= 0; at -= front) before.push(at);
  return before;
}

/** How much of the height of a cell each spot behind the front one is drawn with, above it. */
const BEHIND_SHARE = 0.22;

export const grid: ModelDefinition<GridModel> = {
  id: 'grid',
  name: 'Cells',
  shares: false,
  openFront: true,
  cells: (model) => frontCells(model) * layersOf(model),
  order: (model) => {
    const { columnsUm, rowsUm, filling, skipColumns } = model;
    const [rows, columns] = [rowsUm.length, columnsUm.length];
    const skipped = new Set(skipColumns.map((column) => column - 1));
    const all = Array.from({ length: rows * columns }, (_, i) => {
      if (filling === 'columns') return (i % rows) * columns + Math.floor(i / rows);
      const row = Math.floor(i / columns);
      return filling === 'snake' && row % 2 === 1 ? row * columns + (columns - 1 - (i % columns)) : i;
    });
    const fronts = skipped.size === 0 ? all : all.filter((index) => !skipped.has(index % columns));
    // What stands behind follows what stands before it, so that neighbours in the order are neighbours there too.
    const layers = Array.from({ length: layersOf(model) }, (_, layer) => layer * rows * columns);
    return layers.length === 1 ? fronts : fronts.flatMap((cell) => layers.map((first) => first + cell));
  },
  // Unit letter, row from the top, column from the left: `B2·04`; behind that, its turn from the front: `B2·04·2`.
  address: (label, model, cell) => {
    if (cell === null) return label;
    const { row, column, layer } = cellAt(model, cell);
    return `${label}${row + 1}·${String(column + 1).padStart(2, '0')}${layer > 0 ? `·${layer + 1}` : ''}`;
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
    const layers = layersOf(model);
    return Array.from({ length: layers }, (_, layer) =>
      model.rowsUm.flatMap((height, row) =>
        model.columnsUm.map((w, column) => {
          const h = seen(model, height);
          // What stands behind is drawn above what stands before it, as one sees it over that.
          const strip = Math.round(h * Math.min(BEHIND_SHARE, 0.6 / layers));
          const above = strip * (layers - 1 - layer);
          return {
            x: xs[column] ?? 0,
            y: (ys[row] ?? 0) + above,
            w,
            h: layer === 0 ? h - above : strip,
          };
        }),
      ),
    ).flat();
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
