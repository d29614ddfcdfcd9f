import { KINDS, UNIT_TEMPLATES, unitFactsSchema } from '@red-shelf/core';
import { z } from 'zod';

const mm = (label: string) =>
  z.number().min(1, `${label} must be at least 1 mm.`).max(3000, `${label} may be at most 3 m.`);
const slotSize = z.object({
  widthMm: mm('Slot width'),
  heightMm: mm('Slot height'),
  depthMm: mm('Slot depth'),
});

const ENDS = ['bar', 'round', 'cap', 'edge', 'ring', 'pocket'] as const;

export const unitView = z.object({
  id: z.string(),
  version: z.int(),
  letter: z.string(),
  name: z.string(),
  template: z.string(),
  rows: z.int(),
  columns: z.int(),
  slot: slotSize,
  wallMm: z.number(),
  frontMm: z.number(),
  holds: z.array(z.enum(KINDS)),
  end: z.enum(ENDS),
  /** Standing, reach, limit, order of filling, labels. */
  facts: unitFactsSchema,
});
export type UnitView = z.infer<typeof unitView>;

export const wallView = z.object({ roomName: z.string(), units: z.array(unitView) });
export type WallView = z.infer<typeof wallView>;

const unitName = z
  .string()
  .trim()
  .min(1, 'Give the unit a name.')
  .max(60, 'The name may have at most 60 characters.');

/** What can be changed of a unit that stands. `after` moves it behind another (null: to the front); left out, it stays. */
export const editedUnit = z.object({
  version: z.int().min(1, 'Say which version you saw.'),
  name: unitName,
  facts: unitFactsSchema,
  after: z.string().nullable().optional(),
});
export type EditedUnit = z.infer<typeof editedUnit>;

/** A unit to put up. Sizes not given come from the template. */
export const newUnit = z.object({
  template: z
    .string()
    .refine((id) => UNIT_TEMPLATES.some((t) => t.id === id), 'Choose a kind of unit from the list.'),
  name: unitName,
  rows: z
    .number({ error: 'Rows must be a number.' })
    .int('Rows must be a whole number.')
    .min(1, 'At least one row.')
    .max(60, 'At most 60 rows.'),
  columns: z
    .number({ error: 'Columns must be a number.' })
    .int('Columns must be a whole number.')
    .min(1, 'At least one column.')
    .max(99, 'At most 99 columns.'),
  slot: slotSize.optional(),
});
export type NewUnit = z.infer<typeof newUnit>;
