import { changedLabels, labelPrint, labelPrints, slotLabels } from './labels';
import { painOf } from './pain';
import { evenGrid } from './models/grid';
import type { GridModel } from './models/gridSchema';
import type { Unit } from './unit';
import { unitFactsSchema, unitRulesSchema } from './unitFacts';

const CELL = { widthUm: 1000, heightUm: 1000, depthUm: 1000 };
const MODEL = evenGrid(2, 3, CELL);
const UNIT: Pick<Unit, 'label' | 'model' | 'rules' | 'facts'> = {
  label: 'B',
  model: MODEL,
  rules: { kinds: ['ink'] },
  facts: {},
};
const unit = (facts: Unit['facts'], model: Partial<GridModel> = {}, cap?: number) => ({
  ...UNIT,
  facts,
  model: { ...MODEL, ...model },
  rules: { ...UNIT.rules, ...(cap ? { cap } : {}) },
});
const item = (name: string, group: 'red' | 'blue' | 'green', uses = 5) => ({
  kind: 'ink' as const,
  form: 'full-pad',
  name,
  maker: 'Hollin & Quay',
  range: '',
  code: '4',
  number: 7,
  hex: '#4c9a52',
  group,
  createdAt: '2024-01-01T00:00:00Z',
  stock: { uses, used: uses, lastUsedAt: uses > 0 ? '2026-05-01T00:00:00Z' : null },
  facts: {},
});
const NOW = Date.parse('2026-06-01T00:00:00Z');

test('limits refuse what is no limit, and facts what nobody asked', () => {
  expect(unitRulesSchema.safeParse({ kinds: ['ink'], cap: 0 }).success).toBe(false);
  expect(unitRulesSchema.safeParse({ kinds: [] }).error?.issues[0]?.message).toMatch(/at least one kind/);
  expect(unitFactsSchema.safeParse({ keptAt: 'loft', unknown: 1 }).success).toBe(false);
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
  expect(labelPrint(slotLabels(UNIT, [{ ...item('Reed', 'green'), lot: 'scraps' }, null]))).not.toBe(print);
  const each = labelPrints(labels);
  expect(changedLabels(labels, each)).toEqual([]);
  const now = slotLabels(UNIT, [item('Reed', 'green'), item('Moss', 'green')]);
  expect(changedLabels(now, each).map(({ address }) => address)).toEqual(['B1·02']);
  expect(changedLabels(now, undefined)).toBe(now);
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
    painOf(unit({}, { filling }), snake, NOW, byFamily).pains.map(({ code }) => code);
  expect(codes('rows')).toContain('scattered');
  expect(codes('snake')).not.toContain('scattered');
  expect(codes('rows', false)).not.toContain('scattered');
});

test('a place that works has no pain; a full, mixed, unlabelled and idle one says so, the worst first', () => {
  const calm = [item('a', 'red'), item('b', 'blue'), null, null, null, null];
  const labelled = { on: '2026-05-01', print: labelPrint(slotLabels(UNIT, calm)) };
  expect(painOf(unit({ labelled }), calm, NOW)).toEqual({ pains: [], score: 0 });
  const full = ['red', 'blue', 'red', 'green', 'red', 'blue'].map((group, i) =>
    item(`t${i}`, group as 'red', i < 3 ? 0 : 5),
  );
  const { pains, score } = painOf(unit({ standing: 'worn' }), full, NOW);
  expect(pains.map(({ code }) => code)).toEqual(['over_full', 'scattered', 'worn', 'unlabelled', 'unused']);
  expect(score).toBeGreaterThan(3);
  expect(pains[1]).toEqual({ code: 'scattered', breaks: 3, families: 3 });
  const old = painOf(unit({ labelled }, {}, 1), [...calm].reverse(), NOW);
  expect(old.pains.map(({ code }) => code)).toEqual(['over_full', 'labels_old']);
  expect(painOf(UNIT, [null, null], NOW).score).toBe(0);
});
