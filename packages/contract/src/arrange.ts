import { STRETCHES, KINDS, lineOf, SORT_KEYS } from '@red-shelf/core';
import { z } from 'zod';

const word = lineOf('A purpose', 80).min(1, 'A purpose needs a name.');
/** Purposes in the person's own order, each with what it also means. */
export const purposesBody = z
  .array(z.object({ name: word, also: z.array(word).max(20, 'At most 20 meanings of one purpose.') }))
  .max(200, 'At most 200 purposes can be put in order.');

const scheme = z.object({
  familyOrder: z.array(z.enum(STRETCHES)).max(STRETCHES.length),
  lightness: z.enum(['light-first', 'dark-first']),
  purposes: purposesBody.optional(),
});

/** Sort recipes by kind, or `kind/form` for the exceptions. */
export const recipesBody = z.record(
  z.string().max(40),
  z.array(z.enum(SORT_KEYS)).max(SORT_KEYS.length, 'A recipe names each key once.'),
);

export const arrangeRequest = z.object({
  kinds: z.array(z.enum(KINDS)).min(1, 'Choose at least one kind to arrange.'),
  unitIds: z.array(z.string()).min(1, 'Choose at least one rack to arrange into.'),
  /** Also bring in supplies of these kinds that live in other racks. */
  fromElsewhere: z.boolean().default(false),
  scheme: scheme.optional(),
  /** Recipes by kind, or `kind/form`; what has none stands in rainbow order. */
  recipes: recipesBody.optional(),
});
export type ArrangeRequest = z.input<typeof arrangeRequest>;

const figures = z.object({
  placed: z.int(),
  emptySlots: z.int(),
  breaks: z.int(),
  meanStep: z.number().nullable(),
});
const side = z.object({
  figures,
  /** Unit id → supply id, or null for an open slot, in reading order. */
  units: z.array(z.object({ unitId: z.string(), slots: z.array(z.string().nullable()) })),
});

export const leftOverReason = z.discriminatedUnion('code', [
  z.object({
    code: z.enum(['too_wide', 'too_high', 'too_deep', 'run_full', 'stack_full', 'bore_too_small']),
    needUm: z.number(),
    haveUm: z.number(),
  }),
  z.object({ code: z.literal('limit_reached'), have: z.number(), of: z.number() }),
  z.object({ code: z.literal('taken'), by: z.string() }),
  z.object({
    code: z.enum([
      'wrong_kind',
      'no_room',
      'off_wall',
      'let_go',
      'no_such_spot',
      'no_hole',
      'kept_for_others',
      'belongs_elsewhere',
    ]),
  }),
]);
export type LeftOverView = z.infer<typeof leftOverReason>;

export const arrangePreview = z.object({
  before: side,
  after: side,
  /** What groups stand together by; null where the kinds follow different recipes. */
  by: z.enum(SORT_KEYS).nullable(),
  /** Open slots that a group will grow into. */
  held: z.array(z.object({ unitId: z.string(), slot: z.int(), group: z.string() })),
  leftOver: z.array(z.object({ supplyId: z.string(), reason: leftOverReason })),
  /** Supplies whose slot changes. */
  moves: z.int(),
  /** Names the state this was computed from; applying says it back. */
  token: z.string(),
});
export type ArrangePreview = z.infer<typeof arrangePreview>;
