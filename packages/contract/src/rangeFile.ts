import { z } from 'zod';

/** A range's checklist as read from a file, before it is kept. */
export const rangeReading = z.object({
  name: z.string(),
  entries: z.array(z.object({ name: z.string(), code: z.string(), hex: z.string() })),
  leftOut: z.int(),
});
export type RangeReadingView = z.infer<typeof rangeReading>;
/** Largest range file, in bytes. */
export const MOST_RANGE_BYTES = 2 * 1024 * 1024;
