import { byMonthAndKind, lastMonths, valueLeft } from './lookBack';

const pad = { kind: 'ink' as const, form: 'full-pad', facts: {}, stock: { left: 30 } };
const card = { kind: 'cardstock' as const, form: 'sheet-12', facts: {}, stock: { left: 10 } };

test('months are counted back over a new year', () => {
  expect(lastMonths('2026-02-11T00:00:00.000Z', 4)).toEqual(['2025-11', '2025-12', '2026-01', '2026-02']);
});

test('what was bought and used stands month by month, a pad for its uses', () => {
  const happened = (supply: object) => ({
    bought: supply === pad ? [{ at: '2026-01-03T10:00:00Z', amount: 2 }] : [],
    used: [
      { at: '2026-01-31T23:59:00Z', amount: 3 },
      { at: '2025-10-01T00:00:00Z', amount: 9 },
    ],
  });
  expect(
    byMonthAndKind([pad, card], ['2025-12', '2026-01'], ['ink', 'cardstock', 'ribbon'], happened),
  ).toEqual([
    { month: '2025-12', kind: 'ink', bought: 0, used: 0 },
    { month: '2026-01', kind: 'ink', bought: 120, used: 3 },
    { month: '2025-12', kind: 'cardstock', bought: 0, used: 0 },
    { month: '2026-01', kind: 'cardstock', bought: 0, used: 3 },
    { month: '2025-12', kind: 'ribbon', bought: 0, used: 0 },
    { month: '2026-01', kind: 'ribbon', bought: 0, used: 0 },
  ]);
});

test('what is left is worth what was paid last, by as much as is left', () => {
  const paid = (at: string, amount: number, minor: number) => ({
    at,
    amount,
    price: { minor, currency: 'EUR' },
  });
  // Half a pad at 6.00 a pad.
  expect(valueLeft(pad, [paid('2026-01-01', 1, 600), paid('2025-01-01', 1, 400)])).toEqual({
    minor: 300,
    currency: 'EUR',
  });
  expect(valueLeft(card, [paid('2026-01-01', 25, 500)])).toEqual({ minor: 200, currency: 'EUR' });
  expect(valueLeft(card, [{ at: '2026-01-01', amount: 25 }])).toBeNull();
});
