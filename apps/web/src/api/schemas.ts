import { askedFor, changeView, foretell, problem, routes } from '@red-shelf/contract';
import { z } from 'zod';

/** A command as the disk has it: the page that did it, and what it will have done. */
export const keptCommand = z.object({
  tab: z.string(),
  command: z.object({
    route: z.string().refine((name) => name in routes),
    of: z.string(),
    body: z.unknown(),
    id: z.string(),
    at: z.string(),
  }),
  change: changeView,
  refusal: z.string().optional(),
});

export { askedFor, foretell, problem, routes };
