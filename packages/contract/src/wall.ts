import { lineOf, modelSchema, UNIT_SORTS, unitFactsSchema, unitRulesSchema } from '@red-shelf/core';
import { z } from 'zod';

const unitName = lineOf('The name', 60).min(1, 'Give the unit a name.');
const label = z
  .string()
  .trim()
  .toUpperCase()
  .regex(/^[A-Z]{1,2}$/, 'The letter is one or two letters from A to Z.');

export const unitView = z.object({
  id: z.string(),
  version: z.int(),
  parentId: z.string().nullable(),
  sort: z.enum(UNIT_SORTS),
  label: z.string(),
  name: z.string(),
  model: modelSchema.nullable(),
  rules: unitRulesSchema,
  facts: unitFactsSchema,
});
export type UnitView = z.infer<typeof unitView>;

/** The room, and the units in it in the person's order. */
export const wallView = z.object({ roomName: z.string(), units: z.array(unitView) });
export type WallView = z.infer<typeof wallView>;

/** What can be said of a unit: any template is only a start. A piece (furniture, a wall board, a cart) holds only units. */
const said = {
  name: unitName,
  model: modelSchema.nullable(),
  rules: unitRulesSchema,
  /** The unit it stands in; the room when left out. */
  parentId: z.string().min(1).max(64).optional(),
};

/** What can be changed of a unit that stands. `after` moves it behind another (null: to the front); left out, it stays. */
export const editedUnit = z.object({
  ...said,
  version: z.int().min(1, 'Say which version you saw.'),
  label: label.optional(),
  facts: unitFactsSchema,
  after: z.string().nullable().optional(),
});
export type EditedUnit = z.infer<typeof editedUnit>;

/** A unit or a piece to put up. Without a letter a unit gets the next free one; a piece has none. */
export const newUnit = z.object({
  ...said,
  sort: z.enum(['piece', 'unit']).default('unit'),
  label: label.optional(),
  /** The template it was started from. */
  template: z.string().max(40).optional(),
  facts: unitFactsSchema.omit({ template: true }).default({}),
});
export type NewUnit = z.input<typeof newUnit>;

/** What had to be lifted out of a unit that no longer takes it. */
export const liftedView = z.array(z.object({ supplyId: z.string(), name: z.string() }));
export type LiftedView = z.infer<typeof liftedView>;
