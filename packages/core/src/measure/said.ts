/** Reading a number with a unit as people say it; lengths, masses, volumes and paper weights share it. */

/** Why a measure could not be read. */
export interface MeasureRefusal {
  readonly ok: false;
  readonly code: 'missing' | 'unclear' | 'negative' | 'too_much';
  readonly given: string;
}
interface Said {
  readonly ok: true;
  readonly value: number;
  /** What stood behind the number, lower case, single-spaced; empty when nothing did. */
  readonly unit: string;
}

const VULGAR: Readonly<Record<string, string>> = {
  '¼': ' 1/4',
  '½': ' 1/2',
  '¾': ' 3/4',
  '⅓': ' 1/3',
  '⅔': ' 2/3',
  '⅛': ' 1/8',
  '⅜': ' 3/8',
  '⅝': ' 5/8',
  '⅞': ' 7/8',
};
const SHAPE =
  /^(-?)(?:(\d+(?:[.,]\d+)?|[.,]\d+)(?:(?:\s+|-)(\d+)\s*\/\s*(\d+))?|(\d+)\s*\/\s*(\d+))\s*([a-z"″'′#.²/ ]*)$/i;
const THOUSANDS_OR_DECIMALS = /^[1-9]\d{0,2},\d{3}$/;

const plain = (text: string): string =>
  text
    .replace(/[¼½¾⅓⅔⅛⅜⅝⅞]/g, (mark) => VULGAR[mark] ?? mark)
    .replace(/\s+/g, ' ')
    .trim();

/** Splits `5 1/8 in`, `5-1/8"`, `13cm`, `,5 oz` into a number and its unit. Never throws. */
export function readSaid(text: string): Said | MeasureRefusal {
  const given = text.trim();
  if (given === '') return { ok: false, code: 'missing', given };
  const found = SHAPE.exec(plain(given));
  if (!found) return { ok: false, code: 'unclear', given };
  const [, minus, whole, top, bottom, loneTop, loneBottom, unit = ''] = found;
  const over = Number(bottom ?? loneBottom ?? 1);
  // "1,200" is a thousand and more to one person and a little over one to another: better asked again than guessed.
  if (over === 0 || (whole && THOUSANDS_OR_DECIMALS.test(whole)))
    return { ok: false, code: 'unclear', given };
  const value = Number((whole ?? '0').replace(',', '.')) + Number(top ?? loneTop ?? 0) / over;
  if (minus && value > 0) return { ok: false, code: 'negative', given };
  return { ok: true, value, unit: unit.toLowerCase().replace(/\./g, '').trim() };
}

export interface ParsedMeasure {
  readonly ok: true;
  /** Whole SI steps: µm, mg or µl. */
  readonly amount: number;
}

/** `5 ft 2 1/2 in`, `1 lb 4 oz`: where one unit ends and the next number begins. */
const NEXT_UNIT = /(?<=[a-z"″'′]\.?)\s*(?:,|and)?\s*(?=[\d¼½¾⅓⅔⅛⅜⅝⅞])/i;

/** Steps that a text says, its units from large to small; a bare number is taken in `assumed`. */
function stepsSaid(
  text: string,
  steps: Readonly<Record<string, number>>,
  assumed: string,
): number | MeasureRefusal['code'] {
  let total = 0;
  let larger = Infinity;
  const parts = text.split(NEXT_UNIT);
  for (const part of parts) {
    const said = readSaid(part);
    if (!said.ok) return said.code;
    const perUnit = steps[said.unit || (parts.length === 1 ? assumed : '')];
    if (perUnit === undefined || perUnit >= larger) return 'unclear';
    total += said.value * perUnit;
    larger = perUnit;
  }
  return total;
}

/** Makes a reader for one sort of measure: how many whole steps each unit is, and what is beyond belief. */
export const measureReader =
  (steps: Readonly<Record<string, number>>, most: number) =>
  (text: string, assumed: string): ParsedMeasure | MeasureRefusal => {
    const given = text.trim();
    const said = stepsSaid(given, steps, assumed);
    if (typeof said === 'string') return { ok: false, code: said, given };
    const amount = Math.round(said);
    return amount > most ? { ok: false, code: 'too_much', given } : { ok: true, amount };
  };

/** A number with at most so many decimals and no trailing zeros. */
export const decimals = (value: number, digits: number): string => String(Number(value.toFixed(digits)));

function gcd(a: number, b: number): number {
  return b === 0 ? a : gcd(b, a % b);
}

/** Writes a number with a fraction as crafters do, to the nearest `1/parts`: `5 1/8`. */
export function fraction(value: number, parts: number): string {
  const all = Math.round(value * parts);
  const whole = Math.floor(all / parts);
  const rest = all % parts;
  if (rest === 0) return String(whole);
  const by = gcd(rest, parts);
  const part = `${rest / by}/${parts / by}`;
  return whole === 0 ? part : `${whole} ${part}`;
}
