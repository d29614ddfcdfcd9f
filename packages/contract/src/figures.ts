import { KINDS } from '@red-shelf/core';
import { z } from 'zod';

/** What came in and went out, and what is left is worth. */
export const figuresView = z.object({
  /** The last twelve months, kind by kind, in the unit of the kind. */
  months: z.array(z.object({ month: z.string(), kind: z.enum(KINDS), bought: z.number(), used: z.number() })),
  /** What is left of each supply whose price is known, in minor units. */
  worth: z.array(z.object({ supplyId: z.string(), minor: z.int(), currency: z.string() })),
});
export type FiguresView = z.infer<typeof figuresView>;
