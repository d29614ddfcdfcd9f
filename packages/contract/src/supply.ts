import {
  checkFacts,
  factsSchema,
  PARTS,
  FAMILIES,
  FAMILY_GROUPS,
  familyWithout,
  findForm,
  NO_COLOUR,
  FINISHES,
  KINDS,
  lineOf,
  LOTS,
  MOST_CHARACTERS,
  paragraphsOf,
  parseColour,
  type SupplyField,
} from '@red-shelf/core';
import { z } from 'zod';

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

/** How often a thing was written: far from where whole numbers end. */
export const versionNumber = z.int().min(1).max(1e9);

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
  name: lineOf('The name', MOST_CHARACTERS.name).min(1, 'Give it a name.'),
  maker: lineOf('The maker', MOST_CHARACTERS.maker).default(''),
  range: lineOf('The range', MOST_CHARACTERS.range).default(''),
  code: lineOf('The code', MOST_CHARACTERS.code).default(''),
  hex: colourText,
  finish: z.enum(FINISHES).default('matte'),
  familyOverride: z.enum(FAMILIES).nullable().default(null),
  familyReason: lineOf('The reason', MOST_CHARACTERS.familyReason).default(''),
  note: paragraphsOf('The note', MOST_CHARACTERS.note).default(''),
  facts: factsSchema.default({}),
} satisfies Record<SupplyField, z.ZodType>);

/** Fills in what stands for the colour of a thing that has none, where it may have none and nobody gave one. */
function withoutColour(given: unknown): unknown {
  const { kind, form, hex = '', familyOverride = null } = (given ?? {}) as Record<string, unknown>;
  if (typeof hex !== 'string' || hex.trim() !== '') return given;
  const read = supplyFields.pick({ kind: true, form: true, familyOverride: true });
  const said = read.safeParse({ kind, form, familyOverride });
  const family = said.data && familyWithout(said.data.kind, said.data.form, said.data.familyOverride);
  return family ? { ...(given as object), hex: NO_COLOUR, familyOverride: family } : given;
}
/** The same schema as far as types go: only an empty colour may be none. */
const orColourless = <S extends z.ZodType>(schema: S): S =>
  z.preprocess(withoutColour, schema) as unknown as S;

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

export const newSupply = orColourless(
  supplyFields.extend({ count: openingCount, parts: partCounts.optional() }).superRefine(refuseMisfits),
);
export type NewSupply = z.infer<typeof newSupply>;
export type NewSupplyInput = z.input<typeof newSupply>;

export const editedSupply = orColourless(
  supplyFields.extend({ version: z.int().min(1, 'Say which version you saw.') }).superRefine(refuseMisfits),
);
export type EditedSupply = z.infer<typeof editedSupply>;

/** A place to set something down: a unit, and a cell of it where it has cells. */
const place = z.object({
  unitId: z.string().min(1).max(64),
  cell: z.int().min(0).max(100_000).nullable(),
});
export const setDownAt = place.extend({
  /** Where things share the place: the lot it is set before; behind all of them where left out. */
  before: z.string().min(1).max(80).optional(),
});
export type Place = z.infer<typeof setDownAt>;
export const spot = place.extend({ rank: z.int().min(0).max(1e6) });

/** Width and height of a flat thing, µm. */
const side = z.int('A size must be a measure, such as 12 cm.').min(1).max(10_000_000);
export const flatSize = z.object({ widthUm: side, heightUm: side });

/** A lot of a supply: what it is, how much, where. */
export const holdingView = z.object({
  id: z.string(),
  version: z.int(),
  as: z.enum(LOTS),
  sizeUm: flatSize.nullable(),
  spot: spot.nullable(),
  items: z.int(),
  left: z.int(),
});
export type HoldingView = z.infer<typeof holdingView>;

/** Sets a lot down, or lifts it for good where the place is null; with an amount only that much of it. */
export const placedHolding = z.object({
  version: z.int().min(1, 'Say which version you saw.'),
  place: setDownAt.nullable(),
  amount: wholeNumber('How many').min(1, 'Move at least one.').optional(),
});
/** Several lots, each with where it goes; all of them, or none. */
export const movedHoldings = z.object({
  moves: z
    .array(placedHolding.omit({ amount: true }).extend({ id: z.string().min(1).max(80) }))
    .min(1, 'Say what is moved.')
    .max(500, 'At most 500 things are moved at once.')
    .refine((moves) => new Set(moves.map(({ id }) => id)).size === moves.length, {
      error: 'A thing can be moved to one place only.',
    }),
});
/** Says how large a base or a scrap is. */
export const sizedHolding = z.object({
  version: z.int().min(1, 'Say which version you saw.'),
  sizeUm: flatSize.nullable(),
});

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
    used: z.int(),
    lastUsedAt: z.string().nullable(),
  }),
  /** Its lots that are there to be seen, the main one first. */
  holdings: z.array(holdingView),
  createdAt: z.string(),
  updatedAt: z.string(),
});
export type SupplyView = z.infer<typeof supplyView>;

const weights = z.object({
  beforeMg: wholeNumber('The mass before', 1e9),
  afterMg: wholeNumber('The mass after', 1e9),
});
const price = z.object({
  minor: z.int().min(0, 'A price cannot be less than nothing.').max(1e9),
  currency: z.string().regex(/^[A-Z]{3}$/, 'A currency is three letters, such as EUR.'),
});
const of = z.enum(LOTS);
const n = z.int().min(0).max(1e12);

/** What a cut made, size by size. */
const cutPieces = z
  .array(
    z.object({
      as: z.enum(['base', 'scrap']),
      items: z.int().min(1, 'Say how many there are of a size.').max(10_000),
      sizeUm: flatSize,
    }),
  )
  .max(100, 'At most 100 sizes out of one cut.')
  .readonly();

/** What happened, in the act's own words; see the core's events. */
export const happening = z.discriminatedUnion('act', [
  z.object({ act: z.literal('count'), of, items: n, left: n }),
  z.object({ act: z.literal('use'), of, amount: n, project: lineOf('The project', 120).optional() }),
  z.object({ act: z.literal('buy'), of, amount: n, price: price.optional() }),
  z.object({ act: z.literal('discard'), of, amount: n }),
  z.object({
    act: z.literal('refill'),
    from: z.object({ supplyId: z.string(), amount: n }).optional(),
    weights: weights.optional(),
  }),
  z.object({ act: z.literal('open'), packs: n, sheets: n }),
  z.object({
    act: z.literal('cut'),
    sheets: n,
    bases: n,
    scraps: n,
    baseSize: flatSize.optional(),
    scrapSize: flatSize.optional(),
    pieces: cutPieces.optional(),
    fromScraps: n.optional(),
    project: lineOf('The project', 120).optional(),
  }),
  z.object({ act: z.literal('move') }),
  z.object({ act: z.literal('undo'), undoes: z.string() }),
]);

const shift = z.object({ holdingId: z.string(), from: spot.nullable(), to: spot.nullable() });

/** A line of a supply's own history. */
export const ledgerView = z.intersection(
  happening,
  z.object({
    id: z.string(),
    supplyId: z.string(),
    at: z.string(),
    /** When it reached the stash, where that was later. */
    recordedAt: z.string(),
    shifts: z.array(shift),
    /** A count: what it found missing. */
    unlogged: z.number().optional(),
  }),
);
export type LedgerView = z.infer<typeof ledgerView>;

/** Which lot is meant: one by its id, else those of a sort. */
const which = {
  of: of.optional(),
  lotId: z.string().max(64).optional(),
  sizeUm: flatSize.optional(),
};
const some = (verb: string) => wholeNumber('The amount').min(1, `${verb} at least something.`);

const heldFor = z.string().min(1).max(64).optional();

/** Something done to a supply's stock. Amounts are in the form's own unit; see the core's events. */
export const stockRequest = z.discriminatedUnion('act', [
  /** `heldFor`: the project or the kit it is kept for, by its record's id. That keeps so much less back. */
  z.object({ act: z.literal('use'), amount: some('Use'), heldFor, ...which }),
  z.object({ act: z.literal('buy'), amount: some('Buy'), price: price.optional(), ...which }),
  z.object({ act: z.literal('discard'), amount: some('Discard'), ...which }),
  /** `fromId`: the bottle it is filled from. Weights are those of the thing that is filled. */
  z.object({
    act: z.literal('refill'),
    fromId: z.string().max(64).optional(),
    weights: weights.optional(),
    ...which,
  }),
  /** A count sets what is there, so it says which version of the lot it saw. */
  z.object({
    act: z.literal('count'),
    items: wholeNumber('How many', 1e6),
    left: wholeNumber('What is left'),
    version: z.int().min(1).optional(),
    ...which,
  }),
  /** Packs opened, and the sheets that were in them. */
  z.object({ act: z.literal('open'), amount: some('Open'), left: wholeNumber('Sheets', 1e6) }),
  /** Sheets cut into bases, and the scraps that remain. */
  z.object({
    act: z.literal('cut'),
    amount: some('Cut'),
    items: wholeNumber('Bases', 1e6),
    left: wholeNumber('Scraps', 1e6),
    baseSize: flatSize.optional(),
    scrapSize: flatSize.optional(),
    /** Of several sizes; then bases and scraps are counted from these. */
    pieces: cutPieces.optional(),
    lotId: z.string().max(64).optional(),
    heldFor,
  }),
]);
export type StockRequestBody = z.infer<typeof stockRequest>;
