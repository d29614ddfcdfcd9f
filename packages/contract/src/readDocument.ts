import { z } from 'zod';
import { presentDocument, type StashDocument } from './document';
import { oldDocument } from './oldDocument';
import { upgraded } from './upgrade';

const head = z.object({
  format: z.literal('red-shelf', { error: 'This is not a Red Shelf document.' }),
  formatVersion: z.literal([1, 2, 3], { error: 'This document was written by a newer Red Shelf.' }),
});

function readDocument(given: unknown): StashDocument | z.core.$ZodIssue[] {
  const known = head.safeParse(given);
  if (!known.success) return known.error.issues;
  const old = known.data.formatVersion === 3 ? undefined : oldDocument.safeParse(given);
  if (old?.success === false) return old.error.issues;
  const present = presentDocument.safeParse(old ? upgraded(old.data) : given);
  return present.success ? present.data : present.error.issues;
}

/** A document of any version there ever was, as today's. */
export const stashDocument = z.unknown().transform((given, context): StashDocument => {
  const read = readDocument(given);
  if (!Array.isArray(read)) return read;
  for (const { path, message } of read) context.addIssue({ code: 'custom', path, message });
  return z.NEVER;
});
