import { z } from 'zod';
import { presentDocument, type StashDocument } from './document';
import { oldDocument } from './oldDocument';
import { unpacked } from './sittings';
import { upgraded } from './upgrade';

const head = z.object({
  format: z.literal('red-shelf', { error: 'This is not a Red Shelf document.' }),
  formatVersion: z.literal([1, 2, 3, 4], { error: 'This document was written by a newer Red Shelf.' }),
});

/** Up to version 3 a sitting's record held all it had dealt with. */
function withRows(given: object): object {
  const { records } = given as { records?: unknown };
  return { ...given, records: Array.isArray(records) ? records.flatMap(unpackedIfRecord) : records };
}
const unpackedIfRecord = (record: unknown): unknown[] =>
  typeof record === 'object' && record !== null
    ? unpacked(record as Parameters<typeof unpacked>[0])
    : [record];

function readDocument(given: unknown): StashDocument | z.core.$ZodIssue[] {
  const known = head.safeParse(given);
  if (!known.success) return known.error.issues;
  const { formatVersion } = known.data;
  const unpacking = formatVersion < 4 ? withRows(given as object) : given;
  const old = formatVersion < 3 ? oldDocument.safeParse(unpacking) : undefined;
  if (old?.success === false) return old.error.issues;
  const third = formatVersion === 3 ? { ...(unpacking as object), formatVersion: 4 } : unpacking;
  const present = presentDocument.safeParse(old ? upgraded(old.data) : third);
  return present.success ? present.data : present.error.issues;
}

/** A document of any version there ever was, as today's. */
export const stashDocument = z.unknown().transform((given, context): StashDocument => {
  const read = readDocument(given);
  if (!Array.isArray(read)) return read;
  for (const { path, message } of read) context.addIssue({ code: 'custom', path, message });
  return z.NEVER;
});
