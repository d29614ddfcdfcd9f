import { findGaps, type GapSubject } from './running';

const thing = (id: string, state: 'ok' | 'low' | 'out', uses: number, placed = true): GapSubject => ({
  id,
  kind: 'ink',
  form: 'full-pad',
  facts: {},
  stock: { items: 1, left: 1, state, uses, used: uses, lastUsedAt: null, parts: {} },
  placed,
});
const ids = (list: readonly GapSubject[]): string => list.map(({ id }) => id).join(' ');

test('what is out and what is low stand apart, the most used first, ties by id', () => {
  const gaps = findGaps([
    thing('a', 'low', 2),
    thing('b', 'out', 0),
    thing('c', 'low', 9),
    thing('d', 'ok', 50),
    thing('f', 'out', 4),
    thing('e', 'out', 4),
  ]);
  expect(ids(gaps.out)).toBe('e f b');
  expect(ids(gaps.low)).toBe('c a');
  expect(ids(gaps.unplaced)).toBe('');
});

test('what has no place is listed whatever its stock; an empty stash has no gaps', () => {
  expect(ids(findGaps([thing('a', 'ok', 0, false), thing('b', 'out', 0, false)]).unplaced)).toBe('a b');
  expect(findGaps([])).toEqual({ out: [], low: [], unplaced: [] });
});

test('what was let go is asked for nowhere', () => {
  const gone = { ...thing('g', 'out', 9, false), facts: { status: 'gone' as const } };
  expect(findGaps([gone, thing('a', 'low', 1)])).toMatchObject({ out: [], low: [{ id: 'a' }], unplaced: [] });
});
