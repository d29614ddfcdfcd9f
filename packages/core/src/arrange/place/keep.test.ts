import fc from 'fast-check';
import { growthOf, withGaps } from '../growth';
import { mostKept } from './keep';
import { layOut } from './layOut';

/** Every way to choose who stays, tried: slow and obvious. */
function mostByTrying(now: readonly (number | null)[], places: number): number {
  let best = 0;
  for (let mask = 0; mask < 1 << now.length; mask++) {
    let [at, good, count] = [0, true, 0];
    now.forEach((place, k) => {
      const stays = (mask >> k) & 1;
      if (stays && (place === null || place < at)) good = false;
      at = stays ? (place ?? 0) + 1 : at + 1;
      count += stays;
    });
    if (good && at <= places) best = Math.max(best, count);
  }
  return best;
}

/** Some things in order, standing anywhere on a path, no two in one place. */
const standing = fc.integer({ min: 1, max: 9 }).chain((count) =>
  fc
    .record({
      spots: fc.shuffledSubarray([...Array(count + 4).keys()], { minLength: count, maxLength: count }),
      away: fc.array(fc.boolean(), { minLength: count, maxLength: count }),
    })
    .map(({ spots, away }) => ({ places: count + 4, now: spots.map((spot, i) => (away[i] ? null : spot)) })),
);

test('as many stay where they are as possibly can, and everything stands in order', () => {
  fc.assert(
    fc.property(standing, ({ now, places }) => {
      const kept = mostKept(now, places);
      expect(kept.size).toBe(mostByTrying(now, places));
      const things = now.map((place, item) => ({ item, group: item < 4 ? 'a' : 'b', now: place }));
      const { placed, held } = layOut(things, places, new Map());
      const order = [...placed].sort(([p], [q]) => p - q).map(([, item]) => item);
      expect(order).toEqual([...now.keys()]);
      for (const k of kept) expect(placed.get(now[k] ?? -1)).toBe(k);
      expect(placed.size + held.size).toBe(places);
      // Laid out once more nothing moves, and the room is where it was.
      const at = new Map([...placed].map(([place, item]) => [item, place]));
      const again = layOut(
        things.map((thing) => ({ ...thing, now: at.get(thing.item) ?? null })),
        places,
        new Map(),
      );
      expect(again.placed).toEqual(placed);
      expect([...again.held.keys()].sort()).toEqual([...held.keys()].sort());
    }),
    { numRuns: 300 },
  );
});

test('one thing more moves only what stands between it and the next open place', () => {
  fc.assert(
    fc.property(fc.nat(49), fc.array(fc.nat(49), { minLength: 1, maxLength: 20 }), (at, gaps) => {
      // Fifty things with open places behind some of them.
      const open = new Set(gaps);
      let place = 0;
      const now: (number | null)[] = Array.from({ length: 50 }, (_, k) => {
        const here = place;
        place += open.has(k) ? 2 : 1;
        return here;
      });
      now.splice(at, 0, null);
      const moved = now.length - 1 - mostKept(now, place).size;
      const nearest = Math.min(...[...open].map((gap) => (gap >= at ? gap - at + 1 : at - gap - 1)));
      expect(moved).toBe(nearest);
    }),
  );
});

test('what is bought after the first weeks counts as growth, the older the less; size is a guess that wears off', () => {
  const now = Date.parse('2026-06-01T00:00:00Z');
  const first = Array.from({ length: 20 }, (_, i) => ({
    group: i < 15 ? 'large' : 'small',
    createdAt: '2025-01-01T00:00:00Z',
  }));
  const [large, small] = ['large', 'small'].map((group) => growthOf(first, now).get(group) ?? 0);
  expect(large).toBeCloseTo(3);
  expect(small).toBeCloseTo(1);
  const bought = (group: string, createdAt: string, count: number) =>
    Array.from({ length: count }, () => ({ group, createdAt }));
  const later = growthOf([...first, ...bought('small', '2026-05-20T00:00:00Z', 6)], now);
  expect(later.get('small')).toBeGreaterThan(2 * (later.get('large') ?? 0));
  // Colours of a range that are known to be missing are likely to come, where anything of their group is.
  const known = withGaps(growthOf(first, now), [...Array<string>(30).fill('small'), 'none']);
  expect(known.get('small')).toBeCloseTo(4);
  expect(known.has('none')).toBe(false);
  const old = growthOf([...first, ...bought('small', '2025-06-01T00:00:00Z', 6)], now);
  expect(old.get('small')).toBeLessThan(later.get('small') ?? 0);
});
