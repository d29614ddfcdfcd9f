import type { Family } from '../colour/families';
import type { Finish } from '../colour/family';
import type { Kind } from '../kinds/definition';
import type { Facts } from './facts';

/** What a supply is. It has no place and no count: those are its lots'. */
export interface Supply {
  readonly id: string;
  /** The short number it is known by. */
  readonly number: number;
  readonly kind: Kind;
  readonly form: string;
  readonly name: string;
  readonly maker: string;
  readonly range: string;
  readonly code: string;
  /** sRGB `#rrggbb`. */
  readonly hex: string;
  readonly finish: Finish;
  /** Where a person has overruled the computed family, and why. */
  readonly familyOverride: Family | null;
  readonly familyReason: string;
  readonly note: string;
  readonly facts: Facts;
  /** UTC, ISO 8601. */
  readonly createdAt: string;
}

/**
 * What a person says of a supply, in the order it is asked: the one list that the form, the import, the export, the batch
 * edit, the document and the wire are held against.
 */
export const SUPPLY_FIELDS = [
  'kind',
  'form',
  'name',
  'maker',
  'range',
  'code',
  'hex',
  'finish',
  'familyOverride',
  'familyReason',
  'note',
  'facts',
] as const satisfies readonly (keyof Supply)[];
export type SupplyField = (typeof SUPPLY_FIELDS)[number];
/** A supply as it is said, before it has an id. */
export type SaidSupply = Pick<Supply, SupplyField>;

/** What a person says of a supply, out of all that is known of it. */
export const said = <T extends SaidSupply>(supply: T): Pick<T, SupplyField> =>
  Object.fromEntries(SUPPLY_FIELDS.map((field) => [field, supply[field]])) as Pick<T, SupplyField>;
