import { z } from 'zod';

/** What was done, for the message that offers to undo it. */
export const changeView = z.object({
  id: z.string(),
  kind: z.enum(['add', 'edit', 'remove', 'act', 'place', 'arrange', 'import', 'restore', 'unit', 'undo']),
  /** The name of the thing changed, when it is one thing. */
  name: z.string(),
  /** How many things were changed. */
  count: z.int(),
});
export type ChangeView = z.infer<typeof changeView>;
