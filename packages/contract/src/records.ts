import {
  CARE_IDS,
  STRETCHES,
  FINISHES,
  HEMISPHERES,
  KINDS,
  KIT_TOOLS,
  lineOf,
  NEEDED_AS,
  SORT_KEYS,
  VERDICTS,
} from '@red-shelf/core';
import { z } from 'zod';
import { purposesBody, recipesBody, schemeBody, smoothness } from './arrange';
import { GAP_QUESTIONS } from './gaps';
import { groupBody, id, named, price } from './group';
import { planBody } from './plan';

/** What exists in a maker's range, for ticking what is owned. */
export const rangeBody = z.object({
  sort: z.literal('range'),
  maker: lineOf('The maker', 80).default(''),
  name: named('The range'),
  kind: z.enum(KINDS),
  form: z.string(),
  finish: z.enum(FINISHES).default('matte'),
  entries: z
    .array(
      z.object({
        name: named('A name'),
        code: lineOf('A code', 40),
        hex: z.string().regex(/^#[0-9a-f]{6}$/),
      }),
    )
    .max(3000, 'At most 3,000 colours in one range.'),
});

/** Work that takes more than one sitting: a pile being entered, a pile being sorted out. */
export const sessionBody = z
  .object({
    sort: z.literal('session'),
    what: z.enum(['pile', 'sort out']),
    name: named('The name'),
    /** The kind gone through; null where a whole zone is. */
    kind: z.enum(KINDS).nullable(),
    form: z.string().nullable(),
    /** The unit gone through, whatever is in it. */
    unitId: id.nullable().default(null),
    /** Answers every thing of the pile shares. */
    shared: z.record(z.string().max(40), lineOf('An answer', 300)).default({}),
    finishedOn: z.iso.date().nullable().default(null),
  })
  .refine(
    ({ what, kind, unitId }) => (what === 'pile' ? kind !== null : (kind === null) !== (unitId === null)),
    {
      error: 'Work in sittings goes through one kind or one rack: say which.',
    },
  );

/** Something a sitting has dealt with: entered, or decided on and how. */
export const dealtWith = z.object({
  supplyId: id,
  verdict: z.enum(VERDICTS).nullable(),
  /** The unit it stood in when it was decided on. */
  unitId: id.nullable().optional(),
  /** Room it took when it was decided on. */
  space: z
    .object({
      alongMm: z.number().min(0).max(1e9),
      litres: z.number().min(0).max(1e9),
      slots: z.int().min(0).max(1e9),
    })
    .optional(),
});
export type DealtWith = z.infer<typeof dealtWith>;

/** One row for each verdict, or for each list of things entered, so that one more writes one row and not the sitting. */
export const doneBody = z.object({
  sort: z.literal('done'),
  sessionId: id,
  entries: z.array(dealtWith).min(1, 'Say what was dealt with.').max(2000, 'At most 2,000 things at once.'),
});

/** Something storage still lacks, that a discarded thing might serve as. Sizes in µm; 0 where any will do. */
export const needBody = z.object({
  sort: z.literal('need'),
  what: z.enum(NEEDED_AS),
  where: named('What it is for'),
  widthUm: z.int().min(0).max(10_000_000).default(0),
  heightUm: z.int().min(0).max(10_000_000).default(0),
  count: z
    .int('How many must be a whole number.')
    .min(0, 'How many cannot be less than none.')
    .max(1000, 'At most 1,000 of one thing.'),
});

/** "Use only this box": from a day until another, only what lives in one unit. */
export const challengeBody = z.object({
  sort: z.literal('challenge'),
  unitId: id,
  unitName: lineOf('The name', 60),
  from: z.iso.date(),
  until: z.iso.date(),
});

/** Drawers that were decided on: what each holds, and which unit it is. One plan for a kind, or for one of its forms. */
export const drawersBody = z.object({
  sort: z.literal('drawers'),
  name: named('The name'),
  kind: z.enum(KINDS),
  form: z.string().nullable().default(null),
  /** What the groups are by. */
  key: z.enum(SORT_KEYS),
  drawers: z
    .array(
      z.object({
        unitId: id.nullable().default(null),
        holds: z
          .array(
            z.object({
              group: lineOf('A group', 200),
              startsAt: id.nullable().default(null),
              share: z.number().min(0).max(1).default(0),
            }),
          )
          .max(2000),
      }),
    )
    .min(1, 'There must be at least one drawer.')
    .max(200, 'At most 200 drawers.'),
});

/** An order by name: recipes for its kinds, and how the rainbow stands. */
export const orderBody = z.object({
  sort: z.literal('order'),
  name: named('The name'),
  recipes: recipesBody,
  scheme: schemeBody.omit({ purposes: true, inSight: true }),
});

/** Something to buy: how much, and why. `amount` in what one buys by: things, sheets, pieces, µm. */
export const wishBody = z.object({
  sort: z.literal('wish'),
  /** The supply it is one of; null for something that is not owned yet. */
  supplyId: id.nullable(),
  name: named('The name'),
  kind: z.enum(KINDS),
  form: z.string().max(40),
  maker: lineOf('The maker', 80).default(''),
  range: lineOf('The range', 120).default(''),
  code: lineOf('A code', 40).default(''),
  hex: z
    .string()
    .regex(/^#[0-9a-f]{6}$/)
    .nullable(),
  amount: z.int('How much must be a whole number.').min(1, 'Buy at least one.').max(1e12),
  why: lineOf('Why', 200).default(''),
  price,
});

/** A question about something that is not asked for now, or never again. */
export const hushBody = z.object({
  sort: z.literal('hush'),
  question: z.enum(GAP_QUESTIONS),
  /** What it is about: ids or colours, as the question's rows are told apart. */
  about: z.string().min(1).max(300),
  /** Asked again from that day on; null for never. */
  until: z.iso.date().nullable(),
});

export const NUDGES = ['due', 'forgotten', 'caps', 'partners', 'unused', 'seasons', 'misfits'] as const;
export type Nudge = (typeof NUDGES)[number];

/** A limit of a size, µm. */
const upTo = z.int().min(1).max(10_000_000);

export const preferencesBody = z.object({
  sort: z.literal('preferences'),
  familyOrder: z.array(z.enum(STRETCHES)).max(STRETCHES.length),
  lightness: z.enum(['light-first', 'dark-first']),
  smooth: smoothness.default(0),
  units: z.enum(['metric', 'inches']),
  currency: z.string().regex(/^[A-Z]{3}$/, 'A currency is three letters, such as EUR.'),
  /** One in, one out: at most so many of a kind. */
  caps: z
    .partialRecord(
      z.enum(KINDS),
      z
        .int('A limit must be a whole number.')
        .min(1, 'A limit is at least one.')
        .max(100_000, 'A limit is at most 100,000.'),
    )
    .default({}),
  recipes: recipesBody.default({}),
  purposes: purposesBody.default([]),
  hemisphere: z.enum(HEMISPHERES).default('north'),
  /** Things for another time of year are left out of the stash until a month before it. */
  hideOutOfSeason: z.boolean().default(false),
  /** Nudges the person switched off. */
  muted: z.array(z.enum(NUDGES)).default([]),
  /** What is usually warned of and the person does everywhere: said once, and kept. */
  habits: z.array(z.enum(CARE_IDS)).default([]),
  /** The longest cut the trimmer makes, µm. */
  trimmerUm: z.int().min(10_000).max(5_000_000).default(310_000),
  /** What is left of a cut is kept from this shorter side on, µm. */
  keepFromUm: z.int().min(0).max(1_000_000).default(25_000),
  /** Up to which a scrap is small or of card size, and a remnant short or of middle length, µm. */
  scrapLimits: z
    .object({ smallToUm: upTo, cardToUm: upTo, shortToUm: upTo, middleToUm: upTo })
    .refine(({ smallToUm, cardToUm }) => smallToUm <= cardToUm, 'Small ends before card size does.')
    .refine(({ shortToUm, middleToUm }) => shortToUm <= middleToUm, 'Short ends before middle length does.')
    .optional(),
  /** Partners that are bought together, or never, by their sort (`partnerSort`). */
  partnerHabits: z.record(z.string().max(120), z.enum(['together', 'never'])).optional(),
  /** Tools a person has and does not list. */
  tools: z.array(z.enum(KIT_TOOLS)).default([]),
  /** Sizes the person cuts often. */
  ownSizes: z
    .array(
      z.object({
        name: named('The name of a size'),
        widthUm: z.int().min(1).max(2_000_000),
        heightUm: z.int().min(1).max(2_000_000),
      }),
    )
    .max(60, 'At most 60 sizes of one’s own.')
    .default([]),
});
export type Preferences = z.infer<typeof preferencesBody>;

export const recordBody = z.discriminatedUnion('sort', [
  groupBody,
  rangeBody,
  sessionBody,
  doneBody,
  preferencesBody,
  needBody,
  challengeBody,
  drawersBody,
  planBody,
  orderBody,
  wishBody,
  hushBody,
]);
export type RecordBody = z.infer<typeof recordBody>;
export type GroupBody = z.infer<typeof groupBody>;
export type NeedBody = z.infer<typeof needBody>;
export type ChallengeBody = z.infer<typeof challengeBody>;
export type DrawersBody = z.infer<typeof drawersBody>;
export type WishBody = z.infer<typeof wishBody>;
export type HushBody = z.infer<typeof hushBody>;
export type OrderBody = z.infer<typeof orderBody>;
export type RangeBody = z.infer<typeof rangeBody>;
export type SessionBody = z.infer<typeof sessionBody>;
export type DoneBody = z.infer<typeof doneBody>;

export const recordView = z.object({
  id: z.string(),
  version: z.int(),
  createdAt: z.string(),
  updatedAt: z.string(),
  body: recordBody,
});
export type RecordView = z.infer<typeof recordView>;

export const newRecord = z.object({ body: recordBody });
export const editedRecord = z.object({ version: z.int().min(0), body: recordBody });
