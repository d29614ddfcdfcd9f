import { z } from 'zod';
import { side } from './side';

/**
 * A drawer, box, bin or bag that holds many things without cells. Its inside is given by three sides, not by a volume
 * alone: a long thing does not go into a small box, however empty it is.
 */
export const looseSchema = z.strictObject({
  model: z.literal('loose'),
  widthUm: side('The width'),
  heightUm: side('The height'),
  depthUm: side('The depth'),
  /** Share of the inside that things may take before it is too full to find anything, in percent. */
  fillPercent: z
    .int('The share must be a whole number.')
    .min(10, 'Less than a tenth is no use.')
    .max(100, 'More than all of it does not go in.'),
});
export type LooseModel = z.infer<typeof looseSchema>;
