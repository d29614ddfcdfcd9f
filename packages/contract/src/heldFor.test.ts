import fc from 'fast-check';
import { groupBody, type GroupBody } from './group';
import { afterUseFor, readHeldFor } from './heldFor';

const CARD = { id: 'card', kind: 'cardstock' as const, form: 'sheet-12' };
const project = (amount: number, more: object = {}): GroupBody =>
  groupBody.parse({
    sort: 'group',
    what: 'project',
    name: 'Twenty cards',
    members: [
      { supplyId: 'card', amount },
      { supplyId: 'ribbon', amount: 500 },
    ],
    ...more,
  });
const used = (amount: number, of: 'whole' | 'base' = 'whole') => ({ act: 'use' as const, of, amount });
const heldOf = ({ members }: GroupBody): number =>
  members.find(({ supplyId }) => supplyId === 'card')?.amount ?? 0;

test('a project keeps back less of what was used for it, never less than nothing, and as much of all else', () => {
  fc.assert(
    fc.property(fc.nat(60), fc.nat(80), (held, amount) => {
      const before = project(held);
      const after = afterUseFor(before, CARD, used(amount));
      if (Math.min(held, amount) === 0) return expect(after).toBeNull();
      expect(heldOf(after!)).toBe(Math.max(0, held - amount));
      expect(after?.members[1]).toEqual({ supplyId: 'ribbon', amount: 500 });
      return expect({ ...after, members: [] }).toEqual({ ...before, members: [] });
    }),
  );
});

test('used in two goes or in one, as much is kept back in the end', () => {
  fc.assert(
    fc.property(fc.nat(60), fc.nat(40), fc.nat(40), (held, first, second) => {
      const before = project(held);
      const between = afterUseFor(before, CARD, used(first)) ?? before;
      const after = afterUseFor(between, CARD, used(second)) ?? between;
      expect(heldOf(after)).toBe(heldOf(afterUseFor(before, CARD, used(first + second)) ?? before));
    }),
  );
});

test('bases are no sheets, and a thing that is no member changes nothing', () => {
  expect(afterUseFor(project(5), CARD, used(2, 'base'))).toBeNull();
  expect(afterUseFor(project(5), { ...CARD, id: 'other' }, used(2))).toBeNull();
});

test('only kits and projects keep something back', () => {
  const bodies = new Map<string, object>([
    ['kit', project(1, { what: 'kit' })],
    ['project', project(1)],
    ['pack', project(1, { what: 'pack' })],
    ['wish', { sort: 'wish', name: 'Card' }],
  ]);
  const read = (id: string) => readHeldFor(id, (each) => ({ body: bodies.get(each) as never }))?.what ?? null;
  expect(['kit', 'project', 'pack', 'wish'].map(read)).toEqual(['kit', 'project', null, null]);
  expect(readHeldFor('nothing', () => undefined)).toBeNull();
});
