import { LIST_FIELDS, type ListField } from './fields';
import { readRow } from './rowRead';
import { readQuantity } from './quantity';
import { formOf } from '../kinds/registry';

const MAPPING = Object.fromEntries(LIST_FIELDS.map((field, i) => [field, i])) as Record<ListField, number>;
const row = (cells: Partial<Record<ListField, string>>): string[] =>
  LIST_FIELDS.map((field) => ({ name: 'Fern', colour: '#3a7733', ...cells })[field] ?? '');
const read = (cells: Partial<Record<ListField, string>>) => readRow(row(cells), MAPPING, { kind: 'ink' });

test.each([
  [{ kind: 'Inks' }, { kind: 'ink', form: 'full-pad' }],
  [{ kind: 'MARKERS' }, { kind: 'marker', form: 'alcohol-dual' }],
  [
    { kind: 'paper', form: 'Letter' },
    { kind: 'cardstock', form: 'sheet-letter' },
  ],
  [
    { kind: 'pens', form: 'gel or metallic pen' },
    { kind: 'marker', form: 'gel' },
  ],
  [{ form: 'mini-pad' }, { kind: 'ink', form: 'mini-pad' }],
  [
    { finish: 'Glitter', family: 'Gray' },
    { finish: 'glitter', familyOverride: 'grey' },
  ],
  [
    { name: "'=SUM(A1)", note: "'tis dry" },
    { name: '=SUM(A1)', note: "'tis dry" },
  ],
])('%j is read as %j', (cells, expected) => {
  expect(read(cells)).toMatchObject({ ok: true, draft: expected });
});

test.each([
  [{ name: '' }, { field: 'name', code: 'missing' }],
  [{ name: 'x'.repeat(121) }, { field: 'name', code: 'too_long', most: 120 }],
  [{ colour: '' }, { field: 'colour', code: 'missing' }],
  [{ colour: '#12' }, { field: 'colour', code: 'not_a_colour', given: '#12' }],
  [{ kind: 'spoon' }, { field: 'kind', code: 'unknown_kind', given: 'spoon' }],
  [
    { kind: 'ink', form: 'spool' },
    { field: 'form', code: 'unknown_form', given: 'spool' },
  ],
  [{ finish: 'sparkly' }, { field: 'finish', code: 'unknown_finish', given: 'sparkly' }],
  [{ family: 'reddish' }, { field: 'family', code: 'unknown_family', given: 'reddish' }],
  [{ quantity: 'two' }, { field: 'quantity', code: 'not_a_quantity', given: 'two' }],
  [{ quantity: '1.5' }, { field: 'quantity', code: 'not_a_quantity', given: '1.5' }],
  [{ quantity: '-1' }, { field: 'quantity', code: 'negative', given: '-1' }],
  [
    { quantity: '1', level: 'fullish' },
    { field: 'level', code: 'unknown_level', given: 'fullish' },
  ],
])('%j is refused', (cells, refusal) => {
  expect(read(cells)).toMatchObject({ ok: false, refusals: [refusal] });
});

test('a row that is wrong in several cells says so of each', () => {
  const reading = read({ name: '', colour: 'x', quantity: '-2', finish: 'y' });
  expect(reading.ok ? [] : reading.refusals.map(({ field }) => field)).toEqual([
    'name',
    'colour',
    'finish',
    'quantity',
  ]);
});

test('only the fields a row really has count as given', () => {
  const reading = read({ code: '418' });
  expect(reading.ok && [...reading.given].sort()).toEqual(['code', 'colour', 'name']);
  expect(reading.ok && reading.count).toBeNull();
});

const pad = formOf('ink', 'full-pad');
const spool = formOf('ribbon', 'spool');
test.each([
  [pad, '2', '', { items: 2, left: 120 }],
  [pad, '', 'half', { items: 1, left: 30 }],
  [pad, '2', 'half', { items: 2, left: 90 }],
  [pad, '2', '25%', { items: 2, left: 30 }],
  [pad, '0', 'empty', { items: 0, left: 0 }],
  [spool, '3 yd', '', { items: 1, left: 2_743_200 }],
  [spool, '0', '', { items: 0, left: 0 }],
  [formOf('sticker', 'sheet'), '6', '', { items: 6, left: 6 }],
] as const)('%#: quantity %s at level %s', (form, quantity, level, count) => {
  expect(readQuantity(quantity, level, form)).toEqual({ ok: true, count });
});

test('a list that says nothing of how many leaves counts alone', () =>
  expect(readQuantity('', '', pad)).toBeNull());
