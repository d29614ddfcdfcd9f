import { FAMILY_GROUPS, KINDS } from '@red-shelf/core';
import { z } from 'zod';

/** What came in and went out, and what is left is worth. */
export const figuresView = z.object({
  /** The last twelve months, kind by kind, in the unit of the kind. */
  months: z.array(z.object({ month: z.string(), kind: z.enum(KINDS), bought: z.number(), used: z.number() })),
  /** How fast each kind, and each family in it, is used (in a day), and when all that is left of it is used up. */
  rates: z.array(
    z.object({
      ...{ kind: z.enum(KINDS), group: z.enum(FAMILY_GROUPS).nullable() },
      ...{ perDay: z.number(), left: z.number() },
      runsOut: z.object({ median: z.string(), low: z.string(), high: z.string() }).nullable(),
    }),
  ),
  /** What is left of each supply whose price is known, in minor units. */
  worth: z.array(z.object({ supplyId: z.string(), minor: z.int(), currency: z.string() })),
});
export type FiguresView = z.infer<typeof figuresView>;
