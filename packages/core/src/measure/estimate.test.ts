import fc from 'fast-check';
import { fillFromMass } from './fill';
import { sheetsFromMass, sheetsFromStack, sheetsFromWeighed } from './sheets';
import { ribbonFromMass, ribbonFromTurns, ribbonFromWound } from './wound';

const LETTER = [215_900, 279_400] as const;

test('a ream-like stack of 216 gsm letter card: height and mass agree, and weighing ten is the best', () => {
  const sheets = 50;
  const cgsm = 21_600;
  const massMg = sheets * 216 * 0.2159 * 0.2794 * 1000;
  const stack = sheetsFromStack(sheets * 216 * 1.25, cgsm);
  const mass = sheetsFromMass(massMg, cgsm, ...LETTER);
  const weighed = sheetsFromWeighed(massMg, massMg / 5, 10);
  for (const estimate of [stack, mass, weighed]) {
    expect(estimate.value).toBe(sheets);
    expect(estimate.low).toBeLessThanOrEqual(sheets);
    expect(estimate.high).toBeGreaterThanOrEqual(sheets);
  }
  const width = (e: { low: number; high: number }) => e.high - e.low;
  expect(width(mass)).toBeLessThan(width(stack));
  expect(width(weighed)).toBeLessThan(width(mass));
});

test('a wound ring holds what was wound on it, layer by layer', () => {
  fc.assert(
    fc.property(fc.integer({ min: 20, max: 60 }), fc.integer({ min: 5, max: 60 }), (coreMm, layers) => {
      const t = 300;
      const core = coreMm * 1000;
      let length = 0;
      for (let i = 0; i < layers; i++) length += Math.PI * (core + (2 * i + 1) * t);
      const left = ribbonFromWound(core + 2 * layers * t, core, t);
      expect(left.value).toBeCloseTo(length, -1);
      expect(left.low).toBeLessThan(length);
      expect(left.high).toBeGreaterThan(length);
    }),
  );
});

test('ten turns on a card of 40 mm, and a spool on a scale', () => {
  const turns = ribbonFromTurns(10, 40_000, 1_000, 200);
  expect(turns.value / 1000).toBeCloseTo(882.8, 0);
  expect(turns.low).toBeLessThan(turns.value);
  const mass = ribbonFromMass(30_000, 10_000, 4_000);
  expect(mass.value).toBe(5_000_000);
  expect(ribbonFromMass(9_900, 10_000, 4_000).value).toBe(0);
});

test('a marker on a scale: what is left, and what may be added before it overfills', () => {
  const fill = fillFromMass(12_000, 11_000, 13_000, 'alcohol');
  expect(fill?.share.value).toBe(0.5);
  expect(fill?.leftUl.value).toBeCloseTo(1000 / 0.81, 0);
  expect(fill?.mayAddUl).toBeLessThan(1000 / 0.81);
  expect(fill?.mayAddUl).toBeGreaterThan(900);
  expect(fillFromMass(14_000, 11_000, 13_000, 'water')?.share.value).toBe(1);
  expect(fillFromMass(14_000, 11_000, 13_000, 'water')?.mayAddUl).toBe(0);
  expect(fillFromMass(12_000, 13_000, 13_000, 'water')).toBeNull();
});
