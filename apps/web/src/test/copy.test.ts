import { formOf } from '@red-shelf/core';
import type { ChangeView, LedgerView, RowView } from '@red-shelf/contract';
import { sayChange } from '../copy/change';
import { sayLeftOver, sayRow } from '../copy/reasons';
import { addressOf, sayEntry } from '../copy/supply';
import { many, thousands } from '../copy/words';
import { supply, unit } from './harness';

test('numbers agree with their words', () => {
  expect([many(0, 'supply', 'supplies'), many(1, 'supply', 'supplies'), many(1200, 'move')]).toEqual([
    '0 supplies',
    '1 supply',
    '1,200 moves',
  ]);
});

test.each<[ChangeView['kind'], string]>([
  ['add', 'Fern added.'],
  ['edit', 'Fern changed.'],
  ['remove', '2 supplies removed.'],
  ['batch', '2 supplies changed.'],
  ['merge', 'Fern: two records are one now.'],
  ['pack', 'Fern: 2 lots added.'],
  ['record', 'Fern: kept.'],
  ['verdict', 'Fern: decided.'],
  ['act', 'Fern: noted.'],
  ['place', 'Fern moved.'],
  ['arrange', 'Fern arranged: 2 moves.'],
  ['import', '2 supplies brought in.'],
  ['restore', 'The stash was replaced: 2 supplies.'],
  ['undo', 'Undone.'],
])('after %s: %s', (kind, said) => expect(sayChange({ id: 'c', kind, name: 'Fern', count: 2 })).toBe(said));

const row = (more: Partial<RowView>): RowView => ({
  line: 4,
  verdict: 'refuse',
  name: 'x',
  hex: null,
  fields: [],
  refusals: [],
  sameAsLine: null,
  ...more,
});
test.each<[Partial<RowView>, string]>([
  [{ verdict: 'add' }, 'will be added'],
  [{ verdict: 'same' }, 'is there already, nothing changes'],
  [{ verdict: 'change', fields: ['colour', 'quantity'] }, 'changes colour, quantity'],
  [{ sameAsLine: 2 }, 'is the same thing as row 2'],
  [
    {
      refusals: [
        { field: 'name', code: 'missing', given: '' },
        { field: 'quantity', code: 'negative', given: '-3' },
      ],
    },
    'name is missing; quantity -3 is less than nothing',
  ],
  [
    { refusals: [{ field: 'form', code: 'unknown_form', given: 'brick', known: ['full pad', 'spray'] }] },
    'form “brick” is not one of full pad, spray',
  ],
  [{ refusals: [{ field: 'note', code: 'from_the_future', given: '' }] }, 'note cannot be read'],
])('a row %j %s', (more, said) => expect(sayRow(row(more))).toBe(said));

test.each([
  [{ code: 'too_high', needMm: 120, haveMm: 22 } as const, 'too tall: needs 120 mm, the slot has 22 mm'],
  [{ code: 'wrong_kind' } as const, 'none of these racks is made for it'],
  [{ code: 'no_room' } as const, 'no slot left; the least used stay out'],
])('%j is %s', (reason, said) => expect(sayLeftOver(reason)).toBe(said));

const entry = (act: LedgerView['act'], amount: number | null): LedgerView => ({
  id: 'e',
  act,
  at: '2026-05-03T12:00:00.000Z',
  amount,
  items: null,
  left: null,
  part: null,
  undoes: null,
});
test.each([
  ['ink', 'full-pad', entry('use', 2), '3 May 2026 · used 2 times'],
  ['ink', 'full-pad', entry('buy', 1), '3 May 2026 · bought 1'],
  ['cardstock', 'sheet-12', entry('use', 1), '3 May 2026 · used 1 sheet'],
  ['ribbon', 'spool', entry('use', 450_000), '3 May 2026 · used 0.45 m'],
  ['ink', 'full-pad', entry('refill', null), '3 May 2026 · refilled'],
  ['ink', 'full-pad', entry('undo', null), '3 May 2026 · took an earlier entry back'],
] as const)('%s %s: history reads well', (kind, form, line, said) =>
  expect(sayEntry(line, formOf(kind, form))).toBe(said),
);

test('an address is told from the unit, and there is none without a place or with the unit gone', () => {
  expect(addressOf(supply(), [unit()])).toBe('B2·02');
  expect(addressOf(supply({ place: null }), [unit()])).toBeNull();
  expect(addressOf(supply(), [])).toBeNull();
});

test.each([
  [0, '0'],
  [999, '999'],
  [1000, '1,000'],
  [12345, '12,345'],
  [1234567, '1,234,567'],
])('%d is written %s', (n, text) => expect(thousands(n)).toBe(text));
