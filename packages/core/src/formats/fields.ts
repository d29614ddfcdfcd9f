import { FACT_COLUMNS, type FactColumn, type FactField } from './factColumns';
import { SUPPLY_FIELDS, type SupplyField } from '../stash/supply';

const FACT_FIELDS = Object.keys(FACT_COLUMNS) as FactField[];

/** What each field of a supply is called in a list; of its facts some have columns of their own. */
const COLUMNS = {
  kind: ['kind'],
  form: ['form'],
  name: ['name'],
  maker: ['maker'],
  range: ['range'],
  code: ['code'],
  hex: ['colour'],
  finish: ['finish'],
  familyOverride: ['family'],
  familyReason: ['familyReason'],
  note: ['note'],
  facts: FACT_FIELDS,
} as const satisfies Record<SupplyField, readonly string[]>;
/** How much there is, as it is counted when a thing comes in. */
const COUNT_COLUMNS = ['quantity', 'level'] as const;
/** Where it is, as printed on labels, and how it is spread over lots, both taken for things that are new; what is put aside of it. */
const BESIDE_COLUMNS = ['place', 'lots', 'aside'] as const;
export type ListField =
  (typeof COLUMNS)[SupplyField][number] | (typeof COUNT_COLUMNS)[number] | (typeof BESIDE_COLUMNS)[number];

/** The columns of a supply list, as imported and exported: what is said of a supply, and before the note how much there is. */
export const LIST_FIELDS: readonly ListField[] = SUPPLY_FIELDS.flatMap((field): readonly ListField[] =>
  field === 'note' ? [...COUNT_COLUMNS, ...BESIDE_COLUMNS, ...COLUMNS.note] : COLUMNS[field],
);

/** Which column of a file holds which field, by column index; a missing field is not in the file. */
export type ColumnMapping = Readonly<Partial<Record<ListField, number>>>;

/** Something of every column of a fact. */
const ofFacts = <T>(of: (column: FactColumn) => T): Record<FactField, T> =>
  Object.fromEntries(FACT_FIELDS.map((field) => [field, of(FACT_COLUMNS[field])])) as Record<FactField, T>;

export const LIST_FIELD_NAMES: Readonly<Record<ListField, string>> = {
  kind: 'Kind',
  form: 'Form',
  name: 'Name',
  maker: 'Maker',
  range: 'Range',
  code: 'Code',
  colour: 'Colour',
  finish: 'Finish',
  family: 'Family',
  familyReason: 'Family reason',
  quantity: 'Quantity',
  level: 'Level',
  place: 'Place',
  lots: 'Lots',
  aside: 'Put aside',
  note: 'Note',
  ...ofFacts(({ name }) => name),
};

const HEADINGS: Readonly<Record<ListField, readonly string[]>> = {
  kind: ['kind', 'type', 'category', 'supply', 'supply type'],
  form: ['form', 'shape', 'format', 'size', 'style'],
  name: ['name', 'colour name', 'color name', 'title', 'shade', 'description', 'item', 'ink', 'marker'],
  maker: ['maker', 'brand', 'manufacturer', 'company', 'make', 'vendor'],
  range: ['range', 'line', 'collection', 'series'],
  code: ['code', 'number', 'no', 'no.', 'sku', 'id', '#', 'item number', 'ref'],
  colour: ['colour', 'color', 'hex', 'hex colour', 'hex color', 'rgb', 'swatch', 'colour code', 'color code'],
  finish: ['finish', 'effect', 'surface'],
  family: ['family', 'colour family', 'color family', 'group'],
  familyReason: ['family reason', 'reason'],
  quantity: ['quantity', 'qty', 'how many', 'count', 'amount', 'stock', 'owned', 'left', 'pcs'],
  level: ['level', 'fill', 'fullness'],
  place: ['place', 'location', 'where', 'slot', 'address'],
  lots: ['lots'],
  aside: ['put aside', 'reserved', 'reserved for'],
  note: ['note', 'notes', 'comment', 'comments', 'remarks'],
  ...ofFacts(({ name, headings }) => [name.toLowerCase(), ...headings]),
};

const plain = (heading: string): string =>
  heading
    .trim()
    .toLowerCase()
    .replace(/[_\s-]+/g, ' ');

/** Guesses which column holds which field from the headings; the person can change it. */
export function guessMapping(headings: readonly string[]): ColumnMapping {
  const mapping: Partial<Record<ListField, number>> = {};
  const taken = new Set<number>();
  const plainHeadings = headings.map(plain);
  for (const field of LIST_FIELDS) {
    for (const wanted of HEADINGS[field]) {
      const column = plainHeadings.findIndex((heading, i) => heading === wanted && !taken.has(i));
      if (column < 0) continue;
      mapping[field] = column;
      taken.add(column);
      break;
    }
  }
  return mapping;
}
