import fc from 'fast-check';
import { MOST_EXACT, shortestRound } from './exact';
import { numbersFrom } from './numbers';
import { shortRound } from './shortest';
import { Tour, type Costs } from './tour';

const pointsOf = (n: number, seed: number) => {
  const number = numbersFrom(seed);
  return Array.from({ length: n }, () => [number() / 2 ** 32, number() / 2 ** 32] as const);
};
function costsOf(n: number, seed: number): Costs {
  const points = pointsOf(n, seed);
  const cost = new Float64Array(n * n);
  points.forEach(([x, y], i) => points.forEach(([u, v], j) => (cost[i * n + j] = Math.hypot(x - u, y - v))));
  return { n, cost };
}
const lengthOf = ({ n, cost }: Costs, round: readonly number[]): number =>
  round.reduce((sum, node, i) => sum + (cost[node * n + (round[(i + 1) % n] ?? 0)] ?? 0), 0);
const inTurn = (n: number): number[] => Array.from({ length: n }, (_, i) => i);

function best(costs: Costs): number {
  let least = Infinity;
  const go = (round: number[], left: readonly number[]): void => {
    if (left.length === 0) least = Math.min(least, lengthOf(costs, round));
    for (const node of left)
      go(
        [...round, node],
        left.filter((other) => other !== node),
      );
  };
  go([0], inTurn(costs.n).slice(1));
  return least;
}

test('few nodes: the shortest of all rounds', () => {
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 8 }), fc.nat(), (n, seed) => {
      const costs = costsOf(n, seed);
      const round = shortRound(costs, inTurn(n), { shakes: 200, seed });
      expect([...round].sort((a, b) => a - b)).toEqual(inTurn(n));
      if (n > 2) expect(lengthOf(costs, round)).toBeLessThan(best(costs) * 1.0001 + 1e-9);
    }),
    { numRuns: 100 },
  );
});

test('beyond what is worked out to the end, moves and shakes find the shortest too', () => {
  fc.assert(
    fc.property(fc.integer({ min: 8, max: MOST_EXACT }), fc.nat(), (n, seed) => {
      const costs = costsOf(n, seed);
      const tour = new Tour(costs, inTurn(n));
      tour.improveAll();
      tour.keep();
      const number = numbersFrom(seed);
      for (let k = 0; k < 300; k++)
        if (tour.shake(number() % n, 1 + (number() % (n >> 2)), 1 + (number() % (n >> 2))) <= 0) tour.keep();
        else tour.takeBack();
      expect(tour.length()).toBeLessThan(lengthOf(costs, shortestRound(costs)) * 1.02);
    }),
    { numRuns: 60, seed: 7 },
  );
});

test('what a move says it changed is what it changed, and what is taken back is as it was', () => {
  fc.assert(
    fc.property(fc.integer({ min: 8, max: 60 }), fc.nat(), (n, seed) => {
      const tour = new Tour(costsOf(n, seed), inTurn(n));
      let length = tour.length();
      length += tour.improveAll();
      expect(tour.length()).toBeCloseTo(length, 6);
      tour.keep();
      const number = numbersFrom(seed);
      for (let k = 0; k < 20; k++) {
        const before = [...tour.at];
        const by = tour.shake(number() % n, 1 + (number() % (n >> 2)), 1 + (number() % (n >> 2)));
        expect(tour.length()).toBeCloseTo(length + by, 6);
        expect(new Set(tour.at).size).toBe(n);
        if (k % 2) {
          tour.takeBack();
          expect([...tour.at]).toEqual(before);
        } else {
          tour.keep();
          length += by;
        }
      }
    }),
    { numRuns: 60 },
  );
});
