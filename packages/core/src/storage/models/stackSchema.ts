import { z } from 'zod';
import { part, side } from './side';

/** A flat tray or shallow drawer in which things lie on one another. Inside sizes, µm. */
export const stackSchema = z
  .strictObject({
    model: z.literal('stack'),
    widthUm: side('The width'),
    heightUm: side('The height'),
    depthUm: side('The depth'),
    /** Height that stays free above the pile, for a hand to lift it. */
    fingerUm: part('The finger room').default(0),
  })
  .refine(({ fingerUm, heightUm }) => fingerUm < heightUm, {
    path: ['fingerUm'],
    error: 'The finger room must leave some of the height.',
  });
export type StackModel = z.infer<typeof stackSchema>;
