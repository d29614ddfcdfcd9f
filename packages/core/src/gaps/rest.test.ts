import { evenGrid } from '../index';
import { DAY } from '../stash/idle';
import { familyRoom, type InCell } from './familyRoom';
import { halfLiked, idleFormats } from './idleFormats';

const NOW = Date.parse('2026-06-01T12:00:00Z');
const rack = evenGrid(2, 5, { widthUm: 90_000, heightUm: 20_000, depthUm: 60_000 });

const ink = (group: InCell['group'], days: number): InCell => ({
  ...{ kind: 'ink', group, since: NOW - days * DAY },
});
const read = (cells: readonly (InCell | null)[]) =>
  familyRoom([{ id: 'r', model: rack }], () => cells, NOW).map(({ group, filled, open }) => [
    group,
    filled,
    open,
  ]);

test('an open cell is room of the family before it, or of the first where none is; what does not grow is no row', () => {
  const greens = [400, 90, 60, 30].map((days) => ink('green', days));
  // One open at the head and none inside: full at once, at the pace it grows.
  expect(read([null, ...greens, ink('blue', 400), null, null, null, null])).toEqual([['green', 4, 1]]);
  expect(
    read([...greens, ink('blue', 400), ink('blue', 400), ink('blue', 400), ink('blue', 400), null, null]),
  ).toEqual([['green', 4, 0]]);
  const settled = greens.map((each) => ({ ...each, since: NOW - 400 * DAY }));
  expect(read([...settled, null, null, null, null, null, null])).toEqual([]);
});

test('the family that is full soonest comes first, and one that is full is full today', () => {
  const of = (group: InCell['group']) => [100, 60, 40, 20].map((days) => ink(group, days));
  const rows = familyRoom([{ id: 'r', model: rack }], () => [...of('red'), null, null, ...of('blue')], NOW);
  expect(rows.map(({ group }) => group)).toEqual(['blue', 'red']);
  expect(rows[0]?.full?.median).toBe(NOW);
  expect(rows[1]?.full?.low).toBeLessThan(rows[1]?.full?.median ?? 0);
});

const item = (id: string, form: string, idle: number, facts: object = {}, used = true) => ({
  ...{ id, kind: 'cardstock' as const, form, facts, createdAt: new Date(NOW - idle * DAY).toISOString() },
  stock: {
    ...{ uses: used ? 3 : 0, used: used ? 3 : 0 },
    lastUsedAt: used ? new Date(NOW - idle * DAY).toISOString() : null,
  },
});

test('a format nobody reached for in a year is told, where its kind is used; new ones and collections are not', () => {
  const pads = ['a', 'b', 'c'].map((id, i) => item(id, 'pad-6', 400 + i));
  const letter = item('l', 'sheet-letter', 20);
  expect(idleFormats([...pads, letter], NOW)).toMatchObject([
    { form: 'pad-6', days: 400, items: [{}, {}, {}] },
  ]);
  // Nothing of the kind is used: it is not the format.
  expect(idleFormats(pads, NOW)).toEqual([]);
  expect(idleFormats([...pads, item('n', 'pad-6', 30, {}, false), letter], NOW)).toEqual([]);
  expect(idleFormats([...pads.slice(1), item('k', 'pad-6', 900, { collection: true }), letter], NOW)).toEqual(
    [],
  );
});

test('what is only half liked is asked for until it was given another grade, or leaves', () => {
  const no = { whyUnused: 'do not like it' };
  const ids = (facts: object, idle = 200) =>
    halfLiked([item('x', 'pad-6', idle, facts)], NOW).map(({ id }) => id);
  expect(ids(no)).toEqual(['x']);
  expect(ids({ ...no, grade: 'practice' })).toEqual([]);
  expect(ids({ ...no, status: 'irreplaceable' })).toEqual([]);
  expect(ids(no, 10)).toEqual([]);
});
