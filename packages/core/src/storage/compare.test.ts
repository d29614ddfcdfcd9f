import fc from 'fast-check';
import { compareHomes } from './compare';
import { lookFor } from './lookFor';
import type { Lodger } from './mayLive';
import { evenGrid } from './models/grid';
import { holdsOf, type Model } from './models/models';
import { poolFit } from './pool';
import { testUnit } from './test/testUnit';

const MM = 1000;
const size = (w: number, h: number, d: number) => ({ widthUm: w * MM, heightUm: h * MM, depthUm: d * MM });
const unit = (id: string, model: Model) => testUnit({ id, model, rules: { kinds: ['companion'] } });
const thing = (id: number, w: number, h: number, d: number): Lodger => ({
  supply: { id: `s${id}`, kind: 'companion', form: 'other', facts: { size: size(w, h, d) } },
  lot: { id: `l${id}`, as: 'whole', items: 1, left: 1, spot: null },
});
const box = (w: number, h: number, d: number): Model => ({
  model: 'loose',
  ...size(w, h, d),
  fillPercent: 100,
});
const things = Array.from({ length: 12 }, (_, i) => thing(i, 45, 18, 45));

test('candidates side by side: the one that takes most; then the one where all are seen; with what it costs a thing', () => {
  const small = { unit: unit('small', evenGrid(2, 3, size(48, 20, 50))), price: 600 };
  const deep = { unit: unit('deep', evenGrid(3, 4, size(48, 20, 90))), price: 2400 };
  const right = { unit: unit('right', evenGrid(3, 4, size(48, 20, 48))), price: 2400 };
  const heap = { unit: unit('heap', box(100, 60, 100)), price: 900 };
  const { ranked, because } = compareHomes(things, [], [small, heap, deep, right]);
  expect(ranked.map((each) => each.unit.id)).toEqual(['right', 'deep', 'heap', 'small']);
  expect(because).toEqual(['less_dead_room', 'hides_less', 'takes_more']);
  const [best, , third] = ranked;
  expect(best).toMatchObject({ hiddenShare: 0, priceEach: 200, leftOver: [] });
  expect(best?.depthShare).toBeCloseTo(45 / 48, 5);
  expect(third?.hiddenShare).toBeGreaterThan(0);
  expect(compareHomes(things, [], [])).toEqual({ ranked: [], because: [] });
});

test('one of two that are alike costs less', () => {
  const rack = (id: string, price: number) => ({ unit: unit(id, evenGrid(3, 4, size(48, 20, 48))), price });
  const { ranked, because } = compareHomes(things, [], [rack('dear', 3000), rack('cheap', 2000)]);
  expect(ranked.map((each) => each.unit.id)).toEqual(['cheap', 'dear']);
  expect(because).toEqual(['cheaper']);
});

test('what must be moved to take one: nothing from cells, the shorter way off a rod, what lies above, what lies before', () => {
  const six = Array.from({ length: 6 }, () => size(30, 30, 20));
  const reach = (model: Model, index: number) => holdsOf(model).toReach(six, index);
  const rod: Model = {
    model: 'run',
    how: 'rod',
    lengthUm: 400 * MM,
    heightUm: 100 * MM,
    depthUm: 100 * MM,
    lipUm: 0,
    fingerUm: 0,
    rodUm: 8 * MM,
  };
  expect(reach(evenGrid(2, 3, size(30, 30, 30)), 3)).toEqual([]);
  expect(reach(rod, 1)).toEqual([0]);
  expect(reach(rod, 4)).toEqual([5]);
  expect(reach({ model: 'stack', ...size(100, 200, 100), fingerUm: 0 }, 3)).toEqual([5, 4]);
  expect(reach(box(30, 60, 90), 5)).toEqual([]);
  expect(reach(box(30, 60, 90), 0)).toEqual([5, 4]);
  expect(holdsOf(box(30, 60, 90)).hidden(six)).toEqual([0, 1, 2, 3]);
});

test('what is looked for takes all of the pile it was measured for', () => {
  const sides = fc.tuple(...[1, 2, 3].map(() => fc.integer({ min: 5, max: 300 })));
  fc.assert(
    fc.property(fc.array(sides, { minLength: 1, maxLength: 8 }), (given) => {
      const pile = given.map(([w = 5, h = 5, d = 5], i) => thing(i, w, h, d));
      const models = lookFor(pile);
      expect(models.map(({ model }) => model)).toContain('grid');
      for (const model of models) {
        const answer = poolFit(pile, [], [unit('wanted', model)]);
        expect(answer.leftOver.map(({ because }) => because)).toEqual([]);
      }
    }),
    { numRuns: 500, seed: 11 },
  );
  expect(lookFor([])).toEqual([]);
});
