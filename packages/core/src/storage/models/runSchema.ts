import { z } from 'zod';
import { part, side } from './side';

/**
 * How things share a length: they stand on a shelf or in a gutter, stand on a rail one behind the lip, hang on a rod through their
 * middle, hang on hooks, or stand upright in a file with their edges to be leafed through.
 */
const RUN_WAYS = ['stand', 'rail', 'rod', 'hooks', 'file'] as const;

/** A length that things share: shelf, gutter, rail, rod, hooks, upright file. Inside sizes, µm. */
export const runSchema = z
  .strictObject({
    model: z.literal('run'),
    how: z.enum(RUN_WAYS, { error: 'Things stand, hang on a rod or hooks, or are filed.' }),
    lengthUm: side('The length'),
    heightUm: side('The height'),
    depthUm: side('The depth'),
    /** How much of the lowest part a lip in front hides. */
    lipUm: part('The lip').default(0),
    /** Length that stays free, for a finger to leaf or pull. */
    fingerUm: part('The finger room').default(0),
    /** How thick the rod is; only a rod has it. */
    rodUm: part('The rod').optional(),
  })
  .refine(({ how, rodUm }) => (how === 'rod') === (rodUm !== undefined && rodUm > 0), {
    path: ['rodUm'],
    error: 'Say how thick the rod is; only a rod is asked.',
  })
  .refine(({ lipUm, heightUm }) => lipUm < heightUm, {
    path: ['lipUm'],
    error: 'The lip must be lower than the inside is high.',
  })
  .refine(({ fingerUm, lengthUm }) => fingerUm < lengthUm, {
    path: ['fingerUm'],
    error: 'The finger room must leave some of the length.',
  });
export type RunModel = z.infer<typeof runSchema>;
