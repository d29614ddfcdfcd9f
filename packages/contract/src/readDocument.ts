import { z } from 'zod';
import { DOCUMENT_LISTS, DOCUMENT_VERSION, documentHead, type StashDocument } from './document';
import { projectsOf, withoutReservations } from './reservations';
import { OLD_LISTS, oldHead, type OldDocument } from './oldDocument';
import { unpacked } from './sittings';
import { upgraded } from './upgrade';

type Issue = z.core.$ZodIssue;

const head = z.object({
  format: z.literal('red-shelf', { error: 'This is not a Red Shelf document.' }),
  formatVersion: z.literal([1, 2, 3, 4, 5, DOCUMENT_VERSION], {
    error: 'This document was written by a newer Red Shelf.',
  }),
});

/** Nobody reads more of them, and a document can have millions. */
const MOST_ISSUES = 100;

const issue = (path: (string | number)[], message: string): Issue => ({
  code: 'custom',
  path,
  message,
  input: undefined,
});

/** Reads a list in place, one thing after another, until there is too much wrong with it. */
function readList(list: unknown[], of: z.ZodType, path: string, issues: Issue[]): void {
  for (let i = 0; i < list.length && issues.length < MOST_ISSUES; i++) {
    const read = of.safeParse(list[i]);
    if (read.success) list[i] = read.data;
    else for (const each of read.error.issues) issues.push({ ...each, path: [path, i, ...each.path] });
  }
}

interface Lists {
  readonly head: z.ZodObject;
  readonly lists: Readonly<Record<string, { readonly of: z.ZodType; readonly most: number }>>;
}
const PRESENT: Lists = { head: documentHead, lists: DOCUMENT_LISTS };
const MOST_OLD = 1_000_000;
const OLD: Lists = {
  head: oldHead,
  lists: Object.fromEntries(Object.entries(OLD_LISTS).map(([name, of]) => [name, { of, most: MOST_OLD }])),
};

/** Head and lists. What was read takes the place of what was given, so that nothing is there twice. */
function readLists(given: Record<string, unknown>, { head: of, lists }: Lists): object | Issue[] {
  const read = of.safeParse(given);
  const issues: Issue[] = read.success ? [] : [...read.error.issues];
  for (const [name, { of: each, most }] of Object.entries(lists)) {
    const list = given[name];
    if (!Array.isArray(list)) issues.push(issue([name], `The document has no list of ${name}.`));
    else if (list.length > most)
      issues.push(issue([name], `The document has ${list.length} ${name}; at most ${most} are read.`));
    else readList(list, each, name, issues);
  }
  if (!read.success || issues.length > 0) return issues.slice(0, MOST_ISSUES);
  return { ...read.data, ...Object.fromEntries(Object.keys(lists).map((name) => [name, given[name]])) };
}

/** Up to version 3 a sitting's record held all it had dealt with. */
const unpackedIfRecord = (record: unknown): unknown[] =>
  typeof record === 'object' && record !== null
    ? unpacked(record as Parameters<typeof unpacked>[0])
    : [record];

/** Up to version 5 what was put aside stood in the facts of each supply, for a project by its name. */
function unpackReservations(document: Record<string, unknown>): void {
  if (!Array.isArray(document.supplies) || !Array.isArray(document.records)) return;
  const owners = document.supplies.filter(
    (each): each is { id: string; facts: unknown } =>
      typeof (each as { id?: unknown } | null)?.id === 'string',
  );
  const at = typeof document.exportedAt === 'string' ? document.exportedAt : '';
  document.records = [...(document.records as unknown[]), ...projectsOf(owners, at)];
  document.supplies = document.supplies.map((each: unknown) =>
    typeof each === 'object' && each !== null && 'facts' in each
      ? { ...each, facts: withoutReservations(each.facts) }
      : each,
  );
}

/**
 * A document of any version there ever was, as today's, or the first hundred things that are wrong with it.
 * The lists of what is given are used up.
 */
function readDocument(given: unknown): StashDocument | Issue[] {
  const known = head.safeParse(given);
  if (!known.success) return known.error.issues;
  const { formatVersion } = known.data;
  const document = { ...(given as Record<string, unknown>) };
  if (formatVersion < 4 && Array.isArray(document.records))
    document.records = document.records.flatMap(unpackedIfRecord);
  // Documents of the first version know no records.
  if (formatVersion < 3) document.records ??= [];
  if (formatVersion < 6) unpackReservations(document);
  if (formatVersion >= 3) document.formatVersion = DOCUMENT_VERSION;
  const old = formatVersion < 3 ? readLists(document, OLD) : null;
  if (Array.isArray(old)) return old as Issue[];
  const present = old ? { ...upgraded(old as OldDocument) } : document;
  return readLists(present, PRESENT) as StashDocument | Issue[];
}

/** The same as a schema. */
export const stashDocument = z.unknown().transform((given, context): StashDocument => {
  const read = readDocument(given);
  if (!Array.isArray(read)) return read;
  for (const { path, message } of read) context.addIssue({ code: 'custom', path, message });
  return z.NEVER;
});
