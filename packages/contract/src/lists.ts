import { KINDS, LIST_FIELDS } from '@red-shelf/core';
import { z } from 'zod';

/** Largest list that is read, in bytes. */
export const MOST_LIST_BYTES = 8 * 1024 * 1024;
/** Largest whole-stash document that is read, in bytes. */
export const MOST_DOCUMENT_BYTES = 256 * 1024 * 1024;
/** Largest backup that is read, its pictures in it. */
export const MOST_BACKUP_BYTES = 8 * 1024 * 1024 * 1024;

/** How far bringing a stash back has come; null where none is. */
export const restoring = z.object({
  progress: z
    .object({ step: z.enum(['reading', 'checking', 'writing', 'photos']), done: z.int(), total: z.int() })
    .nullable(),
});

const mapping = z.partialRecord(z.enum(LIST_FIELDS), z.int().min(0).max(199));

export const uploadView = z.object({
  id: z.string(),
  encoding: z.string(),
  delimiter: z.string(),
  headings: z.array(z.string()),
  sample: z.array(z.array(z.string())),
  rows: z.int(),
  mapping,
});
export type UploadView = z.infer<typeof uploadView>;

export const importChoices = z.object({
  mapping,
  defaults: z.object({ kind: z.enum(KINDS), form: z.string().optional() }),
});
export type ImportChoices = z.infer<typeof importChoices>;

const cellRefusal = z.object({
  field: z.enum(LIST_FIELDS),
  code: z.string(),
  given: z.string(),
  known: z.array(z.string()).optional(),
  most: z.number().optional(),
});
export const rowView = z.object({
  line: z.int(),
  verdict: z.enum(['add', 'change', 'same', 'refuse']),
  name: z.string(),
  hex: z.string().nullable(),
  fields: z.array(z.enum(LIST_FIELDS)),
  refusals: z.array(cellRefusal),
  sameAsLine: z.int().nullable(),
  /** A place it names that is not there: it comes in without one. */
  noSuchPlace: z.string().nullable(),
});
export type RowView = z.infer<typeof rowView>;

export const importPreview = z.object({
  rows: z.array(rowView),
  add: z.int(),
  change: z.int(),
  same: z.int(),
  refuse: z.int(),
  /** Names exactly this outcome; committing says it back. */
  token: z.string(),
});
export type ImportPreview = z.infer<typeof importPreview>;

export const importCommit = importChoices.extend({
  token: z.string(),
  /** Refused rows are left out only when the person says so. */
  leaveOutRefused: z.boolean(),
});
export type ImportCommit = z.infer<typeof importCommit>;

export const importProgress = z.object({
  state: z.enum(['waiting', 'running', 'done', 'failed', 'cancelled']),
  done: z.int(),
  total: z.int(),
  changeId: z.string().nullable(),
  reason: z.string().nullable(),
});
export type ImportProgress = z.infer<typeof importProgress>;
