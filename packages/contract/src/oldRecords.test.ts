import fc from 'fast-check';
import { oldReservationsOf, projectNames, projectsOf, withoutReservations } from './reservations';
import { recordBody } from './records';
import { dealtWithIn, unpacked } from './sittings';

/** What older apps kept in other ways comes over whole. */

const AT = '2026-05-01T08:00:00.000Z';
const reservation = fc.record({
  project: fc.constantFrom('Cards', 'cards ', 'CARDS', 'Album', 'Gift tags'),
  amount: fc.integer({ min: 1, max: 40 }),
});
const owners = fc
  .array(fc.array(reservation, { maxLength: 4 }), { maxLength: 6 })
  .map((all) => all.map((reserved, i) => ({ id: `s${i}`, facts: { note: 'kept', reserved } })));
const rubbish = fc.oneof(
  fc.constantFrom(null, 7, 'Cards', [], {}),
  fc.record({ project: fc.constant('  '), amount: fc.constant(3) }),
  fc.record({ project: fc.constant('Album'), amount: fc.constantFrom(0, -2, 1.5, '3') }),
);

test('what was put aside is kept back by projects: as much of each thing, under one name however it was typed', () => {
  fc.assert(
    fc.property(owners, (all) => {
      const projects = projectsOf(all, AT).map((row) => ({ ...row, body: recordBody.parse(row.body) }));
      const kept = new Map<string, number>();
      for (const { body } of projects)
        if (body.sort === 'group')
          for (const { supplyId, amount } of body.members) {
            const key = `${supplyId} ${body.name.trim().toLowerCase()}`;
            expect(kept.has(key)).toBe(false);
            kept.set(key, amount);
          }
      const wanted = new Map<string, number>();
      for (const { id, facts } of all)
        for (const { project, amount } of facts.reserved) {
          const key = `${id} ${project.trim().toLowerCase()}`;
          wanted.set(key, (wanted.get(key) ?? 0) + amount);
        }
      expect(kept).toEqual(wanted);
      expect(projects).toHaveLength(projectNames(all).size);
      expect(new Set(projects.map(({ id }) => id)).size).toBe(projects.length);
    }),
  );
});

test('what is no reservation is passed over, and the facts beside stay as they are', () => {
  fc.assert(
    fc.property(fc.array(fc.oneof(reservation, rubbish), { maxLength: 6 }), (reserved) => {
      const facts = { note: 'kept', tags: ['winter'], reserved };
      expect(oldReservationsOf(facts).every(({ amount }) => Number.isInteger(amount) && amount > 0)).toBe(
        true,
      );
      expect(withoutReservations(facts)).toEqual({ note: 'kept', tags: ['winter'] });
    }),
  );
  for (const facts of [null, 'reserved', 3, { reserved: 'all' }])
    expect(oldReservationsOf(facts)).toEqual([]);
  const bare = { note: 'kept' };
  expect(withoutReservations(bare)).toBe(bare);
});

const entry = fc.record({
  supplyId: fc.constantFrom('a', 'b', 'c', 'd'),
  verdict: fc.constantFrom('keep' as const, 'let go' as const),
});
const sitting = fc.uniqueArray(entry, { selector: ({ supplyId }) => supplyId, maxLength: 4 }).map((done) => ({
  id: 'sitting',
  version: 3,
  body: { sort: 'session', name: 'Spring', done },
  createdAt: AT,
  updatedAt: AT,
  removedAt: null,
}));

test('what a sitting has dealt with comes over as rows of its own, each thing once and in its order', () => {
  fc.assert(
    fc.property(sitting, (record) => {
      const { done } = record.body;
      const [head, ...rows] = unpacked(record);
      if (done.length > 0) expect(head?.body).toEqual({ sort: 'session', name: 'Spring' });
      else expect(head).toBe(record);
      expect(dealtWithIn(rows as never, 'sitting')).toEqual(done);
      expect(dealtWithIn(rows as never, 'another')).toEqual([]);
      expect(rows.map(({ id }) => id)).toEqual(done.map(({ supplyId }) => `sitting.${supplyId}`));
    }),
  );
});

test('the last word on a thing counts, whenever its row was written down', () => {
  const row = (minute: number, entries: readonly object[]) => ({
    createdAt: `2026-05-01T08:0${minute}:00.000Z`,
    body: { sort: 'done', sessionId: 's', entries },
  });
  const [first, second] = [
    { supplyId: 'a', verdict: 'keep' },
    { supplyId: 'a', verdict: 'let go' },
  ];
  const rows = [row(2, [second]), row(1, [first, { supplyId: 'b', verdict: 'keep' }])];
  expect(dealtWithIn(rows as never, 's')).toEqual([second, { supplyId: 'b', verdict: 'keep' }]);
  expect(dealtWithIn(undefined, 's')).toEqual([]);
});
