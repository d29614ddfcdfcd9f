import Papa from 'papaparse';
import { guessMapping } from './fields';

export interface CsvTable {
  readonly ok: true;
  readonly encoding: 'utf-8' | 'utf-16le' | 'utf-16be' | 'windows-1252';
  readonly delimiter: string;
  readonly headings: readonly string[];
  /** Cells by row; a row's line number in the file is in `lines`. */
  readonly rows: readonly (readonly string[])[];
  /** 1-based row numbers as a spreadsheet shows them: the heading row is 1. */
  readonly lines: readonly number[];
}
export interface CsvRefusal {
  readonly ok: false;
  readonly code:
    | 'csv_empty'
    | 'csv_no_rows'
    | 'csv_not_text'
    | 'csv_open_quote'
    | 'csv_too_many_rows'
    | 'csv_too_many_columns'
    | 'csv_too_long_line';
  readonly line?: number;
  readonly have?: number;
  readonly most?: number;
}

export const MOST_CSV_ROWS = 20_000;
const MOST_CSV_COLUMNS = 200;

/** The text of a file and how it was encoded: a byte order mark decides, else UTF-8 if valid, else Windows-1252. */
function decodeText(bytes: Uint8Array): { text: string; encoding: CsvTable['encoding'] } {
  const starts = (...mark: number[]): boolean => mark.every((byte, i) => bytes[i] === byte);
  if (starts(0xff, 0xfe)) return { text: new TextDecoder('utf-16le').decode(bytes), encoding: 'utf-16le' };
  if (starts(0xfe, 0xff)) return { text: new TextDecoder('utf-16be').decode(bytes), encoding: 'utf-16be' };
  try {
    return { text: new TextDecoder('utf-8', { fatal: true }).decode(bytes), encoding: 'utf-8' };
  } catch {
    // Not valid UTF-8: the other thing spreadsheets write.
    return { text: new TextDecoder('windows-1252').decode(bytes), encoding: 'windows-1252' };
  }
}

/** A row of a list is never so long: what is, is no list, and costs a parser minutes to find out. */
const MOST_LINE = 100_000;

/** A text without the blank lines at its end, each looked at once. */
function withoutBlankEnd(text: string): string {
  let end = text.length;
  while (end > 0 && (text[end - 1] === '\n' || text[end - 1] === '\r')) end--;
  return text.slice(0, end);
}

/** The first line that is longer than any row, from 1; null where there is none. */
function longLine(text: string): number | null {
  let [from, line] = [0, 1];
  while (text.length - from > MOST_LINE) {
    const end = text.indexOf('\n', from);
    if (end < 0 || end - from > MOST_LINE) return line;
    from = end + 1;
    line++;
  }
  return null;
}

/** Rows a delimiter is judged by, and how much text they may be. */

const JUDGED_ROWS = 20;
const JUDGED_CHARACTERS = 200_000;

/** The delimiter under which the headings make most sense, and failing that the rows have most columns. */
function guessDelimiter(text: string): string {
  const head = text.slice(0, JUDGED_CHARACTERS);
  const judged = [',', ';', '\t', '|'].map((delimiter) => {
    const { data } = Papa.parse<string[]>(head, { delimiter, preview: JUDGED_ROWS });
    const known = Object.keys(guessMapping(data[0] ?? [])).length;
    return { delimiter, known, columns: Math.min(...data.map((row) => row.length)) };
  });
  judged.sort((p, q) => q.known - p.known || q.columns - p.columns);
  return judged[0]?.delimiter ?? ',';
}

/** Reads a CSV file of unknown delimiter and encoding. Bad files are refused with the line at fault. */
export function readCsv(bytes: Uint8Array): CsvTable | CsvRefusal {
  const { text, encoding } = decodeText(bytes);
  if (text.trim() === '') return { ok: false, code: 'csv_empty' };
  if (text.includes('\u0000')) return { ok: false, code: 'csv_not_text' };
  const body = withoutBlankEnd(text.replace(/^\uFEFF/, ''));
  const long = longLine(body);
  if (long !== null) return { ok: false, code: 'csv_too_long_line', line: long, most: MOST_LINE };
  const delimiter = guessDelimiter(body);
  const parsed = Papa.parse<string[]>(body, { delimiter, skipEmptyLines: false });
  const broken = parsed.errors.find((error) => error.type === 'Quotes');
  if (broken) return { ok: false, code: 'csv_open_quote', line: (broken.row ?? 0) + 1 };
  const filled = parsed.data
    .map((cells, i) => ({ cells: cells.map((cell) => cell.trim()), line: i + 1 }))
    .filter(({ cells }) => cells.some((cell) => cell !== ''));
  const [heading, ...supplies] = filled;
  if (!heading || supplies.length === 0) return { ok: false, code: 'csv_no_rows' };
  if (supplies.length > MOST_CSV_ROWS)
    return { ok: false, code: 'csv_too_many_rows', have: supplies.length, most: MOST_CSV_ROWS };
  if (heading.cells.length > MOST_CSV_COLUMNS)
    return { ok: false, code: 'csv_too_many_columns', have: heading.cells.length, most: MOST_CSV_COLUMNS };
  return {
    ok: true,
    encoding,
    delimiter,
    headings: heading.cells,
    rows: supplies.map(({ cells }) => cells),
    lines: supplies.map(({ line }) => line),
  };
}
