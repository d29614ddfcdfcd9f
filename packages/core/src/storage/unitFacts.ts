import { z } from 'zod';
import { KINDS } from '../kinds/definition';
import { lineOf } from '../text/schema';
import { CARE_IDS, PLACE_MARKS } from './care';

/** Where a unit stands in its life. A spare or retired one is off the wall and takes no supplies. */
export const STANDINGS = ['active', 'worn', 'spare', 'retired'] as const;
/** How far it is from the desk; `far` is deep storage, out of sight. */
export const REACHES = ['near', 'mid', 'far'] as const;

const text = (most: number, what: string) => lineOf(what, most);

/** What a unit takes. */
export const unitRulesSchema = z.strictObject({
  /** Kinds it is made for; it takes no others. */
  kinds: z.array(z.enum(KINDS)).min(1, 'Say what it is made for: at least one kind.').max(KINDS.length),
  /** At most so many things; one more and one must leave. */
  cap: z
    .int('A limit must be a whole number.')
    .min(1, 'A limit is at least one thing.')
    .max(10_000, 'A limit is at most 10,000 things.')
    .optional(),
});
export type UnitRules = z.infer<typeof unitRulesSchema>;

/** What is known of a unit beyond its size. Everything is optional and left out when it says nothing. */
export const unitFactsSchema = z.strictObject({
  /** The template it was started from. */
  template: z.string().max(40).optional(),
  standing: z.enum(STANDINGS).optional(),
  /** Where a spare or retired one is kept. */
  keptAt: text(120, 'Where it is kept').optional(),
  reach: z.enum(REACHES).optional(),
  /** What it is like there; what stands in it is like that too. */
  marks: z.array(z.enum(PLACE_MARKS)).max(PLACE_MARKS.length).optional(),
  /** What was said about this place and is left so, with the person's reason. */
  accepted: z
    .array(z.strictObject({ rule: z.enum(CARE_IDS), because: text(200, 'The reason') }))
    .max(CARE_IDS.length)
    .optional(),
  /** When labels were printed, and what they said (`labelPrint`). */
  labelled: z.object({ on: z.iso.date(), print: z.string().max(64) }).optional(),
});
export type UnitFacts = z.infer<typeof unitFactsSchema>;
