import { fold } from '../text/fold';
import type { Facts } from '../stash/facts';
import { formFor } from '../stash/formFor';
import { factCells } from './csvWrite';
import { writeAside, type Aside } from './asideCell';
import { wholesOf, type LotSaid } from './lotsCell';
import { FACT_COLUMNS, type FactField } from './factColumns';
import type { ColumnMapping, ListField } from './fields';
import type { CellRefusal } from './refusal';
import { readRow, type RowDefaults } from './rowRead';
import type { Beside, OpeningCount, SupplyDraft } from './supplyDraft';

/** A supply that is already in the stash, as an import sees it. */
export interface KnownSupply extends SupplyDraft, OpeningCount, Pick<Beside, 'aside'> {
  readonly id: string;
}

/** What will become of one row. */
export type RowVerdict =
  | {
      readonly line: number;
      readonly verdict: 'add';
      readonly draft: SupplyDraft;
      readonly count: OpeningCount;
      readonly place: string;
      readonly lots: readonly LotSaid[] | null;
      readonly aside: readonly Aside[];
    }
  | {
      readonly line: number;
      readonly verdict: 'change';
      readonly id: string;
      readonly draft: SupplyDraft;
      readonly count: OpeningCount | null;
      /** Null where that stays as it is. */
      readonly aside: readonly Aside[] | null;
      readonly fields: readonly ListField[];
    }
  | { readonly line: number; readonly verdict: 'same'; readonly id: string; readonly draft: SupplyDraft }
  | {
      readonly line: number;
      readonly verdict: 'refuse';
      readonly refusals: readonly CellRefusal[];
      /** Set when an earlier row of the file is the same supply. */
      readonly sameAsLine?: number;
      readonly name: string;
    };

/** Two rows speak of one supply when kind, form, maker, range, code and name agree. */
const identity = (s: SupplyDraft): string =>
  [s.kind, s.form, s.maker, s.range, s.code, s.name].map(fold).join('\u0001');

/** Fields an import may change on a supply that is there; the others are what it is known by. */
const CHANGEABLE = {
  colour: 'hex',
  finish: 'finish',
  family: 'familyOverride',
  familyReason: 'familyReason',
  note: 'note',
} as const satisfies Partial<Record<ListField, keyof SupplyDraft>>;

export interface ListToImport {
  readonly rows: readonly (readonly string[])[];
  readonly lines: readonly number[];
  readonly mapping: ColumnMapping;
  readonly defaults: RowDefaults;
}

/** Says of every row what importing it would do. Writes nothing; the same input always gives the same plan. */
export function planImport(list: ListToImport, known: readonly KnownSupply[]): RowVerdict[] {
  const byIdentity = new Map(known.map((supply) => [identity(supply), supply]));
  const seen = new Map<string, number>();
  return list.rows.map((cells, i): RowVerdict => {
    const line = list.lines[i] ?? i + 2;
    const reading = readRow(cells, list.mapping, list.defaults);
    if (!reading.ok) {
      const column = list.mapping.name;
      const name = column === undefined ? '' : (cells[column] ?? '');
      return { line, verdict: 'refuse', refusals: reading.refusals, name };
    }
    const key = identity(reading.draft);
    const earlier = seen.get(key);
    if (earlier !== undefined)
      return { line, verdict: 'refuse', refusals: [], sameAsLine: earlier, name: reading.draft.name };
    seen.set(key, line);
    const there = byIdentity.get(key);
    if (!there)
      return {
        line,
        verdict: 'add',
        draft: reading.draft,
        count: reading.count ?? (reading.lots ? wholesOf(reading.lots) : { items: 0, left: 0 }),
        place: reading.place,
        lots: reading.lots,
        aside: reading.aside ?? [],
      };
    return compare(line, reading, there);
  });
}

function compare(
  line: number,
  reading: Extract<ReturnType<typeof readRow>, { ok: true }>,
  there: KnownSupply,
): RowVerdict {
  const fields: ListField[] = [];
  const next: Record<string, unknown> = {};
  for (const [field, key] of Object.entries(CHANGEABLE) as [keyof typeof CHANGEABLE, keyof SupplyDraft][]) {
    if (!reading.given.has(field) || reading.draft[key] === there[key]) continue;
    next[key] = reading.draft[key];
    fields.push(field);
  }
  const [now, then] = [factCells(there), factCells({ ...there, facts: reading.draft.facts })];
  const said = (Object.keys(now) as FactField[]).filter(
    (field) => reading.given.has(field) && now[field] !== then[field],
  );
  fields.push(...said);
  const facts = Object.assign(
    {},
    there.facts,
    ...said.map((field) => factsIn(field, reading.draft.facts)),
  ) as Facts;
  const count = reading.count && asCounted(reading.count, reading.draft, { ...there, facts });
  const recount = count !== null && (count.items !== there.items || count.left !== there.left);
  if (recount) fields.push('quantity');
  const { id, items: _items, left: _left, aside: kept = '', ...before } = there;
  const aside = reading.aside && writeAside(reading.aside) !== kept ? reading.aside : null;
  if (aside) fields.push('aside');
  const draft: SupplyDraft = { ...before, ...next, facts };
  if (fields.length === 0) return { line, verdict: 'same', id, draft };
  return { line, verdict: 'change', id, draft, count: recount ? count : null, aside, fields };
}

/** What one column says of the facts that were read from all of them. */
const factsIn = (field: FactField, facts: Facts): Partial<Facts> =>
  Object.fromEntries(FACT_COLUMNS[field].keys.map((key) => [key, facts[key]]));

/** A count that was read by the uses the row knows of, in those this supply has of its own. */
function asCounted(count: OpeningCount, read: SupplyDraft, there: SupplyDraft): OpeningCount {
  const [usual, own] = [formFor(read), formFor(there)];
  if (usual.counting !== 'fill' || usual.usesPerFill === own.usesPerFill) return count;
  return { ...count, left: Math.round((count.left * (own.usesPerFill ?? 1)) / (usual.usesPerFill ?? 1)) };
}
