import { parseLength, type LengthUnit } from './length';

export type SizeReading =
  | { readonly ok: true; readonly um: readonly number[] }
  | { readonly ok: false; readonly code: 'sides' | 'side'; readonly given: string };

/** Between sides people write ×, x, * or by. */
const BETWEEN = /\s*(?:×|\*|(?<=[\d\s"″'′a-z])x(?=[\s\d])|\bby\b)\s*/i;
const UNIT = /[a-z"″'′]+\s*$/i;

/**
 * Reads the sides of a thing as people say them: `98 × 20 × 66 mm`, `8 1/2 x 11 in`, `20 cm by 30 cm`. A side without
 * a unit takes the one of the side after it; where none has one, `assumed`. Answers whole micrometres, one for each of
 * `sides` sides.
 */
export function parseSize(text: string, sides: number, assumed: LengthUnit = 'mm'): SizeReading {
  const parts = text.trim().split(BETWEEN);
  if (parts.length !== sides) return { ok: false, code: 'sides', given: text };
  let unit: string = assumed;
  const um: number[] = [];
  for (const part of [...parts].reverse()) {
    const own = UNIT.exec(part)?.[0];
    if (own !== undefined) unit = own;
    const length = parseLength(own === undefined ? `${part} ${unit}` : part, assumed);
    if (!length.ok) return { ok: false, code: 'side', given: part };
    um.unshift(length.um);
  }
  return { ok: true, um };
}
