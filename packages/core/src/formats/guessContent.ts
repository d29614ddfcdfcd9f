import { parseColour } from '../colour/parse';
import type { ColumnMapping, ListField } from './fields';

/** Rows a column is judged by. */
const JUDGED = 200;
/** From this share of its cells on, a column is what they are. */
const MOSTLY = 0.7;
const HEX = /^#?[0-9a-f]{6}$|^rgb\(/i;
const SMALL_NUMBER = /^\d{1,3}$/;
const CODE = /^(?=.*\d)[\p{L}\d][\p{L}\d./ -]{0,15}$/u;
const LETTERS = /\p{L}{2}/u;

/** What the cells of a column are like, each as a share from 0 to 1. */
interface Column {
  readonly column: number;
  readonly hex: number;
  readonly colour: number;
  readonly small: number;
  readonly code: number;
  readonly words: number;
  readonly distinct: number;
}

function judge(rows: readonly (readonly string[])[], column: number): Column {
  const cells = rows.slice(0, JUDGED).flatMap((row) => row[column]?.trim() || []);
  const share = (test: (cell: string) => boolean): number =>
    cells.length === 0 ? 0 : cells.filter(test).length / cells.length;
  return {
    column,
    hex: share((cell) => HEX.test(cell)),
    colour: share((cell) => parseColour(cell).ok),
    small: share((cell) => SMALL_NUMBER.test(cell)),
    code: share((cell) => CODE.test(cell)),
    words: share((cell) => LETTERS.test(cell)),
    distinct: cells.length === 0 ? 0 : new Set(cells).size / cells.length,
  };
}

/** How well a column answers a field; 0 where it does not. */
const WORTH: Readonly<Partial<Record<ListField, (column: Column) => number>>> = {
  colour: ({ hex, colour }) => (hex >= MOSTLY ? 1 + hex : colour >= MOSTLY ? colour : 0),
  name: ({ words, distinct, hex }) =>
    words >= MOSTLY && distinct >= 0.5 && hex < 0.3 ? words + distinct : 0,
  quantity: ({ small, distinct }) => (small >= MOSTLY && distinct < 0.5 ? small : 0),
  code: ({ code, distinct, hex }) => (code >= MOSTLY && distinct >= 0.9 && hex < 0.3 ? code : 0),
};
/** The surest first, so that it is not taken by another. */
const TURNS = ['colour', 'name', 'quantity', 'code'] as const satisfies readonly ListField[];

/**
 * Fills in what headings left open from what stands under them, in any language: hexes are the colour, words that differ
 * from row to row the name, small numbers that repeat the quantity, marks with digits that do not repeat the code.
 */
export function guessByContent(
  mapping: ColumnMapping,
  headings: readonly string[],
  rows: readonly (readonly string[])[],
): ColumnMapping {
  const taken = new Set(Object.values(mapping));
  const open = headings.flatMap((_, column) => (taken.has(column) ? [] : [judge(rows, column)]));
  const found: Partial<Record<ListField, number>> = { ...mapping };
  for (const field of TURNS) {
    if (found[field] !== undefined) continue;
    const worth = WORTH[field];
    let best: Column | null = null;
    for (const each of open)
      if (!taken.has(each.column) && worth && worth(each) > (best ? worth(best) : 0)) best = each;
    if (!best) continue;
    found[field] = best.column;
    taken.add(best.column);
  }
  return found;
}
