import fc from 'fast-check';
import { labelPrint, slotLabels } from './labels';
import { misfits } from './misfit';
import { painOf } from './pain';
import { fillingOrder, FILLINGS, isOnWall, unitFactsSchema } from './unitFacts';

const UNIT = { letter: 'B', rows: 2, columns: 3 };
const item = (name: string, group: 'red' | 'blue' | 'green', uses = 5) => ({
  name,
  maker: 'Hollin & Quay',
  range: '',
  code: '4',
  number: 7,
  hex: '#4c9a52',
  group,
  createdAt: '2024-01-01T00:00:00Z',
  stock: { uses, lastUsedAt: uses > 0 ? '2026-05-01T00:00:00Z' : null },
  facts: {},
});
const NOW = Date.parse('2026-06-01T00:00:00Z');

test('slots are filled row by row, column by column or as a snake, and skipped columns stay out', () => {
  expect(fillingOrder(UNIT, {})).toEqual([0, 1, 2, 3, 4, 5]);
  expect(fillingOrder(UNIT, { filling: 'columns' })).toEqual([0, 3, 1, 4, 2, 5]);
  expect(fillingOrder(UNIT, { filling: 'snake' })).toEqual([0, 1, 2, 5, 4, 3]);
  expect(fillingOrder(UNIT, { filling: 'snake', skipColumns: [2] })).toEqual([0, 2, 5, 3]);
});

test('every way of filling names each slot once', () => {
  const size = fc.integer({ min: 1, max: 20 });
  fc.assert(
    fc.property(size, size, fc.constantFrom(...FILLINGS), (rows, columns, filling) => {
      const order = fillingOrder({ rows, columns }, { filling });
      expect([...order].sort((a, b) => a - b)).toEqual(Array.from({ length: rows * columns }, (_, i) => i));
    }),
  );
});

test('a spare is off the wall; limits refuse what is no limit', () => {
  expect([{}, { standing: 'worn' as const }, { standing: 'spare' as const }].map(isOnWall)).toEqual([
    true,
    true,
    false,
  ]);
  expect(unitFactsSchema.safeParse({ cap: 0 }).success).toBe(false);
  expect(unitFactsSchema.safeParse({ cap: 40, keptAt: 'loft', unknown: 1 }).success).toBe(false);
});

test('labels name every slot, and their print changes with what they say, not with the number left', () => {
  const labels = slotLabels(UNIT, [item('Reed', 'green'), null]);
  expect(labels).toHaveLength(6);
  expect(labels[0]).toMatchObject({ address: 'B1·01', name: 'Reed', detail: 'Hollin & Quay · 4', number: 7 });
  expect(labels[5]).toMatchObject({ address: 'B2·03', name: '', number: null, hex: null });
  const print = labelPrint(labels);
  expect(print).toMatch(/^[0-9a-f]{16}$/);
  expect(labelPrint(slotLabels(UNIT, [item('Reed', 'red', 0), null]))).toBe(print);
  expect(labelPrint(slotLabels(UNIT, [null, item('Reed', 'green')]))).not.toBe(print);
});

test('order is judged the way the place is filled, and not at all where it is sorted by something else', () => {
  const snake = [
    item('a', 'red'),
    item('b', 'red'),
    item('c', 'blue'),
    item('d', 'green'),
    item('e', 'blue'),
    item('f', 'blue'),
  ];
  const codes = (filling: 'rows' | 'snake', byFamily = true): string[] =>
    painOf(UNIT, { filling }, snake, NOW, byFamily).pains.map(({ code }) => code);
  expect(codes('rows')).toContain('scattered');
  expect(codes('snake')).not.toContain('scattered');
  expect(codes('rows', false)).not.toContain('scattered');
});

test('a place that works has no pain; a full, mixed, unlabelled and idle one says so, the worst first', () => {
  const calm = [item('a', 'red'), item('b', 'blue'), null, null, null, null];
  const labelled = { on: '2026-05-01', print: labelPrint(slotLabels(UNIT, calm)) };
  expect(painOf(UNIT, { labelled }, calm, NOW)).toEqual({ pains: [], score: 0 });
  const full = ['red', 'blue', 'red', 'green', 'red', 'blue'].map((group, i) =>
    item(`t${i}`, group as 'red', i < 3 ? 0 : 5),
  );
  const { pains, score } = painOf(UNIT, { standing: 'worn' }, full, NOW);
  expect(pains.map(({ code }) => code)).toEqual(['over_full', 'scattered', 'worn', 'unlabelled', 'unused']);
  expect(score).toBeGreaterThan(3);
  expect(pains[1]).toEqual({ code: 'scattered', breaks: 3, families: 3 });
  const old = painOf(UNIT, { labelled, cap: 1 }, [...calm].reverse(), NOW);
  expect(old.pains.map(({ code }) => code)).toEqual(['over_full', 'labels_old']);
  expect(painOf(UNIT, {}, [null, null], NOW).score).toBe(0);
});

test('a thing that fits no rack of its kind is told with the rack it nearly fits; kinds without racks are not asked', () => {
  const size = (heightMm: number) => ({ widthMm: 10, heightMm, depthMm: 10 });
  const units = [20, 30].map((heightMm) => ({ holds: ['ink'], slot: size(heightMm) }));
  const things = [
    { id: 'fits', kind: 'ink', high: 28 },
    { id: 'tall', kind: 'ink', high: 33 },
    { id: 'lace', kind: 'ribbon', high: 90 },
  ];
  expect(misfits(things, ({ high }) => size(high), units)).toEqual([
    { item: things[1], refusal: { code: 'too_high', needMm: 33, haveMm: 30 } },
  ]);
});
