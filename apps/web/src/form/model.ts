import {
  attributesOf,
  fittingAttributes,
  KIND_DEFINITIONS,
  type Facts,
  formOf,
  NO_COLOUR,
  said,
  type Kind,
  type SaidSupply,
} from '@red-shelf/core';
import type { SupplyView } from '@red-shelf/contract';
import type { Preferences } from '@red-shelf/contract';
import { sayAttribute } from '../copy/measure';
import { readFacts, saidFacts, type FormRefusal, unaskedFacts } from './said';

/** What the form holds as it is; facts are typed. */
type Plain = Omit<SaidSupply, 'facts'>;
/** A supply as the form holds it: everything typed, nothing read yet. */
export type SupplyForm = { -readonly [Field in keyof Plain]: Plain[Field] } & {
  /** Attributes as `a_<id>`, facts by their name, as typed. */
  said: Record<string, string>;
};

export const BLANK: SupplyForm = {
  kind: 'ink',
  form: KIND_DEFINITIONS.ink.defaultForm,
  name: '',
  maker: '',
  range: '',
  code: '',
  hex: '',
  finish: 'matte',
  familyOverride: null,
  familyReason: '',
  note: '',
  said: {},
};

/** What a form's questions are answered with before anyone types. */
export function startSaid(kind: Kind, form: string): Record<string, string> {
  const starts = attributesOf(kind, form).flatMap((attribute) =>
    attribute.type === 'choice' && attribute.start && attribute.ask === 'first'
      ? [[`a_${attribute.id}`, attribute.start]]
      : [],
  );
  return Object.fromEntries(starts) as Record<string, string>;
}

/** What the form starts with when a supply is edited or copied. */
export function formOfSupply(supply: SupplyView, { units }: Preferences): SupplyForm {
  const { facts, ...plain } = said(supply);
  const { kind, form } = plain;
  const attributes = attributesOf(kind, form).flatMap((attribute) => {
    const value = facts.attributes?.[attribute.id];
    const typed = value === true ? 'yes' : sayAttribute(attribute, value, units);
    return typed === null ? [] : [[`a_${attribute.id}`, typed] as const];
  });
  return {
    ...plain,
    // What has none is shown none.
    hex: plain.hex === NO_COLOUR && plain.familyOverride === 'none' ? '' : plain.hex,
    said: {
      ...saidFacts(facts, units, formOf(supply.kind, supply.form).counting),
      ...Object.fromEntries(attributes),
    },
  };
}

/** The body to send, or what is wrong, by field of the form. */
export type FormReading =
  | { readonly ok: true; readonly fields: Omit<SupplyForm, 'said'> & { facts: Facts } }
  | { readonly ok: false; readonly refusals: readonly FormRefusal[] };

/** Reads what was typed. `kept` are facts the form does not ask: swatches, photos, sleep. */
export function readForm(
  { said: typed, ...fields }: SupplyForm,
  kept: Facts,
  preferences: Preferences,
): FormReading {
  const reading = readFacts(fields.kind, fields.form, typed, preferences);
  if (!reading.ok) return reading;
  const known = unaskedFacts(kept, preferences);
  return {
    ok: true,
    fields: { ...fields, facts: fittingAttributes(fields.kind, fields.form, { ...known, ...reading.facts }) },
  };
}
