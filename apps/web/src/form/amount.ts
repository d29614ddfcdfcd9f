import {
  readQuantity,
  usesAtLevel,
  type FormDefinition,
  type Level,
  type OpeningCount,
} from '@red-shelf/core';

/** What a person typed for an amount, read in the form's own unit, or a sentence saying what is wrong. */
export type AmountReading =
  { readonly ok: true; readonly count: OpeningCount } | { readonly ok: false; readonly message: string };

const EXAMPLE: Readonly<Record<FormDefinition['counting'], string>> = {
  fill: 'a whole number, such as 1',
  sheets: 'a whole number of sheets, such as 20',
  pieces: 'a whole number, such as 3',
  length: 'a length, such as 2.4 m, 3 yd or 5 1/8 in',
};

/** What the amount field is called for a form. */
export const AMOUNT_LABEL: Readonly<Record<FormDefinition['counting'], string>> = {
  fill: 'How many',
  sheets: 'How many sheets',
  pieces: 'How many',
  length: 'How much (2.4 m, 3 yd)',
};

/** The same where there is little room. */
export const AMOUNT_SHORT: Readonly<Record<FormDefinition['counting'], string>> = {
  fill: 'How many',
  sheets: 'Sheets',
  pieces: 'How many',
  length: 'Length',
};

/** Reads an amount; for pads and markers the level says how full the open one is. */
export function readAmount(text: string, level: Level, form: FormDefinition): AmountReading {
  const given = text.trim();
  const refuse = (message: string): AmountReading => ({ ok: false, message });
  if (given === '') return refuse(`Say how many: ${EXAMPLE[form.counting]}.`);
  const reading = readQuantity(given, '', form);
  if (!reading || !reading.ok)
    return refuse(
      reading?.refusal.code === 'negative'
        ? 'That is less than nothing; give a number from 0 up.'
        : `“${given}” cannot be read; write ${EXAMPLE[form.counting]}.`,
    );
  if (form.counting !== 'fill') return reading;
  const { items } = reading.count;
  return { ok: true, count: { items, left: usesAtLevel(items, level, form.usesPerFill ?? 1) } };
}
