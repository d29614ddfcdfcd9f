import { lookUp, type Sought } from './lookUp';
import { paceOf, type Carried } from './pace';

const thing = (group: string, rank: number, more: Partial<Sought> = {}): Sought => ({
  group,
  rank,
  uses: 1,
  reach: 'near',
  ...more,
});
const row = (ranks: readonly number[], group = 'a'): Sought[] => ranks.map((rank) => thing(group, rank));

test('in order one finds a thing sooner than in none, in one stretch sooner than in two, near sooner than far', () => {
  const sorted = lookUp([row([0, 1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12, 13, 14, 15])]);
  const mixed = lookUp([row([9, 2, 14, 0, 7, 11, 3, 15, 5, 1, 12, 8, 4, 13, 10, 6])]);
  expect(sorted.inOrder).toBe(1);
  expect(mixed.inOrder).toBeCloseTo(0.54, 1);
  expect(sorted.seconds).toBeLessThan(mixed.seconds!);
  const whole = lookUp([[...row([0, 1, 2, 3]), ...row([4, 5], 'b')]]);
  const broken = lookUp([[...row([0, 1]), ...row([4, 5], 'b'), ...row([2, 3])]]);
  expect(whole.seconds).toBeLessThan(broken.seconds!);
  const far = lookUp([row([0, 1, 2, 3]).map((each) => ({ ...each, reach: 'far' as const }))]);
  expect(far.seconds! - lookUp([row([0, 1, 2, 3])]).seconds!).toBeCloseTo(8);
});

test('what is used often counts more, and what has no place most', () => {
  const [near, far] = [thing('a', 0, { uses: 9 }), thing('b', 1, { uses: 1, reach: 'far' })];
  const busy = lookUp([[near, far]]).seconds!;
  expect(busy).toBeLessThan(
    lookUp([
      [
        { ...near, uses: 1 },
        { ...far, uses: 9 },
      ],
    ]).seconds!,
  );
  expect(lookUp([[near]], [far]).seconds).toBeGreaterThan(busy);
  expect(lookUp([[], []])).toEqual({ seconds: null, inOrder: null });
});

test('the pace is what usually lies between one lift and the next', () => {
  expect(paceOf([])).toEqual({ seconds: 12, lifts: 0 });
  const goes: Carried[] = [];
  let at = 0;
  for (const gap of [9, 7, 8, 0.1, 9, 10, 8, 600, 9, 11, 8]) goes.push({ at: (at += gap * 1000), count: 1 });
  // All at once, and with a pause between, is no lift by hand.
  expect(paceOf(goes.reverse())).toEqual({ seconds: 9, lifts: 8 });
  // A tray of twelve that takes a minute is the pace of a quick person, not of a slow one.
  const trays = goes.map((_, i) => ({ at: i * 60_000, count: 12 }));
  expect(paceOf(trays).seconds).toBeCloseTo(60 / 6.5);
});
