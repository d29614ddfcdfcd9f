import fc from 'fast-check';
import { refillRequest } from './refill';

const marker = (attributes: Record<string, number | string> = {}) =>
  ({
    ...({ id: 'm', kind: 'marker', form: 'alcohol-dual' } as const),
    facts: { attributes },
  }) as const;
const bottle = (attributes: Record<string, number | string> = {}) =>
  ({
    ...({ id: 'b', kind: 'ink', form: 'refill' } as const),
    facts: { attributes },
    lots: [
      { id: 'open', version: 1, supplyId: 'b', as: 'whole', sizeUm: null, spot: null, items: 1, left: 20 },
      { id: 'packs', version: 1, supplyId: 'b', as: 'pack', sizeUm: null, spot: null, items: 2, left: 0 },
    ],
  }) as const;
const REFILL = { act: 'refill' } as const;

test('without a scale it is filled up, and the bottle gives one of its uses out of what is open', () => {
  const request = refillRequest(marker(), bottle(), REFILL);
  expect(request).toMatchObject({ act: 'refill', from: { supplyId: 'b', amount: 1 } });
  expect(request).toMatchObject({ from: { lots: [{ id: 'open' }] } });
  expect(refillRequest(marker(), null, REFILL)).toEqual(REFILL);
});

test('what came out lighter than it went in was not filled, and nothing is filled from itself or from a sheet', () => {
  fc.assert(
    fc.property(fc.nat(20_000), fc.integer({ min: 1, max: 20_000 }), (afterMg, less) => {
      const weights = { beforeMg: afterMg + less, afterMg };
      expect(refillRequest(marker(), bottle(), { ...REFILL, weights })).toEqual({ code: 'lighter' });
    }),
  );
  expect(refillRequest(marker(), { ...bottle(), id: 'm' }, REFILL)).toEqual({ code: 'no_bottle' });
  const sheets = { ...bottle(), kind: 'cardstock', form: 'sheet-12' } as const;
  expect(refillRequest(marker(), sheets, REFILL)).toEqual({ code: 'no_bottle' });
});

test('weighed, as much goes in as it gained of what it holds, and more gained is never less given', () => {
  const known = marker({ emptyMass: 9000, fullMass: 12_000 });
  const gained = (mg: number) =>
    refillRequest(known, null, { ...REFILL, weights: { beforeMg: 9000, afterMg: 9000 + mg } }) as {
      gives: number;
    };
  const full = gained(3000).gives;
  expect(full).toBeGreaterThan(1);
  expect(gained(0).gives).toBe(0);
  expect(Math.abs(gained(1500).gives - full / 2)).toBeLessThanOrEqual(0.5);
  fc.assert(
    fc.property(fc.nat(3000), fc.nat(3000), (p, q) => {
      const [less, more] = [Math.min(p, q), Math.max(p, q)];
      expect(gained(less).gives).toBeLessThanOrEqual(gained(more).gives);
      expect(gained(more).gives).toBeLessThanOrEqual(full);
    }),
  );
});

test('masses that say nothing, or the wrong way round, are left aside', () => {
  const weights = { beforeMg: 9000, afterMg: 10_000 };
  const said: Record<string, number>[] = [
    {},
    { emptyMass: 9000 },
    { emptyMass: 9000, fullMass: 8000 },
    { emptyMass: 0, fullMass: 5 },
  ];
  for (const attributes of said)
    expect(refillRequest(marker(attributes), null, { ...REFILL, weights })).not.toHaveProperty('gives');
});

test('a weighed bottle gives at least one use, and twice as much for twice the gain', () => {
  const taken = (mg: number): number => {
    const weights = { beforeMg: 9000, afterMg: 9000 + mg };
    const request = refillRequest(marker(), bottle({ volume: 12_000 }), { ...REFILL, weights });
    return (request as { from: { amount: number } }).from.amount;
  };
  expect(taken(1)).toBe(1);
  expect(Math.abs(taken(4000) - 2 * taken(2000))).toBeLessThanOrEqual(1);
});
