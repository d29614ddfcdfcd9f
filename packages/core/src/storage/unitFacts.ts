import { z } from 'zod';
import { slotCount, type GridUnit } from './unit';

/** Where a unit stands in its life. A spare or retired one is off the wall and takes no supplies. */
export const STANDINGS = ['active', 'worn', 'spare', 'retired'] as const;
/** How far it is from the desk; `far` is deep storage, out of sight. */
export const REACHES = ['near', 'mid', 'far'] as const;
/** How its slots follow one another. */
export const FILLINGS = ['rows', 'columns', 'snake'] as const;

const text = (most: number, what: string) =>
  z.string().trim().max(most, `${what} may have at most ${most} characters.`);

/** What is known of a unit beyond its size. Everything is optional and left out when it says nothing. */
export const unitFactsSchema = z.strictObject({
  standing: z.enum(STANDINGS).optional(),
  /** Where a spare or retired one is kept. */
  keptAt: text(120, 'Where it is kept').optional(),
  reach: z.enum(REACHES).optional(),
  filling: z.enum(FILLINGS).optional(),
  /** Columns, from 1, that are left out when it is filled. */
  skipColumns: z.array(z.int().min(1).max(99)).max(99).optional(),
  /** At most so many things; one more and one must leave. */
  cap: z
    .int('A limit must be a whole number.')
    .min(1, 'A limit is at least one thing.')
    .max(10_000, 'A limit is at most 10,000 things.')
    .optional(),
  /** When labels were printed, and what they said (`labelPrint`). */
  labelled: z.object({ on: z.iso.date(), print: z.string().max(64) }).optional(),
});
export type UnitFacts = z.infer<typeof unitFactsSchema>;

/** Whether a unit stands on the wall and takes supplies. */
export const isOnWall = ({ standing = 'active' }: UnitFacts): boolean =>
  standing === 'active' || standing === 'worn';

/**
 * The slots of a unit in the order they are filled, as indices in reading order; skipped columns are left out.
 * `snake` goes right in the first row, left in the next.
 */
export function fillingOrder(
  unit: Pick<GridUnit, 'rows' | 'columns'>,
  { filling = 'rows', skipColumns = [] }: Pick<UnitFacts, 'filling' | 'skipColumns'>,
): number[] {
  const { rows, columns } = unit;
  const skipped = new Set(skipColumns.map((column) => column - 1));
  const all = Array.from({ length: slotCount(unit) }, (_, i) => {
    if (filling === 'columns') return (i % rows) * columns + Math.floor(i / rows);
    const row = Math.floor(i / columns);
    return filling === 'snake' && row % 2 === 1 ? row * columns + (columns - 1 - (i % columns)) : i;
  });
  return all.filter((index) => !skipped.has(index % columns));
}
