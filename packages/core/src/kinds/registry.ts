import { cardstock, cardstockForms } from './cardstock';
import { companion, companionForms } from './companion';
import type { AttributeDefinition } from './attributes';
import type { FormDefinition, Kind, KindDefinition } from './definition';
import { ink, inkForms } from './ink';
import { marker, markerForms } from './marker';
import { ribbon, ribbonForms } from './ribbon';
import { sticker, stickerForms } from './sticker';

/** Every kind, in the order the app lists them. */
export const KIND_DEFINITIONS: Readonly<Record<Kind, KindDefinition>> = {
  ink,
  marker,
  cardstock,
  ribbon,
  sticker,
  companion,
};

const FORMS: Readonly<Record<Kind, readonly FormDefinition[]>> = {
  ink: inkForms,
  marker: markerForms,
  cardstock: cardstockForms,
  ribbon: ribbonForms,
  sticker: stickerForms,
  companion: companionForms,
};

/** The forms of one kind, the usual one first. */
export const formsOfKind = (kind: Kind): readonly FormDefinition[] => FORMS[kind];

/** A form of a kind by its id, or undefined when the kind has no such form. */
export const findForm = (kind: Kind, formId: string): FormDefinition | undefined =>
  FORMS[kind].find((form) => form.id === formId);

/** Thrown when stored data names a form no kind has: a bug or a foreign document, never a person's slip. */
export class UnknownFormError extends Error {
  constructor(kind: string, formId: string) {
    super(`Kind ${kind} has no form "${formId}"`);
    this.name = 'UnknownFormError';
  }
}

/** As findForm, for data that was checked before. Throws UnknownFormError. */
export function formOf(kind: Kind, formId: string): FormDefinition {
  const form = findForm(kind, formId);
  if (!form) throw new UnknownFormError(kind, formId);
  return form;
}

/** The questions a form is asked beyond name, colour and count. */
export const attributesOf = (kind: Kind, formId: string): readonly AttributeDefinition[] =>
  KIND_DEFINITIONS[kind].attributes.filter(({ forms }) => !forms || forms.includes(formId));
