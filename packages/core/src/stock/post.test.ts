import fc from 'fast-check';
import type { LotAs } from '../kinds/definition';
import type { Holding } from '../stash/holding';
import type { StashEvent } from './event';
import { foldEvents, type CountRule } from './fold';
import { planPosting, type StockRequest } from './post';

/** What acts do to lots, added up as the stash adds it up. */

type Lot = Pick<Holding, 'id' | 'as' | 'items' | 'left' | 'sizeUm'>;
const SHEETS: CountRule = { counting: 'sheets', usesPerFill: 1, lowAt: 2 };
const FILLS: CountRule = { counting: 'fill', usesPerFill: 50, lowAt: 10 };
const PARTS = ['pack', 'base', 'scrap'] as const satisfies readonly LotAs[];
const small = { widthUm: 100_000, heightUm: 150_000 };
const large = { widthUm: 200_000, heightUm: 300_000 };

const lotsOf = (as: fc.Arbitrary<LotAs>) =>
  fc
    .array(fc.record({ as, amount: fc.nat(30), sizeUm: fc.constantFrom(null, small, large) }), {
      maxLength: 5,
    })
    .map((drawn) => [
      { id: 'l0', as: 'whole' as const, items: 0, left: 12, sizeUm: null },
      ...drawn.map(({ as: sort, amount, sizeUm }, i): Lot => ({
        id: `l${i + 1}`,
        as: sort,
        items: sort === 'whole' ? 0 : amount,
        left: sort === 'whole' ? amount : 0,
        sizeUm: sort === 'base' || sort === 'scrap' ? sizeUm : null,
      })),
    ]);
const cards = lotsOf(fc.constantFrom<LotAs>('whole', ...PARTS));
const pads = fc
  .array(fc.record({ items: fc.nat(3), worn: fc.nat(50) }), { minLength: 1, maxLength: 3 })
  .map((drawn) =>
    drawn.map(({ items, worn }, i): Lot => ({
      id: `l${i}`,
      as: 'whole',
      items,
      left: Math.max(0, items * 50 - worn),
      sizeUm: null,
    })),
  );

interface After {
  readonly lots: readonly Lot[];
  readonly refused: string | null;
}
/** The lots once something was asked for: as they stand, or as they stood with the reason. */
function after(lots: readonly Lot[], request: StockRequest, rule: CountRule): After {
  let made = 0;
  const form = { counting: rule.counting, parts: rule.counting === 'sheets' ? PARTS : [] };
  const planned = planPosting(request, lots, form, rule, () => `new${made++}`);
  if ('code' in planned) return { lots, refused: planned.code };
  const all = [...lots, ...planned.made.map((lot): Lot => ({ ...lot, items: 0, left: 0 }))];
  const event = {
    id: 'e',
    supplyId: 's',
    at: '',
    recordedAt: '',
    ...planned.happening,
    ...planned,
  } as never as StashEvent;
  const start = { tallies: new Map(lots.map((lot) => [lot.id, lot])), uses: 0, used: 0, lastUsedAt: null };
  const whole = new Map(all.map(({ id, as }) => [id, { whole: as === 'whole' }]));
  const { tallies } = foldEvents([event], 's', whole, rule, start);
  return { lots: all.map((lot) => ({ ...lot, ...tallies.get(lot.id) })), refused: null };
}
const sum = (lots: readonly Lot[], as: LotAs, key: 'items' | 'left'): number =>
  lots.reduce((total, lot) => total + (lot.as === as ? lot[key] : 0), 0);
const sheets = (lots: readonly Lot[]) => sum(lots, 'whole', 'left');

test('sheets that are used are gone, from lot after lot, and no more than there are', () => {
  fc.assert(
    fc.property(
      cards,
      fc.nat(80),
      fc.constantFrom('use' as const, 'discard' as const),
      (lots, amount, act) => {
        const { lots: now, refused } = after(lots, { act, amount }, SHEETS);
        if (amount > sheets(lots)) return expect([refused, now]).toEqual(['more_than_left', lots]);
        expect(sheets(now)).toBe(sheets(lots) - amount);
        for (const as of PARTS) expect(sum(now, as, 'items')).toBe(sum(lots, as, 'items'));
        // The second lot is not begun while there is something in the first.
        const whole = now.filter((lot) => lot.as === 'whole');
        const begun = whole.findIndex((lot) => lot.left > 0);
        return expect(
          whole
            .slice(begun + 1)
            .every(({ id, left }) => begun < 0 || left === lots.find((lot) => lot.id === id)?.left),
        ).toBe(true);
      },
    ),
  );
});

test('what was bought is there, and using as much again leaves as much as before', () => {
  fc.assert(
    fc.property(cards, fc.integer({ min: 1, max: 80 }), (lots, amount) => {
      const more = after(lots, { act: 'buy', amount }, SHEETS).lots;
      expect(sheets(more)).toBe(sheets(lots) + amount);
      expect(sheets(after(more, { act: 'use', amount }, SHEETS).lots)).toBe(sheets(lots));
    }),
  );
});

test('a pack that is opened becomes the sheets that were in it', () => {
  fc.assert(
    fc.property(cards, fc.integer({ min: 1, max: 40 }), fc.nat(25), (lots, packs, left) => {
      const { lots: now, refused } = after(lots, { act: 'open', amount: packs, left }, SHEETS);
      const have = sum(lots, 'pack', 'items');
      expect(refused).toBe(packs > have ? 'more_than_left' : null);
      if (refused) return;
      expect([sum(now, 'pack', 'items'), sheets(now)]).toEqual([have - packs, sheets(lots) + left]);
    }),
  );
});

test('sheets that are cut become bases and scraps, those of one size in one lot', () => {
  fc.assert(
    fc.property(cards, fc.nat(12), fc.nat(20), fc.nat(20), (lots, amount, items, left) => {
      const request = { act: 'cut' as const, amount, items, left, baseSize: small, scrapSize: large };
      const { lots: now, refused } = after(lots, request, SHEETS);
      if (refused) return expect(amount).toBeGreaterThan(sheets(lots));
      expect(sheets(now)).toBe(sheets(lots) - amount);
      expect(sum(now, 'base', 'items')).toBe(sum(lots, 'base', 'items') + items);
      expect(sum(now, 'scrap', 'items')).toBe(sum(lots, 'scrap', 'items') + left);
      // Nothing is put to pieces of another size.
      const other = (all: readonly Lot[]) =>
        all
          .filter((lot) => lot.as === 'base' && lot.sizeUm !== small)
          .reduce((total, lot) => total + lot.items, 0);
      return expect(other(now)).toBe(other(lots));
    }),
  );
});

test('a count of everything is what there is then, wherever it lay', () => {
  fc.assert(
    fc.property(cards, fc.nat(60), (lots, left) => {
      const now = after(lots, { act: 'count', items: 0, left }, SHEETS).lots;
      expect(sheets(now)).toBe(left);
      expect(sum(now, 'pack', 'items')).toBe(sum(lots, 'pack', 'items'));
    }),
  );
});

test('pads wear down use by use, may be used past empty, and are filled up, never over', () => {
  fc.assert(
    fc.property(pads, fc.nat(120), (lots, amount) => {
      const used = after(lots, { act: 'use', amount }, FILLS).lots;
      expect(sheets(used)).toBe(Math.max(0, sheets(lots) - amount));
      expect(sum(used, 'whole', 'items')).toBe(sum(lots, 'whole', 'items'));
      const { lots: full, refused } = after(used, { act: 'refill' }, FILLS);
      if (refused) return expect([refused, used[0]?.items]).toEqual(['nothing_to_refill', 0]);
      return expect(full[0]?.left).toBe(Math.max(used[0]?.left ?? 0, (full[0]?.items ?? 0) * 50));
    }),
  );
});

test('what is asked of a lot or a part that is not there is refused, and changes nothing', () => {
  const lots: readonly Lot[] = [{ id: 'l0', as: 'whole', items: 1, left: 20, sizeUm: null }];
  const ask = (request: StockRequest, rule = FILLS) => after(lots, request, rule).refused;
  expect(ask({ act: 'use', amount: 1, lotId: 'gone' })).toBe('no_such_lot');
  expect(ask({ act: 'use', amount: 1, of: 'base' })).toBe('no_such_part');
  expect(ask({ act: 'count', items: 1, left: 51 })).toBe('left_exceeds_items');
  expect(ask({ act: 'refill' }, SHEETS)).toBe('not_refillable');
  expect(ask({ act: 'buy', amount: 2_000_000 })).toBe('too_many');
});
