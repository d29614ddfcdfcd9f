import { ACTS, FAMILIES, factsSchema, FINISHES, KINDS, PARTS, unitFactsSchema } from '@red-shelf/core';
import { z } from 'zod';
import { recordBody } from './records';

/** The whole stash as one open JSON document: importing it gives the identical state. */
const when = z.iso.datetime();
const id = z.string().min(1).max(64);

const documentSupply = z.object({
  id,
  version: z.int().min(1),
  kind: z.enum(KINDS),
  form: z.string(),
  name: z.string().min(1),
  maker: z.string(),
  range: z.string(),
  code: z.string(),
  hex: z.string().regex(/^#[0-9a-f]{6}$/, 'A colour must look like #c23b42.'),
  finish: z.enum(FINISHES),
  familyOverride: z.enum(FAMILIES).nullable(),
  familyReason: z.string(),
  note: z.string(),
  /** Documents of version 1 have neither number nor facts. */
  number: z.int().min(0).default(0),
  facts: factsSchema.default({}),
  createdAt: when,
  updatedAt: when,
  removedAt: when.nullable(),
});
const documentUnit = z.object({
  id,
  version: z.int().min(1),
  position: z.int().min(0),
  letter: z.string().regex(/^[A-Z]{1,2}$/),
  name: z.string().min(1),
  template: z.string(),
  rows: z.int().min(1).max(60),
  columns: z.int().min(1).max(99),
  slotWidthUm: z.int().min(1),
  slotHeightUm: z.int().min(1),
  slotDepthUm: z.int().min(1),
  facts: unitFactsSchema.default({}),
  removedAt: when.nullable(),
});
const documentLedger = z.object({
  id,
  supplyId: id,
  at: when,
  act: z.enum(ACTS),
  amount: z.int().min(0).nullable(),
  items: z.int().min(0).nullable(),
  left: z.int().min(0).nullable(),
  part: z.enum(PARTS).nullable().default(null),
  undoes: id.nullable(),
});
const documentRecord = z.object({
  id,
  version: z.int().min(1),
  body: recordBody,
  createdAt: when,
  updatedAt: when,
  removedAt: when.nullable(),
});
const documentPlacement = z.object({ supplyId: id, unitId: id, slot: z.int().min(0) });

export const stashDocument = z.object({
  format: z.literal('red-shelf', { error: 'This is not a Red Shelf document.' }),
  formatVersion: z.literal([1, 2], { error: 'This document was written by a newer Red Shelf.' }),
  exportedAt: when,
  roomName: z.string().max(80),
  units: z.array(documentUnit),
  supplies: z.array(documentSupply),
  placements: z.array(documentPlacement),
  ledger: z.array(documentLedger),
  records: z.array(documentRecord).default([]),
});
export type StashDocument = z.infer<typeof stashDocument>;
