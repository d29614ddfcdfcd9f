import { STRETCHES, lineOf, SEASONS, SORT_KEYS } from '@red-shelf/core';
import { z } from 'zod';

const word = lineOf('A purpose', 80).min(1, 'A purpose needs a name.');
/** Purposes in the person's own order, each with what it also means. */
export const purposesBody = z
  .array(
    z.object({ name: word, also: z.array(word).max(20, 'A purpose can have at most 20 other meanings.') }),
  )
  .max(200, 'You can put at most 200 purposes in order.');

/** How smoothly colours follow one another where lightness would decide: 0 by lightness, 1 as smooth as can be. */
export const smoothness = z
  .number('Smoothness goes from 0 to 1.')
  .min(0, 'Smoothness goes from 0 to 1.')
  .max(1, 'Smoothness goes from 0 to 1.');

/** What of an order is the same for all kinds. */
export const schemeBody = z.object({
  familyOrder: z.array(z.enum(STRETCHES)).max(STRETCHES.length),
  lightness: z.enum(['light-first', 'dark-first']),
  purposes: purposesBody.optional(),
  smooth: smoothness.default(0),
  /** Racks are filled as a picture: hue across, light to dark down. */
  picture: z.boolean().default(false),
  /** Seasons whose things one works with now, or soon. */
  inSight: z.array(z.enum(SEASONS)).max(SEASONS.length).optional(),
});

/** Sort recipes by kind, or `kind/form` for the exceptions. */
export const recipesBody = z.record(
  z.string().max(40),
  z.array(z.enum(SORT_KEYS)).max(SORT_KEYS.length, 'Your own sorting can use each rule only once.'),
);
