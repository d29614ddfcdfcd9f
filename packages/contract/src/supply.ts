import {
  ACTS,
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
  kind: z.enum(KINDS, { error: 'Choose a kind: ink, marker, cardstock, ribbon or sticker.' }),
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
});

const formOfKind = {
  check: (fields: { kind: (typeof KINDS)[number]; form: string }) =>
    findForm(fields.kind, fields.form) !== undefined,
  refusal: { path: ['form'], message: 'That form does not exist for this kind; choose one from the list.' },
};

const openingCount = z.object({
  items: wholeNumber('How many', 1e6),
  left: wholeNumber('What is left'),
});

export const newSupply = supplyFields
  .extend({ count: openingCount })
  .refine(formOfKind.check, formOfKind.refusal);
export type NewSupply = z.infer<typeof newSupply>;
export type NewSupplyInput = z.input<typeof newSupply>;

export const editedSupply = supplyFields
  .extend({ version: z.int().min(1, 'Say which version you saw.') })
  .refine(formOfKind.check, formOfKind.refusal);
export type EditedSupply = z.infer<typeof editedSupply>;

export const place = z.object({ unitId: z.string(), slot: z.int().min(0) });
export type Place = z.infer<typeof place>;

export const supplyView = supplyFields.extend({
  id: z.string(),
  version: z.int(),
  hex: z.string(),
  /** The family it is filed under: the person's word if there is one, else the computed one. */
  family: z.enum(FAMILIES),
  group: z.enum(FAMILY_GROUPS),
  stock: z.object({
    items: z.int(),
    left: z.int(),
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
  undoes: z.string().nullable(),
});
export type LedgerView = z.infer<typeof ledgerView>;

/** Something done to a supply's stock. Amounts are in the form's own unit; see the core's ledger. */
export const stockRequest = z.discriminatedUnion('act', [
  z.object({ act: z.literal('use'), amount: wholeNumber('The amount').min(1, 'Use at least something.') }),
  z.object({ act: z.literal('buy'), amount: wholeNumber('The amount').min(1, 'Buy at least something.') }),
  z.object({
    act: z.literal('discard'),
    amount: wholeNumber('The amount').min(1, 'Discard at least something.'),
  }),
  z.object({ act: z.literal('refill') }),
  z.object({
    act: z.literal('count'),
    items: wholeNumber('How many', 1e6),
    left: wholeNumber('What is left'),
  }),
]);
export type StockRequestBody = z.infer<typeof stockRequest>;
