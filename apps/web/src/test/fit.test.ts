import { evenGrid, lookFor, type Compared, type Lodger } from '@red-shelf/core';
import { REASON_WORDS, sayCompared, sayLookFor } from '../copy/fit';
import { placeWord, sayFree, sayShared, sayToReach } from '../copy/places';

/** What is said of places, in the person's measures. */

const MM = 1000;
const thing = (id: string, w: number, h: number, d: number): Lodger => ({
  supply: {
    id,
    kind: 'companion',
    form: 'other',
    facts: { size: { widthUm: w * MM, heightUm: h * MM, depthUm: d * MM } },
  },
  lot: { id, as: 'whole', items: 1, left: 1, spot: null },
});
const result = (more: Partial<Compared<Lodger>>): Compared<Lodger> => ({
  unit: {} as Compared<Lodger>['unit'],
  fits: [],
  leftOver: [],
  freed: { unitIds: [], places: 0, left: 0 },
  most: true,
  depthShare: 0.64,
  hiddenShare: 0,
  priceEach: null,
  ...more,
});

test('a candidate says what it takes, what is left over and why, what is hidden and what comes free', () => {
  const pooled = { thing: thing('a', 1, 1, 1), unitId: 'u', cell: 0, warnings: [] };
  const left = {
    thing: thing('b', 1, 1, 1),
    because: { code: 'too_wide' as const, needUm: 132 * MM, haveUm: 102 * MM },
  };
  expect(sayCompared(result({ fits: [pooled, pooled], leftOver: [left] }))).toBe(
    'takes 2 of 3 · 1 left over, the first too wide: needs 132 mm, the slot has 102 mm · all are seen · 64% of its depth is used',
  );
  expect(
    sayCompared(
      result({
        fits: [pooled],
        hiddenShare: 0.4,
        most: false,
        freed: { unitIds: ['x'], places: 24, left: 1 },
      }),
    ),
  ).toBe(
    'takes all 1 · there may be a way for more · 40% lie behind others · 64% of its depth is used · 24 places come free',
  );
  expect(Object.values(REASON_WORDS).every((words) => words.length > 5)).toBe(true);
});

test('what to look for is said in inside sizes, rounded up to whole millimetres', () => {
  const said = lookFor([thing('a', 45.4, 18, 45), thing('b', 40, 20, 45)]).map((model) =>
    sayLookFor(model, 2, 'metric'),
  );
  expect(said.map(({ title }) => title)).toEqual([
    'A rack or case of 2 cells',
    'A shelf, gutter or file',
    'A tray or shallow drawer, things lying',
    'A box, bin or drawer, things as they fall',
  ]);
  expect(said[0]?.detail).toBe('each at least 49 mm wide, 23 mm high, 48 mm deep inside');
});

test('what is free is never said to be more than it is', () => {
  expect(sayFree({ measure: 'length', have: 0, of: 25_970 }, 'metric')).toBe('25 mm free');
  expect(sayFree({ measure: 'height', have: 30_000, of: 25_000 }, 'metric')).toBe('5 mm too full');
  expect(sayFree({ measure: 'length', have: 0, of: 25_400 }, 'inches')).toBe('1 in free');
  expect(sayFree({ measure: 'volume', have: 0, of: 5 }, 'metric')).toBe('');
  expect(sayShared({ measure: 'volume', have: 0, of: 2_500_000 }, 'metric')).toBe(
    'about 2.5 litres of things',
  );
});

test('places are called what people call them', () => {
  const sides = { widthUm: 100 * MM, heightUm: 100 * MM, depthUm: 100 * MM };
  expect(placeWord(evenGrid(1, 1, sides))).toBe('slot');
  expect(placeWord({ model: 'stack', ...sides, fingerUm: 0 })).toBe('tray');
  expect(placeWord({ model: 'loose', ...sides, fillPercent: 70 })).toBe('box');
  const run = {
    model: 'run' as const,
    lengthUm: 100 * MM,
    heightUm: 100 * MM,
    depthUm: 100 * MM,
    lipUm: 0,
    fingerUm: 0,
  };
  expect(placeWord({ ...run, how: 'file' })).toBe('file');
  expect(sayToReach({ ...run, how: 'rod', rodUm: 8 * MM }, 2)).toBe('2 others must come off the rod first.');
  expect(sayToReach({ model: 'stack', ...sides, fingerUm: 0 }, 1)).toBe('1 other lies on it: lift it first.');
});
