import { readAside, type Aside } from './asideCell';
import { readLots, wholesOf, type LotSaid } from './lotsCell';
import { FAMILIES, isFamily } from '../colour/families';
import { FINISHES, type Finish } from '../colour/family';
import { parseColour } from '../colour/parse';
import { KINDS, type FormDefinition, type Kind } from '../kinds/definition';
import { findForm, formOf, formsOfKind, KIND_DEFINITIONS } from '../kinds/registry';
import { fold } from '../text/fold';
import type { Facts } from '../stash/facts';
import { familyWithout, NO_COLOUR } from '../stash/colourless';
import { formFor } from '../stash/formFor';
import { FACT_COLUMNS, type FactColumn, type FactField } from './factColumns';
import { beginningOf, cleanLine, cleanText } from '../text/clean';
import { factsSchema } from '../stash/factsSchema';
import { STATUSES } from '../stash/standing';
import type { ColumnMapping, ListField } from './fields';
import { readQuantity } from './quantity';
import type { CellRefusal } from './refusal';
import { MOST_CHARACTERS, type Formed, type OpeningCount, type SupplyDraft } from './supplyDraft';

/** Answers for fields a file does not have. */
export interface RowDefaults {
  readonly kind: Kind;
  readonly form?: string;
  /** The hex of a colour that is called so, beyond those a screen knows; null where none is. */
  readonly colourCalled?: (name: string) => string | null;
  /** The person's own, for prices that name none. */
  readonly currency?: string;
}

export type RowReading =
  | {
      readonly ok: true;
      readonly draft: SupplyDraft;
      /** Null where the file says nothing of how many. */
      readonly count: OpeningCount | null;
      /** Where the file says it is, as printed on labels; empty where it does not. */
      readonly place: string;
      /** How it is spread; null where the file does not say. */
      readonly lots: readonly LotSaid[] | null;
      /** What is put aside of it; null where the file does not say. */
      readonly aside: readonly Aside[] | null;
      /** Fields the file really has, for changing only those of a supply that is already there. */
      readonly given: ReadonlySet<ListField>;
    }
  | { readonly ok: false; readonly refusals: readonly CellRefusal[] };

/** Spreadsheet programs run cells that begin with = + - @; exports guard them with an apostrophe, which is taken off here. */
const unguard = (cell: string): string => (/^'[=+\-@\t\r]/.test(cell) ? cell.slice(1) : cell);

/** Reads one row of a list into a supply, or says cell by cell what is wrong with it. */
export function readRow(cells: readonly string[], mapping: ColumnMapping, defaults: RowDefaults): RowReading {
  const refusals: CellRefusal[] = [];
  const given = new Set<ListField>();
  const cell = (field: ListField): string => {
    const column = mapping[field];
    const typed = column === undefined ? '' : (cells[column] ?? '');
    const text = unguard(field === 'note' ? cleanText(typed) : cleanLine(typed));
    if (text !== '') given.add(field);
    return text;
  };
  const text = (field: keyof typeof MOST_CHARACTERS): string => {
    const value = cell(field);
    const most = MOST_CHARACTERS[field];
    if (value.length > most)
      refusals.push({ field, code: 'too_long', given: `${value.slice(0, 20)}…`, most });
    return value;
  };
  const oneOf = <T extends string>(
    field: ListField,
    known: readonly T[],
    code: CellRefusal['code'],
    absent: T,
  ): T => {
    const word = cell(field);
    if (word === '') return absent;
    const found = known.find((k) => fold(k) === fold(word));
    if (!found) refusals.push({ field, code, given: word, known });
    return found ?? absent;
  };

  const kind = readKind(cell('kind'), defaults.kind, refusals);
  const form = readForm(cell('form'), kind, defaults, refusals);
  const name = text('name');
  if (name === '') refusals.push({ field: 'name', code: 'missing', given: '' });
  const familyWord = fold(cell('family')).replace('gray', 'grey');
  const said = readColour(cell('colour'), defaults);
  const missing = !said.ok && said.code === 'colour_missing';
  const without = missing ? familyWithout(kind, form.id, familyWord === 'none' ? 'none' : null) : null;
  const colour = without ? { ok: true as const, hex: NO_COLOUR } : said;
  if (!colour.ok)
    refusals.push(
      colour.code === 'colour_missing'
        ? { field: 'colour', code: 'missing', given: '' }
        : { field: 'colour', code: 'not_a_colour', given: colour.given },
    );
  const finish = oneOf<Finish>('finish', FINISHES, 'unknown_finish', 'matte');
  const familyReason = text('familyReason');
  const familyOverride = isFamily(familyWord) ? familyWord : without;
  if (familyWord !== '' && !isFamily(familyWord))
    refusals.push({ field: 'family', code: 'unknown_family', given: cell('family'), known: FAMILIES });
  const facts = readFacts(cell, { kind, form: form.id, currency: defaults.currency }, refusals);
  // Where the row says how much a full one holds, its level is of that.
  const quantity = readQuantity(cell('quantity'), cell('level'), formFor({ kind, form: form.id, facts }));
  if (quantity !== null && !quantity.ok) refusals.push(quantity.refusal);
  const beside = readBeside(cell, { kind, form: form.id }, quantity, refusals);
  const draft: Omit<SupplyDraft, 'hex'> = {
    kind,
    form: form.id,
    name,
    maker: text('maker'),
    range: text('range'),
    code: text('code'),
    finish,
    familyOverride,
    familyReason,
    note: text('note'),
    facts,
  };
  if (refusals.length > 0 || !colour.ok) return { ok: false, refusals };
  const count = quantity?.ok ? quantity.count : null;
  return { ok: true, draft: { ...draft, hex: colour.hex }, count, given, place: cell('place'), ...beside };
}

/** How it is spread and what is put aside of it. Lots that are not what was counted are refused: one of the two is a slip. */
function readBeside(
  cell: (field: ListField) => string,
  of: Formed,
  quantity: ReturnType<typeof readQuantity>,
  refusals: CellRefusal[],
): { lots: readonly LotSaid[] | null; aside: readonly Aside[] | null } {
  const refuse = (field: ListField, code: CellRefusal['code']): void =>
    void refusals.push({ field, code, given: beginningOf(cell(field), 40) });
  const lots = cell('lots') === '' ? null : readLots(cell('lots'), of);
  const aside = cell('aside') === '' ? null : readAside(cell('aside'));
  if (cell('lots') !== '' && !lots) refuse('lots', 'unreadable');
  if (cell('aside') !== '' && !aside) refuse('aside', 'unreadable');
  if (lots && quantity?.ok && cell('quantity') !== '') {
    const [all, key] = [
      wholesOf(lots),
      formOf(of.kind, of.form).counting === 'fill' ? 'items' : 'left',
    ] as const;
    if (all[key] !== quantity.count[key]) refuse('lots', 'lots_differ');
  }
  return { lots, aside };
}

/** A colour as a list says it: a hex, a name a screen knows, or one of the many others that are called something. */
function readColour(text: string, { colourCalled }: RowDefaults): ReturnType<typeof parseColour> {
  const read = parseColour(text);
  if (read.ok || read.code !== 'colour_unknown') return read;
  const hex = colourCalled?.(text) ?? null;
  return hex === null ? read : { ok: true, hex };
}

/** Why a fact is refused, where there is more to say than that it cannot be read. */
const WHY: Partial<Record<FactField, Pick<CellRefusal, 'code' | 'known'>>> = {
  tags: { code: 'too_long' },
  standing: { code: 'unknown_standing', known: STATUSES },
  barcode: { code: 'not_a_barcode' },
  acquired: { code: 'not_a_day' },
  opened: { code: 'not_a_day' },
  decideBy: { code: 'not_a_day' },
};

/** What a row says of a supply's facts; what is not in the file is left out. */
function readFacts(cell: (field: ListField) => string, of: Formed, refusals: CellRefusal[]): Facts {
  const facts: Record<string, unknown> = {};
  for (const [field, { read }] of Object.entries(FACT_COLUMNS) as [FactField, FactColumn][]) {
    const text = cell(field);
    if (text === '') continue;
    const checked = factsSchema.partial().safeParse(read(text, of) ?? UNREADABLE);
    if (checked.success) Object.assign(facts, checked.data);
    else refusals.push({ field, given: beginningOf(text, 40), ...(WHY[field] ?? { code: 'unreadable' }) });
  }
  return facts;
}
const UNREADABLE = { attributes: null };

function readKind(word: string, absent: Kind, refusals: CellRefusal[]): Kind {
  if (word === '') return absent;
  const wanted = fold(word);
  const found = KINDS.find((kind) => {
    const { name, plural } = KIND_DEFINITIONS[kind];
    return [kind, name, plural, `${name}s`].some((known) => fold(known) === wanted);
  });
  if (found) return found;
  if (wanted === 'card' || wanted === 'paper') return 'cardstock';
  if (wanted === 'pen' || wanted === 'pens') return 'marker';
  refusals.push({ field: 'kind', code: 'unknown_kind', given: word, known: KINDS });
  return absent;
}

function readForm(word: string, kind: Kind, defaults: RowDefaults, refusals: CellRefusal[]): FormDefinition {
  const usual =
    findForm(kind, defaults.kind === kind ? (defaults.form ?? '') : '') ??
    findForm(kind, KIND_DEFINITIONS[kind].defaultForm);
  const fallback = usual ?? formsOfKind(kind)[0];
  if (!fallback) throw new Error(`Kind ${kind} has no forms`);
  if (word === '') return fallback;
  const found = formsOfKind(kind).find((form) =>
    [form.id, form.name].some((known) => fold(known) === fold(word)),
  );
  if (found) return found;
  refusals.push({
    field: 'form',
    code: 'unknown_form',
    given: word,
    known: formsOfKind(kind).map((form) => form.name),
  });
  return fallback;
}
