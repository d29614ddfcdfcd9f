import { beginningOf, cleanText, evenGrid, planImport } from '@red-shelf/core';
import fc from 'fast-check';
import {
  batchSet,
  groupBody,
  newSupply,
  newUnit,
  paths,
  problem,
  recordBody,
  routes,
  stashDocument,
} from './index';

const INK = {
  kind: 'ink',
  form: 'full-pad',
  name: '  Fern Gate ',
  hex: 'TEAL',
  count: { items: 1, left: 60 },
};

test('a new supply is trimmed, its colour made a hex, and what was not said filled in', () => {
  expect(newSupply.parse(INK)).toEqual({
    kind: 'ink',
    form: 'full-pad',
    name: 'Fern Gate',
    maker: '',
    range: '',
    code: '',
    hex: '#029386',
    finish: 'matte',
    familyOverride: null,
    familyReason: '',
    note: '',
    facts: {},
    count: { items: 1, left: 60 },
  });
});

test.each([
  [{ hex: '' }, 'hex', 'Give a colour: pick one, or type a hex such as #c23b42 or a name such as teal.'],
  [
    { hex: 'rgb(0 0 0 / 10%)' },
    'hex',
    '“rgb(0 0 0 / 10%)” is not a colour I know. Type a hex such as #c23b42 or a name such as teal.',
  ],
  [{ name: '' }, 'name', 'Give it a name.'],
  [{ name: '\u0007' }, 'name', 'Give it a name.'],
  [{ code: 'x'.repeat(41) }, 'code', 'The code may have at most 40 characters.'],
  [{ kind: 'spoon' }, 'kind', 'Choose a kind: ink, marker, cardstock, ribbon, sticker or companion.'],
  [{ form: 'spool' }, 'form', 'That form does not exist for this kind; choose one from the list.'],
  [{ count: { items: '2', left: 1 } }, 'count.items', 'How many must be a number.'],
  [
    { count: { items: 2, left: 1e13 } },
    'count.left',
    'What is left is more than anyone owns; check the number.',
  ],
])('%j is refused at %s with a sentence', (more, path, message) => {
  const { error } = newSupply.safeParse({ ...INK, ...more });
  expect(error?.issues.map((issue) => [issue.path.join('.'), issue.message])).toEqual([[path, message]]);
});

test('a thing that need have no colour may come without one, any other may not', () => {
  const without = (more: object) =>
    newSupply.safeParse({ ...INK, hex: undefined, count: { items: 1, left: 1 }, ...more });
  expect(without({ kind: 'companion', form: 'stamp' }).data).toMatchObject({ familyOverride: 'none' });
  expect(without({ kind: 'companion', form: 'stamp', hex: '  ' }).data).toMatchObject({
    familyOverride: 'none',
  });
  expect(without({ kind: 'companion', form: 'stamp', hex: 'teal' }).data).toMatchObject({
    hex: '#029386',
    familyOverride: null,
  });
  expect(without({ hex: '', name: '' }).error?.issues.map(({ path }) => path.join())).toEqual([
    'name',
    'hex',
  ]);
});

test('preferences and groups are kept only when they are whole', () => {
  const group = { sort: 'group', what: 'kit', name: 'Winter cards' };
  expect(recordBody.parse(group)).toMatchObject({ members: [], matches: [], dissolvedOn: null });
  const messages = (body: object) => recordBody.safeParse(body).error?.issues.map(({ message }) => message);
  expect(messages({ ...group, name: ' ' })).toEqual(['The name is missing.']);
  expect(messages({ sort: 'spoon' })).toHaveLength(1);
  const preferences = {
    sort: 'preferences',
    familyOrder: ['pink'],
    lightness: 'dark-first',
    units: 'inches',
    currency: 'eur',
  };
  expect(messages(preferences)).toEqual(['A currency is three letters, such as EUR.']);
  expect(messages({ ...preferences, currency: 'EUR', familyOrder: ['beige'] })).toHaveLength(1);
});

test('sizes of a unit are bounded', () => {
  const model = evenGrid(12, 5, { widthUm: 102_000, heightUm: 22_000, depthUm: 70_000 });
  const unit = { template: 'pad-rack', name: 'Rack', model, rules: { kinds: ['ink'] } };
  expect(newUnit.safeParse(unit).success).toBe(true);
  expect(newUnit.parse({ ...unit, label: 'k' }).label).toBe('K');
  for (const wrong of [
    { model: { ...model, rowsUm: Array.from({ length: 61 }, () => 22_000) } },
    { model: { ...model, columnsUm: [] } },
    { model: { ...model, depthUm: 70.5 } },
    { model: { ...model, columnsUm: [0] } },
    { label: '4' },
    { rules: { kinds: [] } },
  ])
    expect(newUnit.safeParse({ ...unit, ...wrong }).success).toBe(false);
});

test('a document of another program, or of a newer version, is told apart', () => {
  const blank = {
    format: 'red-shelf',
    formatVersion: 1,
    exportedAt: '2026-06-01T00:00:00.000Z',
    roomName: 'Attic',
    units: [],
    supplies: [],
    placements: [],
    ledger: [],
  };
  const read = stashDocument.parse(blank);
  expect(read.units.map(({ sort, name }) => [sort, name])).toEqual([
    ['hand', 'Bench'],
    ['room', 'Attic'],
  ]);
  expect(stashDocument.parse(read)).toEqual(read);
  const messages = (more: object) =>
    stashDocument.safeParse({ ...blank, ...more }).error?.issues.map(({ message }) => message);
  expect(messages({ format: 'x' })).toEqual(['This is not a Red Shelf document.']);
  expect(messages({ formatVersion: 7 })).toEqual(['This document was written by a newer Red Shelf.']);
  expect(messages({ exportedAt: 'yesterday' })).toHaveLength(1);
});

test('every route is where the paths say', () => {
  for (const [name, { method, path }] of Object.entries(paths))
    expect(routes[name as keyof typeof routes]).toMatchObject({ method, path });
  expect(Object.keys(paths)).toEqual(Object.keys(routes));
});

test('no two routes share a method and a path, and all stand under /api', () => {
  const all = Object.values(routes).map(({ method, path }) => `${method} ${path}`);
  expect(new Set(all).size).toBe(all.length);
  expect(all.every((line) => line.includes(' /api/'))).toBe(true);
});

test('a refusal always carries a sentence and a code', () => {
  expect(
    problem.safeParse({ type: 'about:blank', status: 409, code: 'stale', title: 'Changed.' }).success,
  ).toBe(true);
  expect(problem.safeParse({ status: 409 }).success).toBe(false);
});

describe('every text comes in by one rule', () => {
  /** Anything a keyboard, a file or an attacker may send: halves of characters, controls, emoji, blank lines. */
  const texts = fc
    .array(
      fc.oneof(
        fc.string({ unit: 'grapheme', maxLength: 6 }),
        fc.string({ unit: 'binary', maxLength: 6 }),
        fc.constantFrom('\ud83d', '\ude00', '\u0000', '\u0085', '\r\n', '\t', ' ', '😀'),
      ),
      { maxLength: 12 },
    )
    .map((parts) => `a${parts.join('')}`);
  const pad = { kind: 'ink', form: 'full-pad', hex: '#333' };
  const row = (name: string, note: string) =>
    planImport(
      {
        rows: [[name, '#333', note]],
        lines: [1],
        mapping: { name: 0, colour: 1, note: 2 },
        defaults: { kind: 'ink' },
      },
      [],
    )[0];
  const doors: readonly [what: string, read: (text: string) => readonly string[]][] = [
    [
      'a supply',
      (text) => {
        const facts = { source: text, tags: [text] };
        const { data } = newSupply.safeParse({ ...pad, name: text, maker: text, note: text, facts });
        return data
          ? [data.name, data.maker, data.note, data.facts.source ?? '', ...(data.facts.tags ?? [])]
          : [];
      },
    ],
    [
      'a batch',
      (text) => {
        const { data } = batchSet.safeParse({ maker: text, addTags: [text] });
        return data ? [data.maker ?? '', ...(data.addTags ?? [])] : [];
      },
    ],
    ['a kit', (text) => [groupBody.safeParse({ sort: 'group', what: 'kit', name: text }).data?.name ?? '']],
    [
      'a row of a list',
      (text) => {
        const read = row(text, text);
        return read?.verdict === 'add' ? [read.draft.name, read.draft.note] : [];
      },
    ],
  ];
  test.each(doors)(
    '%s keeps nothing that cannot be shown, and keeps the same when it comes in again',
    (_, read) => {
      fc.assert(
        fc.property(texts, (text) => {
          for (const kept of read(text)) {
            expect(kept).toBe(cleanText(kept));
            expect(kept).not.toMatch(/\p{Cs}/u);
            if (kept !== '') expect(read(kept)).toContain(kept);
          }
        }),
        { numRuns: 300 },
      );
    },
  );

  test('what is shortened is never cut through a character', () => {
    expect(beginningOf('ab😀', 3)).toBe('ab');
    expect(beginningOf('ab😀', 4)).toBe('ab😀');
  });
});
