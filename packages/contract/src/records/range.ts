import { FINISHES, KINDS, lineOf } from '@red-shelf/core';
import { z } from 'zod';
import { named } from '../group';

/** What exists in a maker's range, for ticking what is owned. */
export const rangeBody = z.object({
  sort: z.literal('range'),
  maker: lineOf('The maker', 80).default(''),
  name: named('The range'),
  kind: z.enum(KINDS),
  form: z.string(),
  finish: z.enum(FINISHES).default('matte'),
  entries: z
    .array(
      z.object({
        name: named('A name'),
        code: lineOf('A code', 40),
        hex: z.string().regex(/^#[0-9a-f]{6}$/),
      }),
    )
    .max(3000, 'At most 3,000 colours in one range.'),
});
export type RangeBody = z.infer<typeof rangeBody>;
