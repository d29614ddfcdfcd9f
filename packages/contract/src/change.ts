import { z } from 'zod';

/** What was done, for the message that offers to undo it. */
export const changeView = z.object({
  id: z.string(),
  kind: z.enum([
    'add',
    'edit',
    'remove',
    'act',
    'place',
    'arrange',
    'import',
    'restore',
    'unit',
    'undo',
    'batch',
    'merge',
    'pack',
    'record',
    'verdict',
  ]),
  /** The name of the thing changed, when it is one thing. */
  name: z.string(),
  /** How many things were changed. */
  count: z.int(),
});
export type ChangeView = z.infer<typeof changeView>;

/** A line of the journal. */
export const journalLine = changeView.extend({ at: z.string(), undone: z.boolean() });
export type JournalLine = z.infer<typeof journalLine>;
