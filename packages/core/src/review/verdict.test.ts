import fc from 'fast-check';
import type { Facts } from '../stash/facts';
import type { Holding } from '../stash/holding';
import { inStash } from '../stash/standing';
import { VERDICTS } from './candidates';
import { factsAfter, farewell } from './verdict';

const facts = fc.record<Facts>(
  {
    status: fc.constantFrom('current', 'trial', 'leaving', 'gone', 'retired'),
    grade: fc.constantFrom('best', 'practice', 'give away'),
    tags: fc.array(fc.constantFrom('use once', 'winter', 'gift'), { maxLength: 3 }),
    decideOn: fc.constant('2026-07-01'),
    barcode: fc.constant('4006381333931'),
    collection: fc.boolean(),
  },
  { requiredKeys: [] },
);
const lot = fc.record({
  id: fc.uuid(),
  as: fc.constantFrom<Holding['as']>('whole', 'pack', 'scrap', 'base'),
  items: fc.nat(9),
  left: fc.nat(500),
});
const lots = fc
  .uniqueArray(lot, { maxLength: 5, selector: ({ id }) => id })
  .map((all) => all as unknown as Holding[]);

test('only “let go” takes a thing out of the stash, and only “keep” makes up its mind for good', () => {
  fc.assert(
    fc.property(facts, fc.constantFrom(...VERDICTS), (before, verdict) => {
      const after = factsAfter(before, verdict);
      if (verdict === 'let go') expect(inStash({ facts: after })).toBe(false);
      else if (verdict !== 'keep') expect(inStash({ facts: after })).toBe(true);
      else expect(['trial', 'leaving']).not.toContain(after.status);
      // What the verdict does not speak of stays as it was.
      expect([after.barcode, after.collection]).toEqual([before.barcode, before.collection]);
      expect(after.tags ?? []).toEqual(expect.arrayContaining(before.tags ?? []));
      expect(new Set(after.tags).size).toBe(new Set([...(before.tags ?? []), ...(after.tags ?? [])]).size);
    }),
  );
});

test('a verdict said twice says no more than once', () => {
  fc.assert(
    fc.property(facts, fc.constantFrom(...VERDICTS), (before, verdict) => {
      const once = factsAfter(before, verdict);
      const twice = factsAfter(once, verdict);
      expect({ ...twice, tags: [...(twice.tags ?? [])].sort() }).toEqual({
        ...once,
        tags: [...(once.tags ?? [])].sort(),
      });
    }),
  );
});

test('a question put off to a day is kept with what stays as it is, and ends with every other verdict', () => {
  const asked: Facts = { decideOn: '2026-07-01' };
  expect(factsAfter(asked, 'keep').decideOn).toBe('2026-07-01');
  expect(factsAfter({ ...asked, status: 'trial' }, 'keep')).toEqual({ status: 'current' });
  for (const verdict of ['use once', 'pass on', 'let go'] as const)
    expect(factsAfter(asked, verdict)).not.toHaveProperty('decideOn');
});

test('after a farewell nothing is left of any lot, and history says how much there was', () => {
  fc.assert(
    fc.property(lots, fc.constantFrom('fill' as const, 'sheets' as const), (all, counting) => {
      const done = farewell(all, { counting });
      const something = all.filter(({ items, left }) => items > 0 || left > 0);
      if (something.length === 0) return expect(done).toBeNull();
      expect(done?.postings.map(({ holdingId }) => holdingId).sort()).toEqual(
        something.map(({ id }) => id).sort(),
      );
      expect(done?.postings.every(({ items, left, how }) => items === 0 && left === 0 && how === 'to')).toBe(
        true,
      );
      const whole = something.filter((each) => each.as === 'whole');
      const said = whole.map((each) => (counting === 'fill' ? each.items : each.left));
      return expect(done?.happening).toEqual({
        act: 'discard',
        of: 'whole',
        amount: said.reduce((p, q) => p + q, 0),
      });
    }),
  );
});
