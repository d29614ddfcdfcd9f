import {
  ACTS,
  checkFacts,
  factsSchema,
  PARTS,
  FAMILIES,
  FAMILY_GROUPS,
  findForm,
  FINISHES,
  KINDS,
  MOST_CHARACTERS,
  parseColour,
} from '@red-shelf/core';
import { z } from 'zod';

const line = (label: string, most: number) =>
  z
    .string()
    .trim()
    .max(most, `${label} may have at most ${most} characters.`)
    .refine(
      (text) => !/[\u0000-\u0008\u000b\u000c\u000e-\u001f]/.test(text),
      `${label} has characters that cannot be shown.`,
    );

/** A colour as typed; comes out as `#rrggbb`. */
const colourText = z.string().transform((text, context) => {
  const colour = parseColour(text);
  if (colour.ok) return colour.hex;
  context.addIssue({
    code: 'custom',
    message:
      colour.code === 'colour_missing'
        ? 'Give a colour: pick one, or type a hex such as #c23b42 or a name such as teal.'
        : `“${colour.given.slice(0, 40)}” is not a colour I know. Type a hex such as #c23b42 or a name such as teal.`,
  });
  return z.NEVER;
});

/** A whole number of something, never negative. */
const wholeNumber = (label: string, most = 1e12) =>
  z
    .number({ error: `${label} must be a number.` })
    .int(`${label} must be a whole number.`)
    .min(0, `${label} cannot be less than nothing.`)
    .max(most, `${label} is more than anyone owns; check the number.`);

const supplyFields = z.object({
  kind: z.enum(KINDS, { error: 'Choose a kind: ink, marker, cardstock, ribbon, sticker or companion.' }),
  form: z.string(),
  name: line('The name', MOST_CHARACTERS.name).min(1, 'Give it a name.'),
  maker: line('The maker', MOST_CHARACTERS.maker).default(''),
  range: line('The range', MOST_CHARACTERS.range).default(''),
  code: line('The code', MOST_CHARACTERS.code).default(''),
  hex: colourText,
  finish: z.enum(FINISHES).default('matte'),
  familyOverride: z.enum(FAMILIES).nullable().default(null),
  familyReason: line('The reason', MOST_CHARACTERS.familyReason).default(''),
  note: line('The note', MOST_CHARACTERS.note).default(''),
  facts: factsSchema.default({}),
});

/** A form must be one of its kind's, and the facts must be asked of it. */
function refuseMisfits(
  fields: { kind: (typeof KINDS)[number]; form: string; facts: z.output<typeof factsSchema> },
  context: z.RefinementCtx,
): void {
  if (!findForm(fields.kind, fields.form)) {
    const message = 'That form does not exist for this kind; choose one from the list.';
    context.addIssue({ code: 'custom', path: ['form'], message });
    return;
  }
  for (const { path, message } of checkFacts(fields.kind, fields.form, fields.facts))
    context.addIssue({ code: 'custom', path: ['facts', ...path], message });
}

const openingCount = z.object({
  items: wholeNumber('How many', 1e6),
  left: wholeNumber('What is left'),
});

/** Unopened packs, cut bases and scraps. */
const partCounts = z.partialRecord(z.enum(PARTS), wholeNumber('How many', 1e6));

export const newSupply = supplyFields
  .extend({ count: openingCount, parts: partCounts.optional() })
  .superRefine(refuseMisfits);
export type NewSupply = z.infer<typeof newSupply>;
export type NewSupplyInput = z.input<typeof newSupply>;

export const editedSupply = supplyFields
  .extend({ version: z.int().min(1, 'Say which version you saw.') })
  .superRefine(refuseMisfits);
export type EditedSupply = z.infer<typeof editedSupply>;

export const place = z.object({ unitId: z.string(), slot: z.int().min(0) });
export type Place = z.infer<typeof place>;

export const supplyView = supplyFields.extend({
  id: z.string(),
  version: z.int(),
  /** The short number it is known by. */
  number: z.int(),
  hex: z.string(),
  /** The family it is filed under: the person's word if there is one, else the computed one. */
  family: z.enum(FAMILIES),
  group: z.enum(FAMILY_GROUPS),
  stock: z.object({
    items: z.int(),
    left: z.int(),
    parts: partCounts,
    state: z.enum(['ok', 'low', 'out']),
    uses: z.int(),
    lastUsedAt: z.string().nullable(),
  }),
  place: place.nullable(),
  createdAt: z.string(),
  updatedAt: z.string(),
});
export type SupplyView = z.infer<typeof supplyView>;

export const ledgerView = z.object({
  id: z.string(),
  act: z.enum(ACTS),
  at: z.string(),
  amount: z.number().nullable(),
  items: z.number().nullable(),
  left: z.number().nullable(),
  part: z.enum(PARTS).nullable(),
  undoes: z.string().nullable(),
});
export type LedgerView = z.infer<typeof ledgerView>;

const part = z.enum(PARTS).optional();
const some = (verb: string) => wholeNumber('The amount').min(1, `${verb} at least something.`);

/** Something done to a supply's stock. Amounts are in the form's own unit; see the core's ledger. */
export const stockRequest = z.discriminatedUnion('act', [
  z.object({ act: z.literal('use'), amount: some('Use'), part }),
  z.object({ act: z.literal('buy'), amount: some('Buy'), part }),
  z.object({ act: z.literal('discard'), amount: some('Discard'), part }),
  z.object({ act: z.literal('refill') }),
  z.object({
    act: z.literal('count'),
    items: wholeNumber('How many', 1e6),
    left: wholeNumber('What is left'),
    part,
  }),
  /** Packs opened, and the sheets that were in them. */
  z.object({ act: z.literal('open'), amount: some('Open'), left: wholeNumber('Sheets', 1e6) }),
  /** Sheets cut into bases, and the scraps that remain. */
  z.object({
    act: z.literal('cut'),
    amount: some('Cut'),
    items: wholeNumber('Bases', 1e6),
    left: wholeNumber('Scraps', 1e6),
  }),
]);
export type StockRequestBody = z.infer<typeof stockRequest>;
