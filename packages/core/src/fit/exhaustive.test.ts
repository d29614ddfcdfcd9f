import fc from 'fast-check';
import type { Size } from '../kinds/definition';
import { gridIn } from './cells';
import { fitCount } from './fitCount';
import { openingPlan, type OpeningUnit } from './openingPlan';
import { pocketFit, smallestPocket } from './pocket';
import { runCount } from './run';
import { stackCount, stackHeight } from './stack';
import { turned, TURNS, type Turn } from './turns';

/** Every answer beside a slow one that tries everything. */

const size = (widthUm: number, heightUm: number, depthUm: number): Size => ({ widthUm, heightUm, depthUm });
const sizes = (most: number) =>
  fc.tuple(
    fc.integer({ min: 1, max: most }),
    fc.integer({ min: 1, max: most }),
    fc.integer({ min: 1, max: most }),
  );
const times = (numRuns: number) => ({ numRuns, seed: 11 });

/** Puts one more down until it does not go any more. */
function oneByOne(roomUm: number, eachUm: number, lastMaySaveUm = 0): number {
  let [count, usedUm] = [0, 0];
  while (usedUm + eachUm - lastMaySaveUm <= roomUm) [count, usedUm] = [count + 1, usedUm + eachUm];
  return count;
}

test('fitCount: as many as putting one after another in every way round', () => {
  fc.assert(
    fc.property(
      sizes(12),
      sizes(30),
      fc.tuple(fc.nat(3), fc.nat(3), fc.nat(3)),
      fc.constantFrom(0, 0.25, 0.5, 1),
      fc.boolean(),
      fc.uniqueArray(fc.constantFrom(...TURNS), { minLength: 1 }),
      ([w, h, d], [W, H, D], [cw, ch, cd], sticksOut, layers, turns) => {
        const thing = size(w, h, d);
        const slow = turns.map((turn: Turn) => {
          const one = turned(thing, turn);
          const across = oneByOne(W, one.widthUm + cw);
          const high = Math.min(layers ? Infinity : 1, oneByOne(H, one.heightUm + ch));
          const deep = oneByOne(D, one.depthUm + cd, Math.floor(sticksOut * one.depthUm));
          return { turn, count: across * high * deep, seen: across * high };
        });
        const most = Math.max(...slow.map(({ count }) => count));
        const answer = fitCount(thing, size(W, H, D), {
          turns,
          clearanceUm: size(cw, ch, cd),
          sticksOut,
          layers,
        });
        expect(answer.count).toBe(most);
        expect(answer.count).toBe(answer.across * answer.high * answer.deep);
        if (most === 0) return expect(answer.refusals.length).toBeGreaterThan(0);
        expect(answer.refusals).toEqual([]);
        const fewestHidden = Math.min(
          ...slow.filter(({ count }) => count === most).map(({ seen }) => most - seen),
        );
        expect(answer.behind).toBe(fewestHidden);
        expect(answer.sticksOutUm).toBeLessThanOrEqual(sticksOut * turned(thing, answer.turn).depthUm);
        expect(answer.usedShare).toBeGreaterThan(0);
        return expect(answer.usedShare).toBeLessThanOrEqual(1);
      },
    ),
    times(3000),
  );
});

test('fitCount: all six ways are different boxes of the same sides', () => {
  const all = TURNS.map((turn) => turned(size(1, 2, 3), turn));
  expect(new Set(all.map((each) => JSON.stringify(each))).size).toBe(6);
  for (const { widthUm, heightUm, depthUm } of all)
    expect([widthUm, heightUm, depthUm].sort()).toEqual([1, 2, 3]);
});

test('gridIn: as many cells as can be drawn with a wall around each', () => {
  fc.assert(
    fc.property(sizes(60), sizes(12), fc.nat(4), ([W, H, D], [w, h, d], wall) => {
      const slow = (outside: number, cell: number): number => {
        let count = 0;
        for (let at = wall; at + cell + wall <= outside; at += cell + wall) count++;
        return count;
      };
      const { rows, columns, layers, leftUm } = gridIn(size(W, H, D), size(w, h, d), wall);
      expect([columns, rows, layers]).toEqual([slow(W, w), slow(H, h), slow(D, d)]);
      expect(leftUm.widthUm).toBe(columns === 0 ? W : W - wall - columns * (w + wall));
    }),
    times(2000),
  );
});

test('runCount: as many in their order as stand, and the most that any choice of them gives', () => {
  fc.assert(
    fc.property(
      fc.array(fc.integer({ min: 1, max: 20 }), { maxLength: 9 }),
      fc.nat(80),
      fc.nat(3),
      fc.nat(5),
      (lengths, room, gapUm, fingerUm) => {
        const may = Math.max(0, room - fingerUm);
        const takes = (chosen: readonly number[]): number =>
          chosen.reduce((sum, length) => sum + length, Math.max(0, chosen.length - 1) * gapUm);
        let inOrder = 0;
        while (inOrder < lengths.length && takes(lengths.slice(0, inOrder + 1)) <= may) inOrder++;
        let most = 0;
        for (let set = 0; set < 2 ** lengths.length; set++) {
          const chosen = lengths.filter((_, i) => set & (1 << i));
          if (takes(chosen) <= may) most = Math.max(most, chosen.length);
        }
        const answer = runCount(
          lengths.map((alongUm) => ({ alongUm })),
          room,
          { gapUm, fingerUm },
        );
        expect(answer).toMatchObject({ count: inOrder, most });
        expect(answer.usedUm + answer.leftUm).toBe(may);
        expect(answer.missingUm).toBe(Math.max(0, takes(lengths) - may));
      },
    ),
    times(1500),
  );
});

/** The fullest set, by trying every set of layers in every order. */
function slowOpening(units: readonly OpeningUnit[], { widthUm, heightUm, depthUm }: Size) {
  let best = { volume: 0, price: 0 };
  const volume = units.map(({ size: { widthUm: w, heightUm: h, depthUm: d } }) => w * h * d);
  const left = units.map(({ count = 99 }) => count);
  /** Goes on in the layer that is begun, or begins another above it. */
  const go = (sum: number, price: number, beside: number, floor: number, high: number): void => {
    if (sum > best.volume || (sum === best.volume && price < best.price)) best = { volume: sum, price };
    for (const [i, { size: each, price: costs = 0 }] of units.entries()) {
      if (left[i] === 0 || each.depthUm > depthUm) continue;
      left[i]!--;
      if (each.widthUm <= beside && floor + each.heightUm <= heightUm)
        go(sum + volume[i]!, price + costs, beside - each.widthUm, floor, Math.max(high, each.heightUm));
      if (high > 0 && each.widthUm <= widthUm && floor + high + each.heightUm <= heightUm)
        go(sum + volume[i]!, price + costs, widthUm - each.widthUm, floor + high, each.heightUm);
      left[i]!++;
    }
  };
  go(0, 0, widthUm, 0, 0);
  return best;
}

test('openingPlan: the fullest set, and the cheapest of those as full', () => {
  const unit = fc.record({
    size: sizes(6),
    count: fc.integer({ min: 1, max: 2 }),
    price: fc.integer({ min: 1, max: 9 }),
  });
  fc.assert(
    fc.property(fc.array(unit, { minLength: 1, maxLength: 3 }), sizes(9), (given, [W, H, D]) => {
      const units = given.map(({ size: [w, h, d], ...more }) => ({ size: size(w, h, d), ...more }));
      const opening = size(W, H, D);
      const answer = openingPlan(units, opening);
      const slow = slowOpening(units, opening);
      const used = units.reduce(
        (sum, { size: s }, i) => sum + (answer.take[i] ?? 0) * s.widthUm * s.heightUm * s.depthUm,
        0,
      );
      expect(used).toBe(slow.volume);
      expect(answer.price).toBe(slow.price);
      expect(answer.best).toBe(true);
      expect(answer.leftUm.heightUm).toBeGreaterThanOrEqual(0);
      for (const layer of answer.layers) expect(layer.leftUm).toBeGreaterThanOrEqual(0);
      for (const [i, { count }] of units.entries()) expect(answer.take[i]).toBeLessThanOrEqual(count);
    }),
    times(1000),
  );
});

test('pockets: what is said to be cut off is exactly what is too much, and the smallest that takes it is named', () => {
  const flat = fc.tuple(fc.integer({ min: 1, max: 30 }), fc.integer({ min: 1, max: 30 }));
  fc.assert(
    fc.property(
      flat,
      fc.array(flat, { minLength: 1, maxLength: 5 }),
      fc.nat(3),
      fc.nat(4),
      fc.boolean(),
      ([w, h], given, clearanceUm, mayTrimUm, mayTurn) => {
        const pockets = given.map(([widthUm, heightUm]) => ({ widthUm, heightUm }));
        const sheet = { widthUm: w, heightUm: h };
        const options = { clearanceUm, mayTrimUm, mayTurn };
        const ways = mayTurn
          ? [
              [w, h],
              [h, w],
            ]
          : [[w, h]];
        const trims = pockets.map((pocket) =>
          Math.min(
            ...ways.map(([x = 0, y = 0]) =>
              Math.max(0, x + clearanceUm - pocket.widthUm, y + clearanceUm - pocket.heightUm),
            ),
          ),
        );
        pockets.forEach((pocket, i) => {
          const { verdict, trimUm, quarterTurned } = pocketFit(sheet, pocket, options);
          expect(verdict === 'fits').toBe(trims[i] === 0);
          expect(verdict !== 'too_large').toBe((trims[i] ?? 0) <= mayTrimUm);
          const [x, y] = quarterTurned ? [h, w] : [w, h];
          if (verdict === 'too_large') return;
          expect(x - trimUm.widthUm + clearanceUm).toBeLessThanOrEqual(Math.max(pocket.widthUm, clearanceUm));
          expect(y - trimUm.heightUm + clearanceUm).toBeLessThanOrEqual(
            Math.max(pocket.heightUm, clearanceUm),
          );
        });
        const found = smallestPocket(sheet, pockets, options);
        expect(found === null).toBe(trims.every((trim) => trim > mayTrimUm));
        const whole = pockets
          .filter((_, i) => trims[i] === 0)
          .map(({ widthUm, heightUm }) => widthUm * heightUm);
        if (whole.length > 0) expect(found!.pocket.widthUm * found!.pocket.heightUm).toBe(Math.min(...whole));
      },
    ),
    times(2000),
  );
});

test('stacks: so many sheets need the height they are said to fill', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 50, max: 1000 }),
      fc.integer({ min: 1, max: 400 }),
      fc.nat(20_000),
      (thicknessUm, sheets, fingerUm) => {
        const options = { fingerUm, fillShare: 0.85 };
        const { value } = stackHeight({ thicknessUm }, sheets, options);
        const back = stackCount({ thicknessUm }, Math.ceil(value), options);
        expect(Math.abs(back.value - sheets)).toBeLessThanOrEqual(1);
        expect(back.low).toBeLessThanOrEqual(back.value);
        expect(back.high).toBeGreaterThanOrEqual(back.value);
      },
    ),
    times(500),
  );
});
