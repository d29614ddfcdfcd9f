import { z } from 'zod';
import { gridSchema } from './gridSchema';
import { looseSchema } from './looseSchema';

/** How a unit holds things, and its sizes. */
export const modelSchema = z.discriminatedUnion('model', [gridSchema, looseSchema], {
  error: 'A place holds things in cells or loose.',
});
