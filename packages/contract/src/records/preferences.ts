import { CARE_IDS, HEMISPHERES, KINDS, KIT_TOOLS, STRETCHES } from '@red-shelf/core';
import { z } from 'zod';
import { purposesBody, recipesBody, smoothness } from '../arrange/scheme';
import { named } from '../group';

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
    .refine(
      ({ smallToUm, cardToUm }) => smallToUm <= cardToUm,
      'The limit for small scraps cannot be above the one for card size.',
    )
    .refine(
      ({ shortToUm, middleToUm }) => shortToUm <= middleToUm,
      'The limit for short lengths cannot be above the one for middle lengths.',
    )
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
