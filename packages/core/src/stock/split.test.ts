import fc from 'fast-check';
import { becomesOne, countOfLot, emptiedShifts, splitPostings } from './split';

const PAD = { counting: 'fill', usesPerFill: 60 } as const;
const SHEETS = { counting: 'sheets' } as const;

const lot = fc.record({
  id: fc.constant('a'),
  as: fc.constantFrom('whole' as const, 'pack' as const, 'base' as const, 'scrap' as const),
  items: fc.integer({ min: 1, max: 9 }),
  left: fc.nat(540),
});
const form = fc.constantFrom(PAD, SHEETS);

test('what leaves one lot arrives in the other: nothing comes of moving, and nothing is lost', () => {
  fc.assert(
    fc.property(lot, form, fc.nat(1000), (from, counted, share) => {
      // Nothing is moved out of what is empty.
      fc.pre(countOfLot(from, counted) > 0);
      const amount = 1 + (share % countOfLot(from, counted));
      const [arrives, leaves] = splitPostings(from, 'b', amount, counted);
      expect([arrives?.holdingId, leaves?.holdingId]).toEqual(['b', 'a']);
      expect(arrives!.items + leaves!.items).toBe(0);
      expect(arrives!.left + leaves!.left).toBe(0);
      expect(arrives!.items).toBeGreaterThanOrEqual(0);
      // Nothing leaves that was not there.
      if (from.as === 'whole') expect(arrives!.left).toBeLessThanOrEqual(from.left);
    }),
  );
});

test('all of a lot takes with it all that is left in it; of pads the fullest go', () => {
  const pads = { id: 'a', as: 'whole', items: 3, left: 100 } as const;
  const arrives = (amount: number) => splitPostings(pads, 'b', amount, PAD)[0];
  expect(arrives(3)).toEqual({ holdingId: 'b', items: 3, left: 100, how: 'by' });
  expect(arrives(1)).toEqual({ holdingId: 'b', items: 1, left: 60, how: 'by' });
  expect(arrives(2)).toEqual({ holdingId: 'b', items: 2, left: 100, how: 'by' });
});

test('a lot becomes one with another of its sort and size, whichever is asked, and never with itself', () => {
  const sized = fc.record({
    id: fc.constantFrom('a', 'b'),
    as: fc.constantFrom('whole' as const, 'scrap' as const),
    sizeUm: fc.constantFrom(null, { widthUm: 1, heightUm: 2 }, { widthUm: 2, heightUm: 1 }),
  });
  fc.assert(
    fc.property(sized, sized, (p, q) => {
      expect(becomesOne(p, q)).toBe(becomesOne(q, p));
      expect(becomesOne(p, p)).toBe(false);
      if (becomesOne(p, q)) expect([p.as, p.sizeUm]).toEqual([q.as, q.sizeUm]);
    }),
  );
});

test('a pack, base or scrap that is used up leaves its place; a whole thing keeps it, and so does what is left', () => {
  const spot = { unitId: 'u', cell: 3, rank: 0 };
  const lots = new Map([
    ['pack', { as: 'pack', items: 2, spot }],
    ['scrap', { as: 'scrap', items: 1, spot }],
    ['unplaced', { as: 'scrap', items: 1, spot: null }],
    ['whole', { as: 'whole', items: 1, spot }],
  ] as const);
  const by = (holdingId: string, items: number, how: 'by' | 'to' = 'by') => ({
    holdingId,
    items,
    left: 0,
    how,
  });
  expect(emptiedShifts([by('pack', -1), by('scrap', -1), by('whole', -1), by('unplaced', -1)], lots)).toEqual(
    [{ holdingId: 'scrap', from: spot, to: null }],
  );
  expect(emptiedShifts([by('pack', 0, 'to'), by('gone', -1)], lots)).toEqual([
    { holdingId: 'pack', from: spot, to: null },
  ]);
});
