import type { AttributeDefinition } from './attributes';

/** What the app must know of a kind and its forms, as data. */

export const KINDS = ['ink', 'marker', 'cardstock', 'ribbon', 'sticker', 'companion'] as const;
export type Kind = (typeof KINDS)[number];

/**
 * How a form is counted:
 * `fill` – whole things that run dry slowly (pads, markers): how many, and how many uses are left in them;
 * `sheets` and `pieces` – counted one by one; `length` – micrometres on the roll.
 */
export type Counting = 'fill' | 'sheets' | 'pieces' | 'length';

/** What a lot of a supply is: whole things, unopened packs, bases already cut, scraps. */
export const LOTS = ['whole', 'pack', 'base', 'scrap'] as const;
export type LotAs = (typeof LOTS)[number];
/** Lots kept beside the whole things. */
export const PARTS = ['pack', 'base', 'scrap'] as const satisfies readonly LotAs[];
export type Part = (typeof PARTS)[number];

/** The visible end: what a supply of this form looks like on the shelf. */
export type VisibleEnd = 'bar' | 'round' | 'cap' | 'edge' | 'ring' | 'pocket';

/** Size as a thing stands, seen from the front, in whole micrometres. */
export interface Size {
  readonly widthUm: number;
  readonly heightUm: number;
  readonly depthUm: number;
}

/** How several of a thing lie together: along which side they add up, and how thick each is (its own extent when left out). */
export interface Piling {
  readonly along: keyof Size;
  readonly eachUm?: number;
}

/** How a form wants to lie or stand, and what goes wrong otherwise: a warning, never a refusal. */
export interface Orientation {
  readonly wants: 'flat' | 'level' | 'upright' | 'cap down' | 'tip down' | 'any';
  readonly because: string;
}

/** A partner a supply should have: things of another kind or form, by the same colour name or the same number. */
export interface Partner {
  readonly kind: Kind;
  readonly form?: string;
  readonly name: string;
  readonly by: 'colour name' | 'number' | 'any';
}

/** Qualities that neighbours may suffer from. */
export type Trait =
  'sheds glitter' | 'scratches' | 'scratched easily' | 'leaks' | 'stains' | 'fades' | 'heavy';

export interface FormDefinition {
  readonly id: string;
  readonly kind: Kind;
  /** As said after the name: "full pad". */
  readonly name: string;
  readonly counting: Counting;
  readonly end: VisibleEnd;
  /** Outside size of one as it usually is; of card, of about twenty sheets. */
  readonly envelope: Size;
  /** Left out where a count says nothing about size: a packet of gems, a spool. */
  readonly piles?: Piling;
  /** Bottles: what the usual one holds, µl. */
  readonly volumeUl?: number;
  /** Grams of one (a pad, a sheet, a full spool), about. */
  readonly massG: number;
  /** `fill` forms: uses from full to dry; a default the person's own record will correct. */
  readonly usesPerFill?: number;
  /** At or below this (uses, sheets, pieces or µm) the supply is low. */
  readonly lowAt: number;
  /** It usually has no colour, and is not asked for one. */
  readonly colourless?: true;
  /** How many a purchase usually is, in items, sheets, pieces or µm. */
  readonly usualPurchase: number;
  readonly orientation?: Orientation;
  readonly partners?: readonly Partner[];
  readonly traits?: readonly Trait[];
  /** It must not stand beside things with these. */
  readonly avoid?: readonly Trait[];
  /** Sorts of rack made for it, by template id, the best first: the shape decides the container. */
  readonly keptIn: readonly string[];
  /** Separate counts this form keeps. */
  readonly parts?: readonly Part[];
}

export interface KindDefinition {
  readonly id: Kind;
  readonly name: string;
  readonly plural: string;
  /** The form a new supply starts with. */
  readonly defaultForm: string;
  readonly attributes: readonly AttributeDefinition[];
}

/** A form's facts without repeating the kind on every line. */
export const formsOf = (
  kind: Kind,
  forms: readonly Omit<FormDefinition, 'kind'>[],
): readonly FormDefinition[] => forms.map((form) => ({ kind, ...form }));

/** A size from millimetres wide, high and deep, as definitions are written. */
export const envelope = (wideMm: number, highMm: number, deepMm: number): Size => ({
  widthUm: Math.round(wideMm * 1000),
  heightUm: Math.round(highMm * 1000),
  depthUm: Math.round(deepMm * 1000),
});
