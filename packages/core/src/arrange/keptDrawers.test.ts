import fc from 'fast-check';
import { labOf } from '../colour/lab';
import { shareIntoDrawers } from './drawers';
import { drawerKey, keepDrawers, makeDrawerOf, makeGroupOf } from './keptDrawers';
import type { Recipe, Sortable } from './headings';
import { makeRecipeOrder } from './recipe';
import { DEFAULT_SCHEME } from './scheme';

const RECIPE: Recipe = ['family', 'lightness'];
const order = makeRecipeOrder(RECIPE, DEFAULT_SCHEME, []);
const thing = (id: string, group: 'red' | 'blue' | 'green', l: number): Sortable => ({
  id,
  kind: 'sticker',
  form: 'sheet',
  name: id,
  maker: '',
  range: '',
  code: '',
  finish: 'matte',
  family: group,
  lab: { ...labOf('#888888'), l },
  facts: {},
  uses: 0,
});
const drawersOf = (pile: readonly Sortable[], n: number) => {
  const sorted = [...pile].sort(order);
  const groupOf = makeGroupOf(drawerKey(RECIPE), sorted, DEFAULT_SCHEME, RECIPE);
  const groups = [...new Set(sorted.map(groupOf))];
  const membersOf = (group: string) => sorted.filter((item) => groupOf(item) === group);
  const plan = shareIntoDrawers(
    groups.map((group) => ({ group, count: membersOf(group).length })),
    n,
  );
  return { plan, groupOf, sorted, kept: keepDrawers(plan, membersOf) };
};
const blues = Array.from({ length: 9 }, (_, i) => thing(`b${i}`, 'blue', 90 - i * 8));

test('a cut stays where it was when things come and go, and what is new falls on its side of it', () => {
  const { kept, groupOf, plan } = drawersOf(blues, 3);
  expect(plan.map(({ count }) => count)).toEqual([3, 3, 3]);
  expect(kept[1]?.holds).toEqual([{ group: 'blue', startsAt: 'b3', share: 3 / 9 }]);
  const fresh = thing('pale', 'blue', 95);
  const now = [...blues.filter(({ id }) => id !== 'b1'), fresh, thing('mid', 'blue', 65.5)];
  const drawerOf = makeDrawerOf(kept, groupOf, order, now);
  const where = Object.fromEntries(now.map((item) => [item.id, drawerOf(item)]));
  expect(where).toMatchObject({ pale: 0, b0: 0, b2: 0, mid: 1, b3: 1, b5: 1, b6: 2, b8: 2 });
  // The thing at the cut has gone: the same share of what is left.
  const without = blues.filter(({ id }) => id !== 'b3');
  expect(makeDrawerOf(kept, groupOf, order, without)(thing('b2', 'blue', 74))).toBe(0);
});

test('a group that no drawer was given says so', () => {
  const { kept, groupOf } = drawersOf(blues, 2);
  expect(makeDrawerOf(kept, groupOf, order, blues)(thing('r', 'red', 50))).toBeNull();
});

test('just after keeping, every thing lies where the proposal put it', () => {
  const pile = fc.uniqueArray(
    fc.tuple(fc.constantFrom('red', 'blue', 'green' as const), fc.integer({ min: 0, max: 100 })),
    { minLength: 1, maxLength: 60, selector: ([group, l]) => `${group}${l}` },
  );
  fc.assert(
    fc.property(pile, fc.integer({ min: 1, max: 12 }), (pairs, n) => {
      const things = pairs.map(([group, l], i) => thing(`t${i}`, group, l));
      const { plan, kept, groupOf, sorted } = drawersOf(things, n);
      const drawerOf = makeDrawerOf(kept, groupOf, order, sorted);
      const counts = plan.map(() => 0);
      for (const item of sorted) counts[drawerOf(item) ?? -1]! += 1;
      expect(counts).toEqual(plan.map(({ count }) => count));
    }),
  );
});
