import { KINDS, lineOf, VERDICTS } from '@red-shelf/core';
import { z } from 'zod';
import { id, named } from '../group';

/** Work that takes more than one sitting: a pile being entered, a pile being sorted out. */
export const sessionBody = z
  .object({
    sort: z.literal('session'),
    what: z.enum(['pile', 'sort out']),
    name: named('The name'),
    /** The kind gone through; null where a whole zone is. */
    kind: z.enum(KINDS).nullable(),
    form: z.string().nullable(),
    /** The unit gone through, whatever is in it. */
    unitId: id.nullable().default(null),
    /** Answers every thing of the pile shares. */
    shared: z.record(z.string().max(40), lineOf('An answer', 300)).default({}),
    finishedOn: z.iso.date().nullable().default(null),
  })
  .refine(
    ({ what, kind, unitId }) => (what === 'pile' ? kind !== null : (kind === null) !== (unitId === null)),
    {
      error: 'Work in sittings goes through one kind or one rack: say which.',
    },
  );

/** Something a sitting has dealt with: entered, or decided on and how. */
export const dealtWith = z.object({
  supplyId: id,
  verdict: z.enum(VERDICTS).nullable(),
  /** The unit it stood in when it was decided on. */
  unitId: id.nullable().optional(),
  /** Room it took when it was decided on. */
  space: z
    .object({
      alongMm: z.number().min(0).max(1e9),
      litres: z.number().min(0).max(1e9),
      slots: z.int().min(0).max(1e9),
    })
    .optional(),
});

/** One row for each verdict, or for each list of things entered, so that one more writes one row and not the sitting. */
export const doneBody = z.object({
  sort: z.literal('done'),
  sessionId: id,
  entries: z.array(dealtWith).min(1, 'Say what was dealt with.').max(2000, 'At most 2,000 things at once.'),
});
export type SessionBody = z.infer<typeof sessionBody>;
export type DealtWith = z.infer<typeof dealtWith>;
export type DoneBody = z.infer<typeof doneBody>;
