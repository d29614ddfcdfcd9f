import {
  FAMILIES,
  FINISHES,
  GRADES,
  lineOf,
  MOST_CHARACTERS,
  STATUSES,
  VERDICTS,
  type SaidSupply,
} from '@red-shelf/core';
import { z } from 'zod';
import { groupBody } from './group';
import { newSupply } from './supply';

const seen = z.object({ id: z.string(), version: z.int().min(1) });
export const MOST_AT_ONCE = 2000;
const tags = z.array(lineOf('A tag', 40).min(1)).max(30);

/** What a batch edit sets; what is left out stays as it is. */
export const batchSet = z
  .object({
    maker: lineOf('The maker', MOST_CHARACTERS.maker),
    range: lineOf('The range', MOST_CHARACTERS.range),
    finish: z.enum(FINISHES),
    familyOverride: z.enum(FAMILIES).nullable(),
    familyReason: lineOf('The reason', MOST_CHARACTERS.familyReason),
    status: z.enum(STATUSES),
    decideOn: z.iso.date('A date is written like 2026-05-31.'),
    grade: z.enum(GRADES),
    collection: z.boolean(),
    /** Arranging leaves them where they are. */
    stays: z.boolean(),
    source: lineOf('Where it came from', 120),
    acquiredOn: z.iso.date('A date is written like 2026-05-31.'),
    addTags: tags,
    dropTags: tags,
    /** Takes all of them out of their slots. */
    lift: z.boolean(),
  })
  .partial() satisfies z.ZodType<
  Partial<Pick<SaidSupply, 'maker' | 'range' | 'finish' | 'familyOverride' | 'familyReason'>>
>;
export type BatchSet = z.infer<typeof batchSet>;

export const batchEdit = z.object({
  supplies: z
    .array(seen)
    .min(1, 'Choose at least one.')
    .max(MOST_AT_ONCE, `At most ${MOST_AT_ONCE} at once.`),
  set: batchSet.optional(),
  remove: z.boolean().optional(),
});

/** Many supplies at once, all or none: a pasted list, a ticked checklist, the lots of a pack. */
export const addMany = z.object({
  supplies: z
    .array(newSupply)
    .min(1, 'There is nothing to add.')
    .max(MOST_AT_ONCE, `At most ${MOST_AT_ONCE} at once.`),
  /** The pack they were bought in; members are filled in. */
  pack: groupBody.optional(),
});

/** Two records that are one thing: `keep` stays, `other` goes into it. */
export const merge = z.object({ keep: seen, other: seen });

export const verdictBody = z.object({
  version: z.int().min(1),
  verdict: z.enum(VERDICTS),
  sessionId: z.string().optional(),
});
