import Papa from 'papaparse';
import { formOf } from '../kinds/registry';
import { formFor } from '../stash/formFor';
import { FACT_COLUMNS, type FactField } from './factColumns';
import { LIST_FIELD_NAMES, LIST_FIELDS, type ListField } from './fields';
import type { Beside, OpeningCount, SupplyDraft } from './supplyDraft';

/** Quantity and level cells that `readQuantity` reads back to the same count. */
function quantityCells(supply: SupplyDraft & OpeningCount): { quantity: string; level: string } {
  const form = formFor(supply);
  // Whole micrometres in mm, so that nothing is rounded away.
  if (form.counting === 'length') return { quantity: `${supply.left / 1_000} mm`, level: '' };
  if (form.counting !== 'fill') return { quantity: String(supply.left), level: '' };
  const perFill = form.usesPerFill ?? 1;
  if (supply.items === 0 || supply.left >= supply.items * perFill)
    return { quantity: String(supply.items), level: supply.items === 0 ? 'empty' : 'full' };
  const share = supply.left / (supply.items * perFill);
  return { quantity: String(supply.items), level: `${Number((100 * share).toFixed(4))}%` };
}

/** A supply's facts, each in its cell. */
export const factCells = (supply: Pick<SupplyDraft, 'kind' | 'form' | 'facts'>): Record<FactField, string> =>
  Object.fromEntries(
    Object.entries(FACT_COLUMNS).map(([field, { write }]) => [field, write(supply.facts, supply)]),
  ) as Record<FactField, string>;

/** What a spreadsheet would run, whatever comes after it, also on further lines. */
const FORMULA = /^[=+\-@\t\r]/;

/** Writes supplies as CSV (RFC 4180) with the headings that importing recognises. */
export function writeCsv(supplies: readonly (SupplyDraft & OpeningCount & Beside)[]): string {
  const rows = supplies.map((supply) => {
    const cells: Record<ListField, string> = {
      kind: supply.kind,
      form: formOf(supply.kind, supply.form).name,
      name: supply.name,
      maker: supply.maker,
      range: supply.range,
      code: supply.code,
      colour: supply.hex,
      finish: supply.finish,
      family: supply.familyOverride ?? '',
      familyReason: supply.familyReason,
      place: supply.place ?? '',
      lots: supply.lots ?? '',
      aside: supply.aside ?? '',
      note: supply.note,
      ...factCells(supply),
      ...quantityCells(supply),
    };
    return LIST_FIELDS.map((field) => cells[field]);
  });
  return writeTable([LIST_FIELDS.map((field) => LIST_FIELD_NAMES[field]), ...rows]);
}

/** A table with its headings first as CSV; what a spreadsheet would take for a formula is kept text. */
export const writeTable = (table: readonly (readonly string[])[]): string =>
  Papa.unparse(table as string[][], { escapeFormulae: FORMULA, newline: '\r\n' });
