import fc from 'fast-check';
import { placeAt, settledRanks } from './placeAt';

const row = (...ranks: number[]) => ranks.map((rank, i) => ({ id: 'abcdefgh'.charAt(i), rank }));
/** The order once one more is set down. */
const after = (there: readonly { id: string; rank: number }[], before?: string): string => {
  const { rank, others } = placeAt(there, before);
  const all = [
    ...there.map((each) => ({ ...each, rank: others.get(each.id) ?? each.rank })),
    { id: '*', rank },
  ];
  expect(new Set(all.map((each) => each.rank)).size).toBe(all.length);
  return all
    .sort((p, q) => p.rank - q.rank)
    .map(({ id }) => id)
    .join('');
};

test('a thing stands right before another, or behind all; only where there is no rank between are others numbered anew', () => {
  expect(after(row(0, 1, 2))).toBe('abc*');
  expect(after(row(0, 1, 2), 'b')).toBe('a*bc');
  expect(after(row(0, 1, 2), 'a')).toBe('*abc');
  expect(after(row(0, 1), 'gone')).toBe('ab*');
  expect(after([])).toBe('*');
  expect(placeAt(row(0, 16, 32), 'b').others.size).toBe(0);
  fc.assert(
    fc.property(fc.uniqueArray(fc.nat(20), { minLength: 1, maxLength: 6 }), fc.nat(5), (ranks, at) => {
      const there = row(...ranks);
      const order = [...there].sort((p, q) => p.rank - q.rank).map(({ id }) => id);
      const before = order[at % order.length]!;
      expect(after(there, before)).toBe(order.join('').replace(before, `*${before}`));
    }),
  );
});

test('what stays keeps its order, what comes stands before the next one there; an order that is as it was changes nothing', () => {
  const now = row(0, 1, 2, 3);
  const order = (wanted: string, comes: string): string => {
    const changed = settledRanks(now, [...wanted], new Set(comes));
    const ids = new Set([...'abcd', ...comes]);
    const rank = (id: string): number => changed.get(id) ?? now.find((each) => each.id === id)?.rank ?? 0;
    return [...ids].sort((p, q) => rank(p) - rank(q)).join('');
  };
  expect(order('axbcd', 'x')).toBe('axbcd');
  expect(order('dabc', 'd')).toBe('dabc');
  // What is no part of it stays before what it stood before.
  expect(order('ac', 'a')).toBe('bacd');
  expect(settledRanks(now, [...'abcd'], new Set('b')).size).toBe(0);
});
