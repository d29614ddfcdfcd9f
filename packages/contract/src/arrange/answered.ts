import { SORT_KEYS } from '@red-shelf/core';
import { z } from 'zod';

/** How far a preview has come: so many steps of so many. */
export const arrangeProgress = z.object({ done: z.int(), total: z.int() });
export type ArrangeProgress = z.infer<typeof arrangeProgress>;

const figures = z.object({
  placed: z.int(),
  emptySlots: z.int(),
  breaks: z.int(),
  meanStep: z.number().nullable(),
  /** Where racks are filled as pictures: mean ΔE (CIEDE2000) to the neighbours at the right and below; else null. */
  beside: z.number().nullable(),
  /** Share of pairs of a group in one unit that stand as the order wants, 0 to 1; null where there are none. */
  inOrder: z.number().nullable(),
  /** How long one looks for a thing, estimated, seconds; null where there is nothing. */
  lookUp: z.number().nullable(),
});
const side = z.object({
  figures,
  /** Unit id → supply id, or null for an open slot, in reading order; in their order where things share it. */
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

/** The cheapest way to place some that are left over: a unit that stands there, or one more from a template. */
export const remedy = z.object({
  supplyIds: z.array(z.string()),
  unitId: z.string().nullable(),
  template: z.string().nullable(),
  /** How many of them would go in. */
  takes: z.int(),
});
export type Remedy = z.infer<typeof remedy>;

export const arrangePreview = z.object({
  before: side,
  after: side,
  /** What groups stand together by; null where the kinds follow different recipes. */
  by: z.enum(SORT_KEYS).nullable(),
  /** Open slots that a group will grow into. */
  held: z.array(z.object({ unitId: z.string(), slot: z.int(), group: z.string() })),
  leftOver: z.array(z.object({ supplyId: z.string(), reason: leftOverReason })),
  remedies: z.array(remedy),
  /** Groups that go on in another unit. */
  continues: z.array(z.object({ group: z.string(), from: z.string(), to: z.string() })),
  /** When each group and each place will be full, as far as that is in sight; days (ISO), holding in four of five cases. */
  full: z.array(
    z.object({
      what: z.enum(['group', 'unit']),
      id: z.string(),
      open: z.int(),
      when: z.object({ median: z.iso.date(), low: z.iso.date(), high: z.iso.date() }).nullable(),
    }),
  ),
  /** Units that stand empty afterwards and did not before. */
  freed: z.array(z.string()),
  /** Things that are lifted once or more, and single lifts in all; more where two change places by way of the desk. */
  moves: z.int(),
  lifts: z.int(),
  /** In so many goes they are made: what goes the same way is carried over together. */
  goes: z.int(),
  /** How often things of the plan are looked for in a year. */
  looksAYear: z.number(),
  /** This person's own pace: seconds a lift, and from how many lifts it is known; 0 where it is a guess. */
  pace: z.object({ seconds: z.number(), lifts: z.int() }),
  /** The same for other choices of `near`; left out where there is too much to try them all. */
  nearer: z.array(
    z.object({
      ...{ near: z.number(), lifts: z.int() },
      ...{ inOrder: z.number().nullable(), beside: z.number().nullable() },
    }),
  ),
  /** Names the state this was computed from; applying says it back. */
  token: z.string(),
});
export type ArrangePreview = z.infer<typeof arrangePreview>;

export const strips = z.object({
  /** Supply ids; the strips count into it. */
  ids: z.array(z.string()),
  stops: z.array(
    z.object({
      smooth: z.number(),
      row: z.array(z.int()),
      /** Mean CIEDE2000 from one to the next. */
      meanStep: z.number().nullable(),
      /** Share of pairs of a group that stand light to dark, or dark to light. */
      byLightness: z.number().nullable(),
    }),
  ),
});
export type Strips = z.infer<typeof strips>;
