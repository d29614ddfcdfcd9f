import type { Spot } from '../../stash/spot';
import { asSingleLifts, goesOf } from './goes';

const spot = (unitId: string): Spot => ({ unitId, cell: 0, rank: 0 });
const lift = (way: string) => ({ from: spot(way[0]!), to: spot(way[1]!) });
const sizes = (...ways: string[]) => goesOf(ways.map(lift)).map(({ length }) => length);

test('what goes the same way three times or more is carried over in one go', () => {
  expect(sizes()).toEqual([]);
  expect(sizes('AB', 'AB', 'AB', 'AC', 'AB')).toEqual([3, 1, 1]);
  // Two are lifted one by one, and so is what stays in its unit.
  expect(sizes('AB', 'AB', 'AA', 'AA', 'AA', 'CB', 'CB', 'CB', 'CB')).toEqual([1, 1, 1, 1, 1, 4]);
  // Very many are several goes.
  expect(sizes(...Array<string>(50).fill('AB'))).toEqual([24, 24, 1, 1]);
  // What has no place comes from nowhere in particular, and what is taken out goes nowhere in particular.
  const homeless = [1, 2, 3].map(() => ({ from: null, to: spot('A') }));
  expect(goesOf([...homeless, ...homeless.map(({ from, to }) => ({ from: to, to: from }))])).toHaveLength(6);
});

test('the way of a go is walked once, whatever is carried', () => {
  expect(asSingleLifts(10, 10)).toBe(10);
  expect(asSingleLifts(10, 1)).toBe(5.5);
});
