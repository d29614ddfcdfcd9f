/** What the ledger adds up to. Long, since each act is asked of the same shelf, and the old fold is held against the new one. */
import fc from 'fast-check';
import { formOf } from '../kinds/registry';
import { formFor } from '../stash/formFor';
import type { StashEvent } from './event';
import { brokenShift, countRuleOf, foldEvents, foldSpots } from './fold';
import { eventOfEntry, OLD_ACTS, OLD_PARTS, oldLotId, oldLots, type OldEntry } from './fromLedger';
import { levelOf, sayLeft, usesAtLevel } from './level';
import { planPosting, type StockRequest } from './post';
import { stockOf, type Stock } from './stock';
import { oldStock } from './test/oldFold';

const pad = formOf('ink', 'full-pad');
const card = formOf('cardstock', 'sheet-12');
const spool = formOf('ribbon', 'spool');

/** A supply that lives in memory: what is asked is planned, posted and folded, as the server does it. */
class Shelf {
  readonly events: StashEvent[] = [];
  private made = 0;
  readonly lots = new Map<
    string,
    {
      id: string;
      as: 'whole' | 'pack' | 'base' | 'scrap';
      sizeUm: null | { widthUm: number; heightUm: number };
    }
  >();
  constructor(
    readonly form = card,
    readonly rule = countRuleOf(form),
  ) {
    this.lots.set('a', { id: 'a', as: 'whole', sizeUm: null });
  }
  folded() {
    const lots = new Map([...this.lots.values()].map(({ id, as }) => [id, { whole: as === 'whole' }]));
    return foldEvents(this.events, 's', lots, this.rule);
  }
  now() {
    const { tallies } = this.folded();
    return [...this.lots.values()].map((lot) => ({
      ...lot,
      ...(tallies.get(lot.id) ?? { items: 0, left: 0 }),
    }));
  }
  ask(request: StockRequest): string {
    const plan = planPosting(request, this.now(), this.form, this.rule, () => `l${this.made++}`);
    if ('code' in plan) return plan.code;
    for (const lot of plan.made) this.lots.set(lot.id, lot);
    const id = `e${this.events.length}`;
    const at = `2026-05-${String(this.events.length + 1).padStart(2, '0')}T10:00:00.000Z`;
    this.events.push({ id, supplyId: 's', at, postings: plan.postings, shifts: [], ...plan.happening });
    return id;
  }
  undo(undoes: string): void {
    const id = `e${this.events.length}`;
    this.events.push({
      id,
      supplyId: 's',
      at: '2026-06-01T10:00:00.000Z',
      act: 'undo',
      undoes,
      postings: [],
      shifts: [],
    });
  }
  get stock(): Stock {
    return stockOf(this.now(), this.folded(), this.rule);
  }
}
const count = (left: number, items = 0): StockRequest => ({ act: 'count', items, left });

test('card is counted sheet by sheet; what was used counts in sheets, and a count that finds less is use too', () => {
  const shelf = new Shelf();
  shelf.ask(count(20));
  shelf.ask({ act: 'use', amount: 3 });
  shelf.ask({ act: 'buy', amount: 10 });
  shelf.ask({ act: 'discard', amount: 10 });
  const found = shelf.ask(count(15));
  expect(shelf.stock).toMatchObject({ left: 15, items: 15, state: 'ok', uses: 1, used: 5 });
  expect([...shelf.folded().unlogged]).toEqual([[found, 2]]);
});

test('a pad wears down, never below empty; a refill fills it, and takes from the bottle what it gave', () => {
  const shelf = new Shelf(pad);
  shelf.ask(count(60, 1));
  for (let i = 0; i < 70; i++) shelf.ask({ act: 'use', amount: 1 });
  expect(shelf.stock).toMatchObject({ items: 1, left: 0, state: 'out', uses: 70 });
  const bottle = { id: 'bottle', as: 'whole' as const, items: 1, left: 5, sizeUm: null };
  const weights = { beforeMg: 21_000, afterMg: 17_000 };
  shelf.ask({ act: 'refill', from: { supplyId: 'ink', amount: 2, lots: [bottle] }, weights });
  expect(shelf.stock).toMatchObject({ items: 1, left: 60, state: 'ok' });
  const last = shelf.events.at(-1)!;
  expect(last).toMatchObject({ act: 'refill', from: { supplyId: 'ink', amount: 2 }, weights });
  expect(last.postings).toContainEqual({ holdingId: 'bottle', items: 0, left: -2, how: 'by' });
  const count5: StashEvent = {
    ...last,
    id: 'c',
    supplyId: 'ink',
    act: 'count',
    of: 'whole',
    items: 1,
    left: 5,
    postings: [{ holdingId: 'bottle', items: 1, left: 5, how: 'to' }],
  };
  const ofBottle = foldEvents(
    [count5, last],
    'ink',
    new Map([['bottle', { whole: true }]]),
    countRuleOf(pad),
  );
  expect(ofBottle).toMatchObject({ uses: 1, used: 2 });
  expect(ofBottle.tallies.get('bottle')).toEqual({ items: 1, left: 3 });
  expect(
    shelf.ask({ act: 'refill', from: { supplyId: 'ink', amount: 2, lots: [{ ...bottle, left: 0 }] } }),
  ).toBe('bottle_empty');
});

test('uses per fill and "low" can be set for one supply', () => {
  const shelf = new Shelf(
    pad,
    countRuleOf(formFor({ kind: 'ink', form: 'full-pad', facts: { usesPerFill: 200, lowAt: 100 } })),
  );
  shelf.ask({ act: 'buy', amount: 1 });
  shelf.ask({ act: 'use', amount: 110 });
  expect(shelf.stock).toMatchObject({ left: 90, state: 'low' });
});

test('a cut makes pieces of several sizes, one lot a size, and a scrap is cut up like a sheet', () => {
  const shelf = new Shelf();
  const size = (cm: number) => ({ widthUm: cm * 10_000, heightUm: 50_000 });
  shelf.ask(count(3));
  const pieces = [
    { as: 'base', items: 2, sizeUm: size(9) },
    { as: 'scrap', items: 1, sizeUm: size(12) },
    { as: 'scrap', items: 1, sizeUm: size(7) },
    { as: 'scrap', items: 1, sizeUm: size(12) },
  ] as const;
  shelf.ask({ act: 'cut', amount: 1, items: 0, left: 0, pieces });
  expect(shelf.stock).toMatchObject({ left: 2, parts: { base: 2, scrap: 3 }, used: 1 });
  const scrap = shelf.now().find(({ sizeUm }) => sizeUm?.widthUm === 120_000);
  expect(scrap?.items).toBe(2);
  const again = [{ as: 'base', items: 1, sizeUm: size(9) }] as const;
  const cut = shelf.ask({ act: 'cut', amount: 1, items: 0, left: 0, lotId: scrap?.id, pieces: again });
  expect(shelf.stock).toMatchObject({ left: 2, parts: { base: 3, scrap: 2 }, used: 1 });
  shelf.undo(cut);
  expect(shelf.stock).toMatchObject({ parts: { base: 2, scrap: 3 } });
});

test('packs, sheets, bases and scraps are lots of one supply, scraps apart by size', () => {
  const shelf = new Shelf();
  const small = { widthUm: 70_000, heightUm: 50_000 };
  shelf.ask(count(2));
  shelf.ask({ act: 'buy', amount: 2, of: 'pack' });
  const opened = shelf.ask({ act: 'open', amount: 1, left: 25 });
  shelf.ask({ act: 'cut', amount: 3, items: 6, left: 3, scrapSize: small });
  shelf.ask({ act: 'cut', amount: 1, items: 0, left: 1, scrapSize: small });
  shelf.ask({ act: 'use', amount: 4, of: 'base' });
  shelf.ask({ act: 'count', of: 'scrap', items: 0, left: 2 });
  expect(shelf.stock).toMatchObject({
    left: 23,
    parts: { pack: 1, base: 2, scrap: 2 },
    state: 'ok',
    uses: 3,
    used: 4,
  });
  expect(shelf.now().filter(({ as, items }) => as === 'scrap' && items > 0)).toHaveLength(1);
  expect(shelf.ask({ act: 'open', amount: 2, left: 50 })).toBe('more_than_left');
  expect(shelf.ask({ act: 'use', amount: 9, of: 'scrap' })).toBe('more_than_left');
  shelf.undo(opened);
  expect(shelf.stock).toMatchObject({ left: 0, parts: { pack: 2 }, state: 'ok' });
});

test('refusals carry what was asked and what there is', () => {
  const ribbon = new Shelf(spool);
  ribbon.ask(count(500_000));
  const asked: StockRequest = { act: 'use', amount: 700_000 };
  expect(planPosting(asked, ribbon.now(), spool, ribbon.rule, () => '')).toEqual({
    code: 'more_than_left',
    need: 700_000,
    have: 500_000,
  });
  expect(ribbon.ask({ act: 'refill' })).toBe('not_refillable');
  expect(ribbon.ask({ act: 'cut', amount: 1, items: 1, left: 0 })).toBe('no_such_part');
  expect(ribbon.ask({ act: 'cut', amount: 700_000, items: 0, left: 1 })).toBe('more_than_left');
  expect(ribbon.ask({ act: 'use', amount: 1, lotId: 'nobody' })).toBe('no_such_lot');
  const pads = new Shelf(pad);
  expect(pads.ask({ act: 'refill' })).toBe('nothing_to_refill');
  expect(pads.ask(count(61, 1))).toBe('left_exceeds_items');
  expect(pads.ask({ act: 'buy', amount: 1, of: 'pack' })).toBe('no_such_part');
  expect(pads.ask({ act: 'buy', amount: 100_001 })).toBe('too_many');
});

/** Lines as the program wrote them: it refilled only what wears down. */
const oldEntries = (form: typeof pad) =>
  fc
    .array(
      fc.record({
        act: fc.constantFrom(...OLD_ACTS.filter((act) => act !== 'refill' || form.counting === 'fill')),
        n: fc.nat(30),
        items: fc.nat(3),
        part: fc.option(fc.constantFrom(...OLD_PARTS), { freq: 4 }),
        undoes: fc.nat(40),
      }),
      { maxLength: 40 },
    )
    .map((lines) =>
      lines.map(({ act, n, items, part, undoes }, i): OldEntry => {
        const undone = act === 'undo' ? `e${undoes % Math.max(1, i)}` : null;
        const of =
          form.parts && act !== 'refill' && act !== 'open' && act !== 'cut' && act !== 'undo' ? part : null;
        return {
          id: `e${i}`,
          supplyId: 's',
          at: `2026-01-${10 + (i % 20)}T00:00:00.000Z`,
          act,
          amount: Math.max(1, n),
          items,
          left: n,
          part: of,
          undoes: undone,
        };
      }),
    );

test.each([pad, card, spool])('a ledger from before lots adds up to the same stock: $name', (form) => {
  fc.assert(
    fc.property(oldEntries(form), (entries) => {
      const ids = ['whole' as const, ...oldLots(entries)];
      const lots = new Map(ids.map((as) => [oldLotId('s', as), { whole: as === 'whole' }]));
      const rule = countRuleOf(form);
      const folded = foldEvents(
        entries.map((each) => eventOfEntry(each, form.counting === 'fill')),
        's',
        lots,
        rule,
      );
      const tallies = ids.map((as) => ({
        as,
        ...(folded.tallies.get(oldLotId('s', as)) ?? { items: 0, left: 0 }),
      }));
      const { packs, bases, scraps, ...rest } = { ...oldStock(entries, form).parts };
      expect(rest).toEqual({});
      const { used: _, ...stock } = stockOf(tallies, folded, rule);
      expect(stock).toEqual({
        ...oldStock(entries, form),
        parts: {
          ...(packs ? { pack: packs } : {}),
          ...(bases ? { base: bases } : {}),
          ...(scraps ? { scrap: scraps } : {}),
        },
      });
    }),
    { numRuns: 400 },
  );
});

test('an act and its undo change nothing, whatever came before, and undoing the undo brings it back', () => {
  const asked = fc.record({ act: fc.constantFrom('use', 'buy', 'discard', 'count'), n: fc.nat(30) });
  const request = ({ act, n }: { act: string; n: number }): StockRequest =>
    act === 'count' ? count(n, 1) : { act: act as 'use', amount: n };
  fc.assert(
    fc.property(fc.array(asked, { maxLength: 20 }), asked, (history, one) => {
      const shelf = new Shelf(pad);
      for (const each of history) shelf.ask(request(each));
      const before = shelf.stock;
      const id = shelf.ask(request(one));
      if (!id.startsWith('e')) return;
      const after = shelf.stock;
      shelf.undo(id);
      expect(shelf.stock).toEqual(before);
      shelf.undo(shelf.events.at(-1)!.id);
      expect(shelf.stock).toEqual(after);
    }),
  );
});

test('places are what the moves add up to, and a move that does not lead on is told', () => {
  const spot = (cell: number) => ({ unitId: 'u', cell, rank: 0 });
  const move = (id: string, from: number | null, to: number | null) => ({
    id,
    shifts: [{ holdingId: 'a', from: from === null ? null : spot(from), to: to === null ? null : spot(to) }],
  });
  const good = [move('1', null, 4), move('2', 4, 7), move('3', 7, null)];
  expect(foldSpots(good.slice(0, 2)).get('a')).toEqual(spot(7));
  expect(brokenShift(good)).toBeNull();
  expect(brokenShift([good[0]!, move('x', 5, 7)])).toBe('x');
});

test.each([
  ['full', 60],
  ['half', 30],
  ['low', 9],
  ['empty', 0],
] as const)('one pad at %s has %d uses left and reads %s again', (level, uses) => {
  expect(usesAtLevel(1, level, 60)).toBe(uses);
  expect(levelOf({ items: 1, left: uses }, 60)).toBe(level);
});

test('what is left is said shortly', () => {
  expect(sayLeft({ items: 2, left: 90 }, pad)).toBe('2 · half');
  expect(sayLeft({ items: 1, left: 180 }, { ...pad, usesPerFill: 200 })).toBe('full');
  expect(sayLeft({ items: 1, left: 1 }, card)).toBe('1 sheet');
  expect(sayLeft({ items: 1, left: 2_404_000 }, spool)).toBe('2.4 m');
  expect(sayLeft({ items: 1, left: 340_000 }, spool)).toBe('34 cm');
  expect(sayLeft({ items: 0, left: 0 }, spool)).toBe('out');
});
