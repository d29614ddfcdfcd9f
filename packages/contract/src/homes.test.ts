import { DEFAULT_SCHEME, type Ordering } from '@red-shelf/core';
import { homesIn, planDrawerOf } from './homes';
import { recordBody, type RecordBody } from './records';
import type { DrawersBody } from './records/drawers';
import type { SupplyView } from './supply';

const ORDERING: Ordering = { ...DEFAULT_SCHEME, recipes: {} };

/** As much of a supply as orders and homes ask of it. */
const sticker = (id: string, group: 'red' | 'green' | 'blue', hex: string, form = 'sheet'): SupplyView =>
  ({
    ...{ id, kind: 'sticker', form, name: id, maker: '', range: '', code: '', hex, finish: 'matte' },
    ...{ family: group, group, familyOverride: null, facts: {}, number: 1 },
    stock: { items: 1, left: 1, parts: {}, uses: 0, used: 0, state: 'ok', lastUsedAt: null },
    holdings: [],
  }) as unknown as SupplyView;

const [red, pale, deep, blue] = [
  sticker('red', 'red', '#c23b42'),
  sticker('pale', 'green', '#a8d8a8'),
  sticker('deep', 'green', '#1f5a2c'),
  sticker('blue', 'blue', '#2b5fa8'),
];
const ALL = [red, pale, deep, blue];
const hold = (group: string) => ({ group, startsAt: null, share: 0 });
const plan = (drawers: { unitId: string | null; holds: object[] }[], form: string | null = null) =>
  recordBody.parse({
    ...{ sort: 'drawers', name: 'Drawers of stickers', kind: 'sticker', form, key: 'family' },
    drawers,
  }) as DrawersBody;
const palette = (home: string | null, ids: string[]) =>
  recordBody.parse({
    ...{ sort: 'group', what: 'palette', name: 'Regatta', home },
    members: ids.map((supplyId) => ({ supplyId, amount: 1 })),
  });
const homes = (...bodies: RecordBody[]) =>
  homesIn(
    bodies.map((body) => ({ body })),
    ALL,
    ORDERING,
  );

test('a palette’s home is kept for its colours; a palette without one keeps nothing', () => {
  const { keptFor, homeOf } = homes(palette('u1', ['red', 'blue']), palette(null, ['pale']));
  expect([...(keptFor('u1') ?? [])]).toEqual(['red', 'blue']);
  expect([homeOf('red'), homeOf('blue'), homeOf('pale')]).toEqual(['u1', 'u1', undefined]);
  expect(keptFor('u2')).toBeUndefined();
});

test('a drawer that is a unit is kept for what the plan puts in it, also while that is nothing', () => {
  const { keptFor, homeOf } = homes(
    plan([
      { unitId: 'u1', holds: [hold('red'), hold('green')] },
      { unitId: null, holds: [hold('blue')] },
      { unitId: 'u3', holds: [hold('purple')] },
    ]),
  );
  expect(new Set(keptFor('u1'))).toEqual(new Set(['red', 'pale', 'deep']));
  expect(homeOf('blue')).toBeUndefined();
  expect(keptFor('u3')).toEqual(new Set());
});

test('a plan whose drawers are no units keeps none; one for a form says nothing of another form', () => {
  expect(homes(plan([{ unitId: null, holds: [hold('red')] }])).homeOf('red')).toBeUndefined();
  const other = homes(plan([{ unitId: 'u1', holds: [hold('red')] }], 'roll'));
  expect([other.homeOf('red'), other.keptFor('u1')]).toEqual([undefined, new Set()]);
});

test('a group that is cut lies on both sides of the thing at the cut, in the person’s own order', () => {
  const cut = plan([
    { unitId: 'u1', holds: [hold('green')] },
    { unitId: 'u2', holds: [{ group: 'green', startsAt: 'deep', share: 0.5 }] },
  ]);
  const drawerOf = planDrawerOf(cut, ALL, ORDERING);
  expect([pale, deep, red].map((each) => each && drawerOf(each))).toEqual([0, 1, null]);
  const { homeOf } = homes(cut);
  expect([homeOf('pale'), homeOf('deep')]).toEqual(['u1', 'u2']);
});
