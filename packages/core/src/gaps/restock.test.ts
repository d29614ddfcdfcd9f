import type { Facts } from '../stash/facts';
import { leftInAll } from '../stock/leftInAll';
import { restockOf } from '../stock/restock';
import { stockOf } from '../stock/stock';
import { answersTo } from '../bench/needs';
import { findGaps } from './running';
import { runningRow } from './runningOut';

/** What is advised where something runs low, by what it is, and with what is in closed packs. */

const DAY = 86_400_000;
const NOW = Date.parse('2026-12-01T12:00:00Z');
const dayBefore = (days: number): string => new Date(NOW - days * DAY).toISOString();
const card = (left: number, packs: number, facts: Facts = {}, form = 'sheet-a4') => {
  const lots = [
    { as: 'whole' as const, items: left, left },
    { as: 'pack' as const, items: packs, left: 0 },
  ];
  const used = { uses: 10, used: 10, lastUsedAt: dayBefore(2) };
  const stock = stockOf(lots, used, { counting: 'sheets', lowAt: 4 });
  return {
    id: 'c',
    kind: 'cardstock',
    form,
    hex: '#4c9a52',
    facts,
    stock,
    createdAt: dayBefore(55),
  } as const;
};
const uses = Array.from({ length: 10 }, (_, i) => ({ at: dayBefore(54 - 5 * i), amount: 1 }));
const advice = (...of: Parameters<typeof card>) => runningRow(card(...of), uses, NOW)?.advice.do ?? null;

test('five loose sheets and three packs of 25 are eighty, and nothing to buy', () => {
  expect(leftInAll(card(5, 3))).toBe(80);
  expect(leftInAll(card(5, 3, { attributes: { perPack: 10 } }))).toBe(35);
  expect(runningRow(card(5, 3), uses, NOW)).toBeNull();
  expect(advice(5, 0)).toBe('buy');
});

test('what is kept at par counts packs, and what is needed is found in them', () => {
  const par = { par: 60 };
  expect(runningRow(card(2, 0, par), uses, NOW)?.advice).toMatchObject({ do: 'buy', amount: 60 });
  expect(runningRow(card(2, 2, par), uses, NOW)).toBeNull();
  const need = { kind: 'cardstock', hex: '#4c9a52', each: 1 } as const;
  const [answer] = answersTo(need, 40, [card(5, 3)], leftInAll);
  expect(answer).toMatchObject({ free: 80, enough: true });
});

test.each<[string, Facts, string | null, string]>([
  ['current', {}, 'buy', 'sheet-a4'],
  ['on trial', { status: 'trial' }, 'buy', 'sheet-a4'],
  ['retired', { status: 'retired' }, 'spare', 'sheet-a4'],
  ['irreplaceable', { status: 'irreplaceable' }, 'spare', 'sheet-a4'],
  ['leaving', { status: 'leaving' }, null, 'sheet-a4'],
  ['gone', { status: 'gone' }, null, 'sheet-a4'],
  ['to be given away', { grade: 'give away' }, null, 'sheet-a4'],
  ['a collection', { collection: true }, null, 'sheet-a4'],
  ['cut by oneself', {}, null, 'cut-base'],
])('low and %s', (_, facts, expected, form) => {
  expect(advice(1, 0, facts, form)).toBe(expected);
  const listed = findGaps([{ ...card(1, 0, facts, form), placed: true }]).low.length > 0;
  // The list that needs no server advises the same.
  expect(listed).toBe(expected === 'buy');
  expect(restockOf({ form, facts })).toBe(expected ?? 'silent');
});
