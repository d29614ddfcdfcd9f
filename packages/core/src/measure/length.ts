/** Lengths are whole micrometres (µm): 1/64 in is 396.875 µm, so every sixty-fourth survives the round trip. */

const UM_PER_MM = 1_000;
const UM_PER_INCH = 25_400;

const UNIT_UM: Readonly<Record<string, number>> = {
  mm: UM_PER_MM,
  cm: 10 * UM_PER_MM,
  m: 1_000 * UM_PER_MM,
  in: UM_PER_INCH,
  inch: UM_PER_INCH,
  inches: UM_PER_INCH,
  '"': UM_PER_INCH,
  '″': UM_PER_INCH,
  ft: 12 * UM_PER_INCH,
  yd: 36 * UM_PER_INCH,
  yds: 36 * UM_PER_INCH,
  yard: 36 * UM_PER_INCH,
  yards: 36 * UM_PER_INCH,
  metre: 1_000 * UM_PER_MM,
  metres: 1_000 * UM_PER_MM,
  meter: 1_000 * UM_PER_MM,
  meters: 1_000 * UM_PER_MM,
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
const VULGAR: Readonly<Record<string, string>> = {
  '¼': ' 1/4',
  '½': ' 1/2',
  '¾': ' 3/4',
  '⅛': ' 1/8',
  '⅜': ' 3/8',
  '⅝': ' 5/8',
  '⅞': ' 7/8',
};
const SHAPE = /^(-?)(?:(\d+(?:[.,]\d+)?)(?:\s+(\d+)\/(\d+))?|(\d+)\/(\d+))\s*([a-z"″]*)$/i;

/**
 * Reads a length as people say it: `5 1/8 in`, `13cm`, `2.4 m`, `3 yd`, `5/8"`.
 * A bare number is taken in `assumed`. Answers whole micrometres, or why not.
 */
export function parseLength(text: string, assumed: LengthUnit = 'mm'): ParsedLength | LengthRefusal {
  const given = text.trim();
  if (given === '') return { ok: false, code: 'length_missing', given };
  const plain = given.replace(/[¼½¾⅛⅜⅝⅞]/g, (mark) => VULGAR[mark] ?? mark).trim();
  const found = SHAPE.exec(plain);
  if (!found) return { ok: false, code: 'length_unclear', given };
  const [, minus, whole, top, bottom, loneTop, loneBottom, unit] = found;
  const perUnit = UNIT_UM[(unit || assumed).toLowerCase()];
  const over = Number(bottom ?? loneBottom ?? 1);
  if (perUnit === undefined || over === 0) return { ok: false, code: 'length_unclear', given };
  const value = Number((whole ?? '0').replace(',', '.')) + Number(top ?? loneTop ?? 0) / over;
  if (minus && value > 0) return { ok: false, code: 'length_negative', given };
  const um = Math.round(value * perUnit);
  if (um > MAX_UM) return { ok: false, code: 'length_too_long', given };
  return { ok: true, um };
}

const trimmed = (value: number, digits: number): string => String(Number(value.toFixed(digits)));

function gcd(a: number, b: number): number {
  return b === 0 ? a : gcd(b, a % b);
}

/** Writes micrometres in inches as crafters do, to the nearest 1/64: `5 1/8 in`. */
function printInches(um: number): string {
  const parts = Math.round((um * 64) / UM_PER_INCH);
  const whole = Math.floor(parts / 64);
  const rest = parts % 64;
  if (rest === 0) return `${whole} in`;
  const by = gcd(rest, 64);
  const fraction = `${rest / by}/${64 / by}`;
  return whole === 0 ? `${fraction} in` : `${whole} ${fraction} in`;
}

/** Writes micrometres in the given unit: inches as fractions, the rest as plain decimals. */
export function printLength(um: number, unit: LengthUnit): string {
  switch (unit) {
    case 'in':
      return printInches(um);
    case 'yd':
      return `${trimmed(um / (36 * UM_PER_INCH), 2)} yd`;
    case 'm':
      return `${trimmed(um / 1e6, 3)} m`;
    case 'cm':
      return `${trimmed(um / 1e4, 2)} cm`;
    case 'mm':
      return `${trimmed(um / UM_PER_MM, 2)} mm`;
  }
}
