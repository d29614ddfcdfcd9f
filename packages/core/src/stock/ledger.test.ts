import fc from 'fast-check';
import { formOf } from '../kinds/registry';
import { checkStockRequest } from './act';
import { standingEntries, stockFromLedger, type LedgerEntry } from './ledger';
import { levelOf, sayLeft, usesAtLevel } from './level';

const pad = formOf('ink', 'full-pad');
const card = formOf('cardstock', 'sheet-12');
const spool = formOf('ribbon', 'spool');
let seq = 0;
const entry = (act: LedgerEntry['act'], more: Partial<LedgerEntry> = {}): LedgerEntry => ({
  id: `e${seq++}`,
  act,
  at: `2026-05-${String((seq % 28) + 1).padStart(2, '0')}T10:00:00.000Z`,
  ...more,
});

test('card is counted sheet by sheet', () => {
  const entries = [
    entry('count', { left: 20 }),
    entry('use', { amount: 3 }),
    entry('buy', { amount: 10 }),
    entry('discard', { amount: 24 }),
  ];
  expect(stockFromLedger(entries, card)).toMatchObject({ left: 3, items: 3, state: 'low', uses: 1 });
});

test('a pad wears down, never below empty, and a refill makes it full again', () => {
  const uses = Array.from({ length: 70 }, () => entry('use', { amount: 1 }));
  const dry = [entry('count', { items: 1, left: 60 }), ...uses];
  expect(stockFromLedger(dry, pad)).toMatchObject({ items: 1, left: 0, state: 'out', uses: 70 });
  expect(stockFromLedger([...dry, entry('refill')], pad)).toMatchObject({ items: 1, left: 60, state: 'ok' });
  expect(stockFromLedger([...dry, entry('buy', { amount: 1 })], pad)).toMatchObject({ items: 2, left: 60 });
});

test('discarding takes the emptiest pad first', () => {
  const entries = [entry('count', { items: 2, left: 70 }), entry('discard', { amount: 1 })];
  expect(stockFromLedger(entries, pad)).toMatchObject({ items: 1, left: 60 });
});

test('an undo cancels its entry, and undoing the undo brings it back', () => {
  const count = entry('count', { left: 20 });
  const use = entry('use', { amount: 5 });
  const undo = entry('undo', { undoes: use.id });
  const redo = entry('undo', { undoes: undo.id });
  expect(stockFromLedger([count, use, undo], card)).toMatchObject({ left: 20, uses: 0, lastUsedAt: null });
  expect(stockFromLedger([count, use, undo, redo], card)).toMatchObject({
    left: 15,
    uses: 1,
    lastUsedAt: use.at,
  });
});

test('adding an act and its undo changes nothing, whatever came before', () => {
  const acts = fc.array(fc.tuple(fc.constantFrom('use', 'buy', 'discard', 'count', 'refill'), fc.nat(30)), {
    maxLength: 20,
  });
  fc.assert(
    fc.property(acts, fc.nat(30), (history, amount) => {
      const entries = history.map(([act, n]) => entry(act as 'use', { amount: n, items: n, left: n }));
      const use = entry('count', { items: amount, left: amount });
      const after = [...entries, use, entry('undo', { undoes: use.id })];
      expect(stockFromLedger(after, pad)).toEqual(stockFromLedger(entries, pad));
      expect(standingEntries(after)).toEqual(standingEntries(entries));
    }),
  );
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
  expect(sayLeft({ items: 1, left: 1 }, card)).toBe('1 sheet');
  expect(sayLeft({ items: 1, left: 2_404_000 }, spool)).toBe('2.4 m');
  expect(sayLeft({ items: 1, left: 340_000 }, spool)).toBe('34 cm');
  expect(sayLeft({ items: 0, left: 0 }, spool)).toBe('out');
});

test('refusals carry what was asked and what there is', () => {
  const stock = { items: 1, left: 500_000 };
  expect(checkStockRequest({ act: 'use', amount: 700_000 }, stock, spool)).toEqual({
    code: 'more_than_left',
    need: 700_000,
    have: 500_000,
  });
  expect(checkStockRequest({ act: 'refill' }, stock, spool)?.code).toBe('not_refillable');
  expect(checkStockRequest({ act: 'refill' }, { items: 0, left: 0 }, pad)?.code).toBe('nothing_to_refill');
  expect(checkStockRequest({ act: 'count', items: 1, left: 61 }, stock, pad)?.code).toBe(
    'left_exceeds_items',
  );
  expect(checkStockRequest({ act: 'use', amount: 1 }, { items: 1, left: 0 }, pad)).toBeNull();
});

test('packs, sheets, bases and scraps of one colour are one supply with four counts', () => {
  const entries = [
    entry('count', { left: 2 }),
    entry('buy', { amount: 2, part: 'packs' }),
    entry('open', { amount: 1, left: 25 }),
    entry('cut', { amount: 3, items: 6, left: 3 }),
    entry('use', { amount: 4, part: 'bases' }),
    entry('count', { left: 1, part: 'scraps' }),
  ];
  expect(stockFromLedger(entries, card)).toMatchObject({
    left: 24,
    parts: { packs: 1, bases: 2, scraps: 1 },
    state: 'ok',
    uses: 2,
  });
  const opened = entries[2]!;
  const undone = stockFromLedger([...entries, entry('undo', { undoes: opened.id })], card);
  expect(undone).toMatchObject({ left: 0, parts: { packs: 2 }, state: 'ok' });
});

test('a part that a form does not keep, or has too little of, is refused', () => {
  const stock = { items: 5, left: 5, parts: { packs: 1 } };
  expect(checkStockRequest({ act: 'open', amount: 2, left: 50 }, stock, card)?.code).toBe('more_than_left');
  expect(checkStockRequest({ act: 'open', amount: 1, left: 25 }, stock, card)).toBeNull();
  expect(checkStockRequest({ act: 'use', amount: 1, part: 'scraps' }, stock, card)?.code).toBe(
    'more_than_left',
  );
  expect(checkStockRequest({ act: 'cut', amount: 6, items: 12, left: 0 }, stock, card)?.code).toBe(
    'more_than_left',
  );
  expect(checkStockRequest({ act: 'buy', amount: 1, part: 'packs' }, stock, pad)?.code).toBe('no_such_part');
  expect(checkStockRequest({ act: 'cut', amount: 1, items: 1, left: 0 }, stock, spool)?.code).toBe(
    'no_such_part',
  );
});
