import fc from 'fast-check';
import { recordBody, type RecordBody } from './records';
import { renamed } from './renamed';

/** When two supplies become one, every record that named the one names the other. */

const ID = fc.constantFrom('a', 'b', 'c', 'd');
const group = fc
  .record({
    members: fc.uniqueArray(fc.record({ supplyId: ID, amount: fc.nat(9) }), {
      selector: ({ supplyId }) => supplyId,
    }),
    matches: fc.uniqueArray(ID),
  })
  .map((more) => recordBody.parse({ sort: 'group', what: 'kit', name: 'Cards', ...more }));
type Group = Extract<RecordBody, { sort: 'group' }>;
const total = (body: RecordBody): number =>
  (body as Group).members.reduce((sum, { amount }) => sum + amount, 0);
const amountOf = (body: RecordBody, id: string): number =>
  (body as Group).members.find(({ supplyId }) => supplyId === id)?.amount ?? 0;

test('nothing of the old name is left, nothing is lost, and nothing is named twice', () => {
  fc.assert(
    fc.property(group, (body) => {
      const after = renamed(body, 'a', 'b');
      const named = JSON.stringify(body).includes('"a"');
      if (!after) return expect(named).toBe(false);
      expect(named).toBe(true);
      expect(JSON.stringify(after)).not.toContain('"a"');
      expect(total(after)).toBe(total(body));
      expect(amountOf(after, 'b')).toBe(amountOf(body, 'a') + amountOf(body, 'b'));
      const ids = (after as Group).members.map(({ supplyId }) => supplyId);
      expect(new Set(ids).size).toBe(ids.length);
      expect(new Set((after as Group).matches).size).toBe((after as Group).matches.length);
      // It is a record still, and says so a second time.
      expect(recordBody.parse(after)).toEqual(after);
      return expect(renamed(after, 'a', 'b')).toBeNull();
    }),
  );
});

test('members stay in their order, the one with the new name where the first of the two stood', () => {
  const kit = recordBody.parse({
    sort: 'group',
    what: 'kit',
    name: 'Cards',
    members: [
      { supplyId: 'c', amount: 1 },
      { supplyId: 'a', amount: 2 },
      { supplyId: 'd', amount: 3 },
      { supplyId: 'b', amount: 4 },
    ],
  });
  expect((renamed(kit, 'a', 'b') as Group).members).toEqual([
    { supplyId: 'c', amount: 1 },
    { supplyId: 'b', amount: 6 },
    { supplyId: 'd', amount: 3 },
  ]);
});

test('a drawer that began with the one begins with the other; a shopping list names no supply', () => {
  const drawers = recordBody.parse({
    sort: 'drawers',
    name: 'Inks',
    kind: 'ink',
    form: null,
    key: 'family',
    drawers: [
      {
        name: 'Warm',
        unitId: null,
        holds: [
          { group: 'red', startsAt: 'a' },
          { group: 'pink', startsAt: null },
        ],
      },
    ],
  });
  const after = renamed(drawers, 'a', 'b');
  expect(JSON.stringify(after)).toBe(JSON.stringify(drawers).replace('"a"', '"b"'));
  expect(renamed(drawers, 'c', 'b')).toBeNull();
});
