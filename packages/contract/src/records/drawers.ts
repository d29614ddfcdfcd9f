import { KINDS, lineOf, SORT_KEYS } from '@red-shelf/core';
import { z } from 'zod';
import { recipesBody, schemeBody } from '../arrange/scheme';
import { id, named } from '../group';

/** Drawers that were decided on: what each holds, and which unit it is. One plan for a kind, or for one of its forms. */
export const drawersBody = z.object({
  sort: z.literal('drawers'),
  name: named('The name'),
  kind: z.enum(KINDS),
  form: z.string().nullable().default(null),
  /** What the groups are by. */
  key: z.enum(SORT_KEYS),
  drawers: z
    .array(
      z.object({
        unitId: id.nullable().default(null),
        holds: z
          .array(
            z.object({
              group: lineOf('A group', 200),
              startsAt: id.nullable().default(null),
              share: z.number().min(0).max(1).default(0),
            }),
          )
          .max(2000),
      }),
    )
    .min(1, 'There must be at least one drawer.')
    .max(200, 'At most 200 drawers.'),
});

/** An order by name: recipes for its kinds, and how the rainbow stands. */
export const orderBody = z.object({
  sort: z.literal('order'),
  name: named('The name'),
  recipes: recipesBody,
  scheme: schemeBody.omit({ purposes: true, inSight: true }),
});
export type DrawersBody = z.infer<typeof drawersBody>;
export type OrderBody = z.infer<typeof orderBody>;
