import type { Supply } from '../stash/supply';
import { parseColour } from '../colour/parse';
import { readCsv } from '../formats/csvRead';
import { fold } from '../text/fold';
import { beginningOf, cleanLine } from '../text/clean';

/** One colour of a maker's range. */
export interface RangeEntry {
  readonly name: string;
  readonly code: string;
  readonly hex: string;
}
export interface RangeRefusal {
  readonly ok: false;
  readonly code: 'not_a_list' | 'nothing_in_it' | 'no_columns';
}
export type RangeReading =
  | {
      readonly ok: true;
      readonly name: string;
      readonly entries: readonly RangeEntry[];
      readonly leftOut: number;
    }
  | RangeRefusal;

const MOST_ENTRIES = 3000;

/** Reads a GIMP palette (.gpl): a header, then `red green blue name` lines. Format: GIMP Manual, "Palettes". */
function readGpl(text: string): RangeReading {
  const lines = text.split(/\r?\n/);
  const name = lines.map((line) => /^Name:\s*(.+)$/.exec(line)?.[1]).find(Boolean) ?? '';
  let leftOut = 0;
  const entries = lines.slice(1).flatMap((line): RangeEntry[] => {
    if (/^\s*(#|$|Name:|Columns:)/.test(line)) return [];
    const found = /^\s*(\d{1,3})\s+(\d{1,3})\s+(\d{1,3})(?:\s+(.*))?$/.exec(line);
    const rgb = found?.slice(1, 4).map(Number) ?? [];
    const said = found?.[4]?.trim() ?? '';
    if (!found || said === '' || rgb.some((byte) => byte > 255)) {
      leftOut++;
      return [];
    }
    return [
      { name: said, code: '', hex: `#${rgb.map((byte) => byte.toString(16).padStart(2, '0')).join('')}` },
    ];
  });
  return entries.length === 0
    ? { ok: false, code: 'nothing_in_it' }
    : { ok: true, name, entries: entries.slice(0, MOST_ENTRIES), leftOut };
}

const HEADINGS = {
  name: ['name', 'colour name', 'color name', 'colour', 'color'],
  code: ['code', 'number', 'no', 'no.', '#'],
  hex: ['hex', 'colour', 'color', 'rgb', 'value'],
} as const;

/** Reads a range's checklist from a CSV with name, code and hex columns, or from a .gpl palette. */
export function readRange(bytes: Uint8Array): RangeReading {
  const start = new TextDecoder().decode(bytes.slice(0, 64));
  if (start.startsWith('GIMP Palette')) return readGpl(new TextDecoder().decode(bytes));
  const table = readCsv(bytes);
  if (!table.ok) return { ok: false, code: 'not_a_list' };
  const headings = table.headings.map(fold);
  const column = (names: readonly string[], not: readonly number[] = []): number =>
    headings.findIndex((heading, i) => names.includes(heading) && !not.includes(i));
  const hex = column(['hex', 'rgb', 'value']) >= 0 ? column(['hex', 'rgb', 'value']) : column(HEADINGS.hex);
  const name = column(HEADINGS.name, [hex]);
  const code = column(HEADINGS.code, [hex, name]);
  if (hex < 0 || name < 0) return { ok: false, code: 'no_columns' };
  let leftOut = 0;
  const entries = table.rows.flatMap((row): RangeEntry[] => {
    const colour = parseColour(row[hex] ?? '');
    const said = (row[name] ?? '').trim();
    if (!colour.ok || said === '') {
      leftOut++;
      return [];
    }
    return [
      {
        name: beginningOf(cleanLine(said), 120),
        code: beginningOf(cleanLine(code < 0 ? '' : (row[code] ?? '')), 40),
        hex: colour.hex,
      },
    ];
  });
  return entries.length === 0
    ? { ok: false, code: 'nothing_in_it' }
    : { ok: true, name: '', entries: entries.slice(0, MOST_ENTRIES), leftOut };
}

type Known = Pick<Supply, 'id' | 'name' | 'code' | 'maker' | 'range'> & { readonly kind: string };

/** Which entries of a range are owned already: the same code in the range, or the same name by the same maker. */
export function ownedOfRange<T extends Known>(
  entries: readonly RangeEntry[],
  range: { readonly maker: string; readonly name: string; readonly kind: string },
  supplies: readonly T[],
): (T | null)[] {
  const maker = fold(range.maker);
  const inReach = supplies.filter((supply) => supply.kind === range.kind && fold(supply.maker) === maker);
  const byName = new Map(inReach.map((supply) => [fold(supply.name), supply]));
  const byCode = new Map(
    inReach.flatMap((supply): [string, T][] =>
      supply.code !== '' && fold(supply.range) === fold(range.name) ? [[fold(supply.code), supply]] : [],
    ),
  );
  return entries.map(
    ({ name, code }) => (code === '' ? undefined : byCode.get(fold(code))) ?? byName.get(fold(name)) ?? null,
  );
}
