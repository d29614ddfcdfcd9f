import { KINDS, lineOf, paragraphsOf } from '@red-shelf/core';
import { z } from 'zod';

export const id = z.string().min(1).max(64);
export const named = (what: string) => lineOf(what, 120).min(1, `${what} is missing.`);

const member = z.object({ supplyId: id, amount: z.int().min(0).max(1e12) });
export const price = z
  .object({ minor: z.int().min(0).max(1e9), currency: z.string().regex(/^[A-Z]{3}$/) })
  .optional();

/**
 * Members stay whole until the group is dissolved; a pack remembers what was bought together. A kit, and a project until it
 * is closed, keeps so much of each member back.
 */
export const groupBody = z.object({
  sort: z.literal('group'),
  what: z.enum(['kit', 'project', 'collection', 'pack', 'palette', 'travel']),
  name: named('The name'),
  note: paragraphsOf('The note', 2000).default(''),
  source: lineOf('Where it came from', 120).default(''),
  acquiredOn: z.iso.date().nullable().default(null),
  price,
  members: z.array(member).max(500, 'At most 500 members.').default([]),
  /** Solids that go with it. */
  matches: z.array(id).max(200).default([]),
  dissolvedOn: z.iso.date().nullable().default(null),
  /** What does not go together and is done all the same, by the person's word: a rule and two supplies each. */
  accepted: z.array(z.string().max(200)).max(200).optional(),
  /** Projects: how many are made; one where it is not said. */
  makes: z.int('How many are made must be a whole number.').min(1).max(9999).optional(),
  /** Projects: its colours. */
  colours: z
    .array(z.object({ name: lineOf('A name', 120), hex: z.string().regex(/^#[0-9a-f]{6}$/) }))
    .max(60, 'At most 60 colours in one project.')
    .optional(),
  /** Projects: what each that is made takes by kind and colour, and what was taken for it. */
  needs: z
    .array(
      z.object({
        ...{ id, kind: z.enum(KINDS), hex: z.string().regex(/^#[0-9a-f]{6}$/) },
        each: z.number().positive().max(1e9),
        of: id.nullable(),
      }),
    )
    .max(100, 'At most 100 needs in one project.')
    .optional(),
  /** Members that are not there: missing from a kit, out of the house with a travel list, packed with a project. */
  away: z.array(id).max(500).optional(),
  /** Since when a travel list is out, or a project is packed; null, or left out, while it is not. */
  awaySince: z.iso.datetime().nullable().optional(),
  /** Palettes: the unit that holds it instead of a family. */
  home: id.nullable().default(null),
});
export type GroupBody = z.infer<typeof groupBody>;
