import { KINDS } from '@red-shelf/core';
import { z } from 'zod';
import { recipesBody, schemeBody } from './scheme';

const unitIds = z.array(z.string().min(1).max(64)).max(500, 'Choose at most 500 places at once.');

export const arrangeRequest = z.object({
  kinds: z.array(z.enum(KINDS)).min(1, 'Choose at least one kind to arrange.'),
  unitIds: unitIds.min(1, 'Choose at least one rack to arrange into.'),
  /** Also bring in supplies of these kinds that live in other racks. */
  fromElsewhere: z.boolean().default(false),
  /** Places that are emptied into those. */
  outOf: unitIds.default([]),
  scheme: schemeBody.optional(),
  /** Recipes by kind, or `kind/form`; what has none stands in rainbow order. */
  recipes: recipesBody.optional(),
  /** How far things may stand from their order inside a group so that fewer are lifted: 0 in order, 1 anywhere in their group. */
  near: z.number().min(0).max(1).default(0),
  /** Groups begin in a row of their own, or in a unit of their own, wherever there is room for that. */
  begin: z.enum(['anywhere', 'line', 'unit']).default('anywhere'),
  /** What stands together whatever its colour: a pad with its refill, the sheets of a collection. */
  together: z
    .array(z.enum(['companions', 'collections']))
    .max(2)
    .default([]),
});
/** A preview that is asked for may be watched under a name of the client's own. */
export const previewRequest = arrangeRequest.extend({ watch: z.string().max(64).optional() });
export type ArrangeRequest = z.input<typeof arrangeRequest>;
export type ArrangeAsked = z.output<typeof arrangeRequest>;

/** One kind of order, tried on the person's own things at several smoothnesses. */
export const stripsRequest = arrangeRequest.pick({ kinds: true, recipes: true }).extend({
  scheme: schemeBody.omit({ smooth: true }).optional(),
});
export type StripsRequest = z.input<typeof stripsRequest>;
