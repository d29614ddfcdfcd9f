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
import { flatSize, happening, spot } from './supply';

/** The whole stash as one open JSON document: importing it gives the identical state. */
const when = z.iso.datetime();
/** Ids of lots that came from an older document are longer than a supply's own. */
/** What an older app let in is cleaned on its way. */
const line = z.string().overwrite(cleanLine);
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
  note: z.string().overwrite(cleanText),
  facts: factsSchema,
} satisfies Record<SupplyField, z.ZodType>;
const documentSupply = z.object({
  id,
  version: z.int().min(1),
  ...saidSupply,
  number: z.int().min(0),
  createdAt: when,
  updatedAt: when,
  removedAt: when.nullable(),
});
const documentUnit = z.object({
  id,
  version: z.int().min(1),
  parentId: id.nullable(),
  sort: z.enum(UNIT_SORTS),
  position: z.int().min(0),
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
  version: z.int().min(1),
  supplyId: id,
  as: z.enum(LOTS),
  sizeUm: flatSize.nullable(),
  spot: spot.nullable(),
});
const amount = z.int().min(-1e12).max(1e12);
const documentEvent = z.intersection(
  happening,
  z.object({
    id,
    supplyId: id,
    at: when,
    recordedAt: when,
    postings: z.array(
      z.object({ holdingId: id, items: amount, left: amount, how: z.enum(['by', 'to', 'full']) }),
    ),
    shifts: z.array(z.object({ holdingId: id, from: spot.nullable(), to: spot.nullable() })),
  }),
);
const documentRecord = z.object({
  /** Rows that an older app kept inside a sitting are named after it and the thing. */
  id: z.string().min(1).max(170),
  version: z.int().min(1),
  body: recordBody,
  createdAt: when,
  updatedAt: when,
  removedAt: when.nullable(),
});

export const presentDocument = z.object({
  format: z.literal('red-shelf', { error: 'This is not a Red Shelf document.' }),
  formatVersion: z.literal(4),
  exportedAt: when,
  units: z.array(documentUnit),
  supplies: z.array(documentSupply),
  holdings: z.array(documentHolding),
  events: z.array(documentEvent),
  records: z.array(documentRecord),
});
export type StashDocument = z.infer<typeof presentDocument>;
