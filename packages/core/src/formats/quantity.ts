import type { FormDefinition } from '../kinds/definition';
import { parseLength } from '../measure/length';
import { LEVELS, usesAtLevel } from '../stock/level';
import type { CellRefusal } from './refusal';
import type { OpeningCount } from './supplyDraft';

type QuantityReading =
  { readonly ok: true; readonly count: OpeningCount } | { readonly ok: false; readonly refusal: CellRefusal };

const refused = (
  field: 'quantity' | 'level',
  code: CellRefusal['code'],
  given: string,
  known?: readonly string[],
): QuantityReading => ({
  ok: false,
  refusal: { field, code, given, ...(known ? { known } : {}) },
});

/** Most of anything a list may claim; beyond it a column was mixed up. */
const MOST_COUNTED = 100_000;

/**
 * Reads how many there are: `3`, `2.4 m` for lengths, and for pads and markers how full the open one is
 * (`full`, `half`, `low`, `empty`) or how full all of them are together (`45%`). Null when the cells say nothing.
 */
export function readQuantity(quantity: string, level: string, form: FormDefinition): QuantityReading | null {
  if (quantity === '' && level === '') return null;
  if (form.counting === 'length') {
    const length = parseLength(quantity, 'm');
    if (!length.ok)
      return refused('quantity', length.code === 'length_negative' ? 'negative' : 'not_a_quantity', quantity);
    return { ok: true, count: { items: length.um > 0 ? 1 : 0, left: length.um } };
  }
  const number = quantity === '' ? 1 : Number(quantity);
  if (number < 0) return refused('quantity', 'negative', quantity);
  if (!Number.isInteger(number) || number > MOST_COUNTED)
    return refused('quantity', 'not_a_quantity', quantity);
  if (form.counting !== 'fill') return { ok: true, count: { items: number, left: number } };
  return readFill(number, level, form.usesPerFill ?? 1);
}

function readFill(items: number, level: string, perFill: number): QuantityReading {
  if (level === '') return { ok: true, count: { items, left: items * perFill } };
  const percent = /^(\d{1,3}(?:\.\d+)?)\s*%$/.exec(level);
  if (percent && Number(percent[1]) <= 100)
    return { ok: true, count: { items, left: Math.round((Number(percent[1]) / 100) * items * perFill) } };
  const word = LEVELS.find((known) => known === level.toLowerCase());
  if (!word) return refused('level', 'unknown_level', level, LEVELS);
  return { ok: true, count: { items, left: usesAtLevel(items, word, perFill) } };
}
