import { z } from 'zod';

/** How cells follow one another: row by row, column by column, or back and forth. */
export const FILLINGS = ['rows', 'columns', 'snake'] as const;
export const MOST_ROWS = 60;
export const MOST_COLUMNS = 99;
export const MOST_LAYERS = 6;
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
  /** Spots behind one another, each as deep as it says; one when left out. */
  layers: z
    .int('Spots behind one another are counted in whole numbers.')
    .min(1)
    .max(MOST_LAYERS, `At most ${MOST_LAYERS} spots stand behind one another.`)
    .optional(),
  filling: z.enum(FILLINGS).default('rows'),
  /** Columns, from 1, that are left out when it is filled. */
  skipColumns: z.array(z.int().min(1).max(MOST_COLUMNS)).max(MOST_COLUMNS).default([]),
});
export type GridModel = z.infer<typeof gridSchema>;
