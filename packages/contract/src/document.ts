import {
  FAMILIES,
  factsSchema,
  FINISHES,
  KINDS,
  LOTS,
  modelSchema,
  UNIT_SORTS,
  unitFactsSchema,
  unitRulesSchema,
  type SupplyField,
  cleanLine,
  cleanText,
} from '@red-shelf/core';
import { z } from 'zod';
import { recordBody } from './records';
import { flatSize, happening, spot, versionNumber } from './supply';

/** The whole stash as one open JSON document: importing it gives the identical state. */
const when = z.iso.datetime();
/** Ids of lots that came from an older document are longer than a supply's own. */
/** What an older app let in is cleaned on its way. */
const MOST_TEXT = 20_000;
const TOO_LONG = 'A text is longer than anything a stash holds.';
const line = z.string().max(MOST_TEXT, TOO_LONG).overwrite(cleanLine);
const id = z.string().min(1).max(80);

const saidSupply = {
  kind: z.enum(KINDS),
  form: z.string(),
  name: line.min(1),
  maker: line,
  range: line,
  code: line,
  hex: z.string().regex(/^#[0-9a-f]{6}$/, 'A colour must look like #c23b42.'),
  finish: z.enum(FINISHES),
  familyOverride: z.enum(FAMILIES).nullable(),
  familyReason: line,
  note: z.string().max(MOST_TEXT, TOO_LONG).overwrite(cleanText),
  facts: factsSchema,
} satisfies Record<SupplyField, z.ZodType>;
const documentSupply = z.object({
  id,
  version: versionNumber,
  ...saidSupply,
  number: z.int().min(0).max(1e9),
  createdAt: when,
  updatedAt: when,
  removedAt: when.nullable(),
});
const documentUnit = z.object({
  id,
  version: versionNumber,
  parentId: id.nullable(),
  sort: z.enum(UNIT_SORTS),
  position: z.int().min(0).max(1e6),
  label: z.string().regex(/^[A-Z]{0,2}$/),
  name: line.min(1),
  model: modelSchema.nullable(),
  rules: unitRulesSchema,
  facts: unitFactsSchema,
  removedAt: when.nullable(),
});
/** A lot, and where it is; how much there is follows from the events. */
const documentHolding = z.object({
  id,
  version: versionNumber,
  supplyId: id,
  as: z.enum(LOTS),
  sizeUm: flatSize.nullable(),
  spot: spot.nullable(),
});
/** Lots one event speaks of. */
const MOST_MOVED = 1000;
const amount = z.int().min(-1e12).max(1e12);
const documentEvent = z.intersection(
  happening,
  z.object({
    id,
    supplyId: id,
    at: when,
    recordedAt: when,
    postings: z
      .array(z.object({ holdingId: id, items: amount, left: amount, how: z.enum(['by', 'to', 'full']) }))
      .max(MOST_MOVED),
    shifts: z.array(z.object({ holdingId: id, from: spot.nullable(), to: spot.nullable() })).max(MOST_MOVED),
  }),
);
export const documentRecord = z.object({
  /** Rows that an older app kept inside a sitting are named after it and the thing. */
  id: z.string().min(1).max(170),
  version: versionNumber,
  body: recordBody,
  createdAt: when,
  updatedAt: when,
  removedAt: when.nullable(),
});

/** The shape of documents written today: since 6, what is put aside is kept by projects. */
export const DOCUMENT_VERSION = 6;

/** The head of a document, beside its lists. */
export const documentHead = z.object({
  format: z.literal('red-shelf', { error: 'This is not a Red Shelf document.' }),
  formatVersion: z.literal(DOCUMENT_VERSION),
  exportedAt: when,
});

/** What each list of a document holds, and how much at most: more than any stash, little enough to be read. */
export const DOCUMENT_LISTS = {
  units: { of: documentUnit, most: 10_000 },
  supplies: { of: documentSupply, most: 250_000 },
  holdings: { of: documentHolding, most: 1_000_000 },
  events: { of: documentEvent, most: 5_000_000 },
  records: { of: documentRecord, most: 500_000 },
} as const;

/** The whole stash, read piece by piece by `readDocument`. */
export type StashDocument = z.infer<typeof documentHead> & {
  [List in keyof typeof DOCUMENT_LISTS]: z.infer<(typeof DOCUMENT_LISTS)[List]['of']>[];
};
