import { formOf, type PlaceSpot } from '@red-shelf/core';
import type { ChangeView, RowView } from '@red-shelf/contract';
import { addressesOf } from '../api/contents';
import { sayChange, sayKept, sayLifted } from '../copy/change';
import { sayLeftOver, sayRow } from '../copy/reasons';
import { sayEntry } from '../copy/history';
import { many, thousands } from '../copy/words';
import { entry, supply, unit } from './harness';

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
  ['let go', 'Fern is out of your stash. Its history stays.'],
  ['act', 'Fern: noted.'],
  ['place', '2 things moved.'],
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
  noSuchPlace: null,
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
  [
    { code: 'too_high', needUm: 120_000, haveUm: 22_000 } as const,
    'too tall: needs 120 mm, the slot has 22 mm',
  ],
  [{ code: 'wrong_kind' } as const, 'none of these racks is made for it'],
  [{ code: 'no_room' } as const, 'no slot left; the least used stay out'],
])('%j is %s', (reason, said) => expect(sayLeftOver(reason)).toBe(said));

const spotName = ({ unitId, cell }: PlaceSpot): string => `${unitId}·${cell}`;
const line = (happened: object) =>
  entry({ at: '2026-05-03T12:00:00.000Z', recordedAt: '2026-05-03T12:00:00.000Z', ...happened });
const spot = (cell: number) => ({ unitId: 'B', cell, rank: 0 });
test.each([
  ['ink', 'full-pad', line({ act: 'use', of: 'whole', amount: 2 }), '3 May 2026 · used 2 times'],
  [
    'ink',
    'full-pad',
    line({ act: 'buy', of: 'whole', amount: 1, price: { minor: 450, currency: 'EUR' } }),
    '3 May 2026 · bought 1 for 4.50 EUR',
  ],
  ['cardstock', 'sheet-12', line({ act: 'use', of: 'whole', amount: 1 }), '3 May 2026 · used 1 sheet'],
  ['cardstock', 'sheet-12', line({ act: 'use', of: 'scrap', amount: 2 }), '3 May 2026 · used 2 scraps'],
  [
    'cardstock',
    'sheet-12',
    line({ act: 'count', of: 'whole', items: 0, left: 9, unlogged: 2 }),
    '3 May 2026 · counted 9 sheets, 2 sheets used that nobody noted',
  ],
  ['ribbon', 'spool', line({ act: 'use', of: 'whole', amount: 450_000 }), '3 May 2026 · used 0.45 m'],
  ['ink', 'full-pad', line({ act: 'refill' }), '3 May 2026 · refilled'],
  [
    'marker',
    'alcohol-dual',
    line({ act: 'refill', from: { supplyId: 'x', amount: 1 }, weights: { beforeMg: 9500, afterMg: 12_300 } }),
    '3 May 2026 · refilled from its bottle, from 9.5 g to 12.3 g',
  ],
  ['ink', 'full-pad', line({ act: 'undo', undoes: 'x' }), '3 May 2026 · took an earlier entry back'],
  [
    'ink',
    'full-pad',
    line({ act: 'move', shifts: [{ holdingId: 'h', from: null, to: spot(4) }] }),
    '3 May 2026 · put in B·4',
  ],
  [
    'ink',
    'full-pad',
    line({ act: 'move', shifts: [{ holdingId: 'h', from: spot(4), to: null }] }),
    '3 May 2026 · lifted out of B·4',
  ],
  [
    'ink',
    'full-pad',
    line({ act: 'move', recordedAt: '2026-05-06T12:00:00.000Z' }),
    '3 May 2026, told on 6 May 2026 · put together',
  ],
] as const)('%s %s: history reads well', (kind, form, told, said) =>
  expect(sayEntry(told, formOf(kind, form), spotName)).toBe(said),
);

test('every place of a supply is told, the bench too, and there is none without a place or with the unit gone', () => {
  const byId = new Map([['u1', unit()]]);
  expect(addressesOf(supply(), byId)).toEqual(['B2·02']);
  expect(addressesOf(supply({ place: null }), byId)).toEqual([]);
  expect(addressesOf(supply(), new Map())).toEqual([]);
  const [main] = supply().holdings;
  const inHand = { ...main!, id: 's1-z', spot: { unitId: 'hand', cell: null, rank: 0 } };
  expect(addressesOf(supply({ holdings: [inHand, main!] }), byId)).toEqual(['B2·02', 'bench']);
});

test('what an undo left, and what had to be lifted, is named with its reason', () => {
  expect(sayKept([])).toBe('');
  const kept = ['Fern', 'Moss', 'Fern', 'Reed', 'Sedge'].map((name) => ({
    what: 'place' as const,
    name,
    why: 'taken' as const,
  }));
  expect(sayKept(kept)).toBe(' Fern, Moss, Reed and 1 other has no place: its old one is taken.');
  expect(sayLifted([{ supplyId: 'x', name: 'Fern' }])).toBe(' Without a place now: Fern.');
});

test.each([
  [0, '0'],
  [999, '999'],
  [1000, '1,000'],
  [12345, '12,345'],
  [1234567, '1,234,567'],
])('%d is written %s', (n, text) => expect(thousands(n)).toBe(text));
