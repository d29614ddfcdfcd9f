import { DAY } from '../stash/idle';
import { poolsOf, rateOfPool } from './pooled';

const NOW = Date.parse('2026-06-01T00:00:00Z');
const iso = (days: number): string => new Date(NOW - days * DAY).toISOString();
const pad = (id: string, group: 'red' | 'blue', left: number, facts = {}) => ({
  ...{ id, group, facts, kind: 'ink' as const, createdAt: iso(300), stock: { left } },
});

test('what is rare of each is known of all together; what was let go counts in the rate, not in what is left', () => {
  // Each pad is used every forty days, ten in all: one use in four days.
  const pads = Array.from({ length: 10 }, (_, i) => pad(`p${i}`, i < 5 ? 'red' : 'blue', 10));
  const supplies = [...pads, pad('gone', 'red', 50, { status: 'gone' })];
  const usesOf = (id: string) =>
    id === 'gone'
      ? []
      : Array.from({ length: 7 }, (_, i) => ({ at: iso(40 * i + Number(id.slice(1)) * 4), amount: 1 }));
  const [all, red] = poolsOf(supplies).map((pool) => rateOfPool(pool, usesOf, iso(0)));
  expect(all).toMatchObject({ kind: 'ink', group: null, left: 100 });
  expect(all!.perDay.value).toBeCloseTo(0.25, 1);
  // A hundred uses at one in four days: a little over a year.
  const days = (Date.parse(all!.runsOut!.median) - NOW) / DAY;
  expect(days).toBeGreaterThan(300);
  expect(days).toBeLessThan(520);
  expect(red).toMatchObject({ group: 'red', left: 50 });
  expect(red!.perDay.value).toBeCloseTo(0.125, 1);
});
