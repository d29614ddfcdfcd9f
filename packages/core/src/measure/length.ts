import { decimals, fraction, measureReader, type MeasureRefusal } from './said';

/** Lengths are whole micrometres (µm): 1/64 in is 396.875 µm, so every sixty-fourth survives the round trip. */

const UM_PER_MM = 1_000;
const UM_PER_INCH = 25_400;

const named = (um: number, ...names: readonly string[]) => Object.fromEntries(names.map((n) => [n, um]));
const STEPS: Readonly<Record<string, number>> = {
  ...named(UM_PER_MM, 'mm', 'millimetre', 'millimetres'),
  ...named(10 * UM_PER_MM, 'cm', 'centimetre', 'centimetres'),
  ...named(1_000 * UM_PER_MM, 'm', 'metre', 'metres', 'meter', 'meters'),
  ...named(UM_PER_INCH, 'in', 'inch', 'inches', '"', '″'),
  ...named(12 * UM_PER_INCH, 'ft', 'foot', 'feet', "'", '′'),
  ...named(36 * UM_PER_INCH, 'yd', 'yds', 'yard', 'yards'),
};

export type LengthUnit = 'mm' | 'cm' | 'm' | 'in' | 'yd';

export interface ParsedLength {
  readonly ok: true;
  readonly um: number;
}
export interface LengthRefusal {
  readonly ok: false;
  readonly code: 'length_missing' | 'length_unclear' | 'length_negative' | 'length_too_long';
  readonly given: string;
}

/** Longer than this is a slip of the finger: 10 km. */
const MAX_UM = 10_000_000 * UM_PER_MM;
const read = measureReader(STEPS, MAX_UM);
const CODES: Readonly<Record<MeasureRefusal['code'], LengthRefusal['code']>> = {
  missing: 'length_missing',
  unclear: 'length_unclear',
  negative: 'length_negative',
  too_much: 'length_too_long',
};

/**
 * Reads a length as people say it: `5 1/8 in`, `13cm`, `2.4 m`, `3 yd`, `5/8"`.
 * A bare number is taken in `assumed`. Answers whole micrometres, or why not.
 */
export function parseLength(text: string, assumed: LengthUnit = 'mm'): ParsedLength | LengthRefusal {
  const length = read(text, assumed);
  return length.ok
    ? { ok: true, um: length.amount }
    : { ok: false, code: CODES[length.code], given: length.given };
}

/** Writes micrometres in the given unit: inches as fractions to the nearest 1/64, the rest as plain decimals. */
export function printLength(um: number, unit: LengthUnit): string {
  switch (unit) {
    case 'in':
      return `${fraction(um / UM_PER_INCH, 64)} in`;
    case 'yd':
      return `${decimals(um / (36 * UM_PER_INCH), 2)} yd`;
    case 'm':
      return `${decimals(um / 1e6, 3)} m`;
    case 'cm':
      return `${decimals(um / 1e4, 2)} cm`;
    case 'mm':
      return `${decimals(um / UM_PER_MM, 2)} mm`;
  }
}
