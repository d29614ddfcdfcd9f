import {
  FAMILIES,
  factsSchema,
  FILLINGS,
  FINISHES,
  KINDS,
  OLD_ACTS,
  OLD_PARTS,
  REACHES,
  STANDINGS,
  cleanLine,
  cleanText,
} from '@red-shelf/core';
import { z } from 'zod';
import { documentRecord } from './document';
import { versionNumber } from './supply';

/** Documents of versions 1 and 2: one slot a supply, one supply a slot, one row of stock. They are read, never written. */
const when = z.iso.datetime();
/** What an older app let in is cleaned on its way. */
const line = z.string().overwrite(cleanLine);
const id = z.string().min(1).max(64);
const count = z.int().min(0).max(1e12).nullable();

const oldSupply = z.object({
  id,
  version: versionNumber,
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
  /** Documents of version 1 have neither number nor facts. */
  number: z.int().min(0).max(1e9).default(0),
  facts: factsSchema.default({}),
  createdAt: when,
  updatedAt: when,
  removedAt: when.nullable(),
});

/** What was known of a unit beyond its size, its limit and way of filling included. */
const oldUnitFacts = z.object({
  standing: z.enum(STANDINGS).optional(),
  keptAt: z.string().optional(),
  reach: z.enum(REACHES).optional(),
  filling: z.enum(FILLINGS).optional(),
  skipColumns: z.array(z.int().min(0).max(1000)).max(1000).optional(),
  cap: z.int().min(0).max(1e6).optional(),
  labelled: z.object({ on: z.iso.date(), print: z.string() }).optional(),
});
const um = z.int().min(1).max(10_000_000);
export const oldUnit = z.object({
  id,
  version: versionNumber,
  position: z.int().min(0).max(1e6),
  letter: z.string().regex(/^[A-Z]{1,2}$/),
  name: line.min(1),
  template: z.string(),
  rows: z.int().min(1).max(60),
  columns: z.int().min(1).max(99),
  slotWidthUm: um,
  slotHeightUm: um,
  slotDepthUm: um,
  facts: oldUnitFacts.default({}),
  removedAt: when.nullable(),
});
export type OldUnit = z.infer<typeof oldUnit>;

export const oldHead = z.object({ exportedAt: when, roomName: z.string().max(80) });

/** What each list of an older document holds. */
export const OLD_LISTS = {
  units: oldUnit,
  supplies: oldSupply,
  placements: z.object({ supplyId: id, unitId: id, slot: z.int().min(0).max(100_000) }),
  ledger: z.object({
    id,
    supplyId: id,
    at: when,
    act: z.enum(OLD_ACTS),
    amount: count,
    items: count,
    left: count,
    part: z.enum(OLD_PARTS).nullable().default(null),
    undoes: id.nullable(),
  }),
  records: documentRecord,
} as const;
export type OldDocument = z.infer<typeof oldHead> & {
  [List in keyof typeof OLD_LISTS]: z.infer<(typeof OLD_LISTS)[List]>[];
};
