import {
  guessByContent,
  guessMapping,
  inStash,
  planImport,
  readCsv,
  spotCalled,
  type CsvRefusal,
  type CsvTable,
  type KnownSupply,
  type RowVerdict,
} from '@red-shelf/core';
import {
  PREFERENCES_ID,
  type ImportChoices,
  type ImportPreview,
  type ImportProgress,
  type RowView,
  type UnitView,
  type UploadView,
} from '@red-shelf/contract';
import { asideOf } from './aside';
import { asidesIn } from './asides';
import { fingerprint } from '../db/fingerprint';
import { allSupplies } from '../db/supplyRepository';
import { recordRow } from '../db/recordRepository';
import { standingUnits } from '../db/unitRepository';
import type { Readable } from '../db/tx';
import { colourNames } from './colourNames';
import { notFound, Refusal } from './refusal';
import type { Context } from './context';
import { supplyToView, unitToView } from './views';

/** A list that was uploaded and waits for the person's word. Nothing of it is in the stash. */
export interface Upload {
  readonly bytes: Uint8Array;
  progress: ImportProgress;
  /** Ends what is being done with it. */
  cancel: AbortController;
}

/** Uploads waiting in memory; the oldest makes way. Losing one costs choosing the file again. */
const MOST_WAITING = 8;
export class Uploads {
  private readonly waiting = new Map<string, Upload>();
  add(id: string, bytes: Uint8Array, rows: number): void {
    const oldest = this.waiting.keys().next();
    if (this.waiting.size >= MOST_WAITING && !oldest.done) this.waiting.delete(oldest.value);
    const progress: ImportProgress = {
      state: 'waiting',
      done: 0,
      total: rows,
      changeId: null,
      reason: null,
    };
    this.waiting.set(id, { bytes, progress, cancel: new AbortController() });
  }
  get(id: string): Upload {
    const found = this.waiting.get(id);
    if (!found) throw notFound('uploaded list');
    return found;
  }
}

const UNREADABLE: Record<CsvRefusal['code'], (refusal: CsvRefusal) => string> = {
  csv_empty: () => 'The file is empty.',
  csv_no_rows: () => 'The file has a heading row but no supplies under it.',
  csv_not_text: () => 'This is not a text file. Save the sheet as CSV and choose that.',
  csv_open_quote: ({ line }) =>
    `A quotation mark is opened and never properly closed, near row ${line}. Mend it and choose the file again.`,
  csv_too_many_rows: ({ have, most }) =>
    `The list has ${have} rows; at most ${most} are read at once. Split it.`,
  csv_too_long_line: ({ line, most }) =>
    `Line ${line} is longer than ${most} characters, which no row of a list is. Check that it is a list.`,
  csv_too_many_columns: ({ have, most }) => `The list has ${have} columns; at most ${most} are read.`,
};

/** The rows of a list, or why it is none. */
function tableOf(bytes: Uint8Array): CsvTable {
  const table = readCsv(bytes);
  if (!table.ok) throw new Refusal(422, table.code, UNREADABLE[table.code](table));
  return table;
}

/** What an uploaded file is, and what its columns seem to be. */
export function readList(bytes: Uint8Array): Omit<UploadView, 'id'> {
  const { encoding, delimiter, headings, rows } = tableOf(bytes);
  return {
    encoding,
    delimiter,
    headings: [...headings],
    sample: rows.slice(0, 5).map((row) => [...row]),
    rows: rows.length,
    mapping: guessByContent(guessMapping(headings), headings, rows),
  };
}

/** Reads an uploaded file and keeps it for mapping and preview. */
export async function receiveList(
  context: Context,
  uploads: Uploads,
  bytes: Uint8Array,
  signal?: AbortSignal,
): Promise<UploadView> {
  const list = await asideOf(context)('readList', { bytes }, { signal });
  const id = context.ports.newId();
  uploads.add(id, bytes, list.rows);
  return { id, ...list };
}

/** The person's currency, where they said one. */
async function moneyOf(db: Readable): Promise<{ currency?: string }> {
  const kept = await recordRow(db, PREFERENCES_ID);
  return kept?.removedAt === null && kept.body.sort === 'preferences' ? { currency: kept.body.currency } : {};
}

/** What is called a colour in the long list of names, as a form knows them too. */
async function coloursByName(): Promise<(name: string) => string | null> {
  const names = await colourNames();
  return (name) => names.called([name])[0]?.hex ?? null;
}

interface ListToPlan {
  readonly bytes: Uint8Array;
  readonly choices: ImportChoices;
}
/** What importing would do to every row, against the stash as it is now. */
export async function planUpload(
  db: Readable,
  { bytes, choices }: ListToPlan,
): Promise<{ verdicts: RowVerdict[]; token: string }> {
  const table = tableOf(bytes);
  const here = (await allSupplies(db)).filter(({ supply }) => inStash(supply));
  const asides = await asidesIn(db);
  const known = here.map((found): KnownSupply => {
    const { items, left } = supplyToView(found).stock;
    return { ...found.supply, items, left, aside: asides.get(found.supply.id) ?? '' };
  });
  const verdicts = planImport(
    {
      rows: table.rows,
      lines: table.lines,
      mapping: choices.mapping,
      defaults: { ...choices.defaults, colourCalled: await coloursByName(), ...(await moneyOf(db)) },
    },
    known,
  );
  const outcome = verdicts.map((row) => [
    row.line,
    row.verdict,
    'id' in row ? row.id : '',
    'fields' in row ? row.fields : '',
  ]);
  return { verdicts, token: fingerprint(outcome) };
}

export async function previewList({ store }: Context, list: ListToPlan): Promise<ImportPreview> {
  const { verdicts, token } = await planUpload(store.read, list);
  const units = (await standingUnits(store.read)).filter(({ sort }) => sort === 'unit').map(unitToView);
  const tally = { add: 0, change: 0, same: 0, refuse: 0 };
  for (const { verdict } of verdicts) tally[verdict]++;
  return { rows: verdicts.map((row) => rowToView(row, units)), ...tally, token };
}

export const previewImport = async (
  context: Context,
  uploads: Uploads,
  id: string,
  choices: ImportChoices,
  signal?: AbortSignal,
): Promise<ImportPreview> =>
  asideOf(context)('previewList', { bytes: uploads.get(id).bytes, choices }, { signal });

/** The first place a new thing is said to be in that is not there; null where all are. */
function noSuchPlace(row: RowVerdict, units: readonly UnitView[]): string | null {
  if (row.verdict !== 'add') return null;
  const said = row.lots ? row.lots.map(({ place }) => place) : [row.place];
  return said.find((place) => place !== '' && !spotCalled(place, units)) ?? null;
}

function rowToView(row: RowVerdict, units: readonly UnitView[]): RowView {
  const refused = row.verdict === 'refuse';
  return {
    line: row.line,
    verdict: row.verdict,
    name: refused ? row.name : row.draft.name,
    hex: refused ? null : row.draft.hex,
    fields: row.verdict === 'change' ? [...row.fields] : [],
    refusals: refused ? row.refusals.map((r) => ({ ...r, known: r.known ? [...r.known] : undefined })) : [],
    sameAsLine: refused ? (row.sameAsLine ?? null) : null,
    noSuchPlace: noSuchPlace(row, units),
  };
}
