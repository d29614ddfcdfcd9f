import { z } from 'zod';
import type { AttributeValue } from '../kinds/attributes';
import { CONDITIONS, GRADES, STATUSES, UNUSED_WHY } from './standing';
import { hexCode, swatchSchema } from './swatchSchema';
import { lineOf } from '../text/schema';

const MOST_TAGS = 30;
const MOST_SWATCHES = 24;
const MOST_PHOTOS = 12;
const day = z.iso.date('A date is written like 2026-05-31.');
const text = (most: number, what: string) => lineOf(what, most);
const um = z.int().min(0).max(10_000_000);

/**
 * What is known of a supply beyond name, colour and count. Everything is optional and left out when unknown,
 * so that ten thousand supplies stay small. Lengths are µm, masses mg, money minor units.
 */
export const factsSchema = z.strictObject({
  /** The kind's own questions; checked against the form (`attributesSchemaOf`). */
  attributes: z.record(z.string(), z.custom<AttributeValue>()).optional(),
  status: z.enum(STATUSES).optional(),
  /** Trial: the day to decide. */
  decideOn: day.optional(),
  grade: z.enum(GRADES).optional(),
  /** "Collection, leave in peace": counted for space, left out of nudges. */
  collection: z.boolean().optional(),
  /** Arranging leaves it where it is. */
  stays: z.boolean().optional(),
  /** Why it was never used, by the person's own word. */
  whyUnused: z.enum(UNUSED_WHY).optional(),
  /** How many spares are meant to be kept; more is a double. */
  spares: z
    .int('Spares must be a whole number.')
    .min(0, 'Spares cannot be less than zero.')
    .max(1000)
    .optional(),
  /** Uses from full to dry, where the person knows better than the form. */
  usesPerFill: z
    .int('Uses must be a whole number.')
    .min(1, 'A full one gives at least one use.')
    .max(100_000)
    .optional(),
  /** At or below this (uses, sheets, pieces or µm) it is low. */
  lowAt: z
    .int('“Low” must be a whole number.')
    .min(0, '“Low” cannot be less than nothing.')
    .max(1e12)
    .optional(),
  /** Bought up to this (uses, sheets, pieces or µm) when it is low: of a staple one keeps so much. */
  par: z
    .int('What is kept must be a whole number.')
    .min(1, 'What is kept is at least one.')
    .max(1e12)
    .optional(),
  size: z.object({ widthUm: um, heightUm: um, depthUm: um }).optional(),
  massMg: z.int().min(0).max(1e9).optional(),
  price: z
    .object({
      minor: z.int().min(0, 'A price cannot be less than nothing.').max(1e9),
      currency: z.string().regex(/^[A-Z]{3}$/, 'A currency is three letters, such as EUR.'),
    })
    .optional(),
  /** Of what is let go: how it looks, whether what it was packed in is there, and what is asked for it. */
  condition: z.enum(CONDITIONS).optional(),
  packaging: z.boolean().optional(),
  asking: z
    .object({
      minor: z.int().min(0, 'A price cannot be less than nothing.').max(1e9),
      currency: z.string().regex(/^[A-Z]{3}$/, 'A currency is three letters, such as EUR.'),
    })
    .optional(),
  source: text(120, 'Where it came from').optional(),
  acquiredOn: day.optional(),
  openedOn: day.optional(),
  tags: z.array(text(40, 'A tag').min(1)).max(MOST_TAGS, `At most ${MOST_TAGS} tags.`).optional(),
  barcode: z
    .string()
    .trim()
    .regex(/^[0-9A-Za-z-]{3,32}$/, 'A barcode is 3 to 32 digits or letters.')
    .optional(),
  swatches: z.array(swatchSchema).max(MOST_SWATCHES, `At most ${MOST_SWATCHES} swatches.`).optional(),
  /** The swatch that decides the colour. */
  trueSwatch: z.string().optional(),
  /** The colour is only the lid's, a stand-in until a swatch is made. */
  lidColour: z.boolean().optional(),
  /** Other colours of a patterned thing, for searching. */
  otherHexes: z.array(hexCode).max(8, 'At most 8 other colours.').optional(),
  photos: z
    .array(
      z.object({
        id: z.string().max(64),
        width: z.int().min(1).max(100_000),
        height: z.int().min(1).max(100_000),
      }),
    )
    .max(MOST_PHOTOS, `At most ${MOST_PHOTOS} photos.`)
    .optional(),
  /** A purpose that may come back, and when to look again. */
  dormant: z.object({ purpose: text(80, 'The purpose').min(1), wakeOn: day }).optional(),
});
