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
    'let go',
    'lot',
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

/** What an undo left as it is, and why. */
export const keptView = z.array(
  z.object({
    what: z.enum(['supply', 'unit', 'record', 'place']),
    name: z.string(),
    why: z.enum(['changed_since', 'taken', 'refused', 'gone', 'letter_taken']),
  }),
);
export type KeptView = z.infer<typeof keptView>;

/** What names a command: made by the client before it is sent. Asked twice, it happens once and answers the same. */
export const commandHead = z.object({
  id: z
    .string()
    .regex(/^[0-9A-Za-z-]{8,64}$/, 'A command’s name is 8 to 64 letters, digits and hyphens.')
    .optional(),
  at: z.iso.datetime('A command’s time is written like 2026-05-31T10:00:00Z.').optional(),
});
