import { z } from 'zod';
import { gridSchema } from './gridSchema';
import { looseSchema } from './looseSchema';
import { runSchema } from './runSchema';
import { stackSchema } from './stackSchema';

/** How a unit holds things, and its sizes. */
export const modelSchema = z.discriminatedUnion('model', [gridSchema, runSchema, stackSchema, looseSchema], {
  error: 'A place holds things in cells, side by side, on one another or loose.',
});
