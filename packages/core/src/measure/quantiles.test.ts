import fc from 'fast-check';
import { normalQuantile, quantileOfF } from './quantiles';

test.each([
  [0.5, 0],
  [0.9, 1.2816],
  [0.975, 1.96],
  [0.999, 3.0902],
])('the normal quantile of %d is that of the tables', (p, z) => {
  expect(Math.abs(normalQuantile(p) - z)).toBeLessThan(0.00046);
});

test('the normal quantile grows with the probability, and is the same the other way round', () => {
  const probability = fc.double({ min: 1e-9, max: 1 - 1e-9, noNaN: true });
  fc.assert(
    fc.property(probability, probability, (p, q) => {
      if (p < q - 1e-3) expect(normalQuantile(p)).toBeLessThan(normalQuantile(q));
      expect(normalQuantile(1 - p)).toBeCloseTo(-normalQuantile(p), 6);
    }),
  );
  expect([normalQuantile(0), normalQuantile(1)]).toEqual([-Infinity, Infinity]);
});

/** Of the tables of Fisher's F, the upper twentieth. */
test.each([
  [5, 10, 3.33],
  [10, 10, 2.98],
  [10, 20, 2.35],
  [20, 60, 1.75],
])(
  'F with %d and %d degrees of freedom is within a hundredth of the table at one in twenty',
  (one, two, f) => {
    expect(Math.abs(quantileOfF(one, two, normalQuantile(0.95)) / f - 1)).toBeLessThan(0.01);
  },
);

test('F grows with the quantile, and turned over it is the other side of itself', () => {
  const degrees = fc.integer({ min: 3, max: 200 });
  const z = fc.double({ min: -1.5, max: 1.5, noNaN: true });
  fc.assert(
    fc.property(degrees, degrees, z, z, (one, two, low, high) => {
      if (low < high - 1e-6) expect(quantileOfF(one, two, low)).toBeLessThan(quantileOfF(one, two, high));
      expect(quantileOfF(one, two, low) * quantileOfF(two, one, -low)).toBeCloseTo(1, 6);
    }),
  );
});

test('with hardly anything known there is no upper end, and never less than nothing', () => {
  expect(quantileOfF(2, 1, 3)).toBe(Infinity);
  fc.assert(
    fc.property(fc.nat(40), fc.nat(40), fc.double({ min: -4, max: 4, noNaN: true }), (one, two, z) => {
      expect(quantileOfF(one + 1, two + 1, z)).toBeGreaterThanOrEqual(0);
    }),
  );
});
