import { inStash } from '@red-shelf/core';
import type { Stash } from '../api/queries';
import { DEFAULT_PREFERENCES } from '../api/queries';
import { sayDrawer } from '../arrange/order/Drawers';
import { sayNeed } from '../copy/need';
import { supply, unit, wallOf } from '../test/harness';
import { makeWhere } from '../api/where';
import { lookAt, overCaps } from './lookAt';

jest.mock('expo-router', () => ({ router: {} }));

const NOW = Date.parse('2026-06-01T00:00:00Z');
const stashOf = (supplies: ReturnType<typeof supply>[], units = [unit()]): Stash => ({
  supplies: supplies.filter(inStash),
  all: supplies,
  wall: wallOf(units),
  byId: new Map(supplies.map((each) => [each.id, each])),
});
const old = '2025-01-01T00:00:00.000Z';
const unused = { items: 1, left: 30, parts: {}, state: 'ok', uses: 0, lastUsedAt: null } as const;

const where = makeWhere([], [unit()], [], DEFAULT_PREFERENCES);

test('everything worth a look has its reason in words', () => {
  const looks = lookAt(
    stashOf([
      supply({ id: 'trial', facts: { status: 'trial', decideOn: '2026-05-20' } }),
      supply({ id: 'sleep', facts: { dormant: { purpose: 'the fair', wakeOn: '2026-06-01' } } }),
      supply({ id: 'later', facts: { status: 'trial', decideOn: '2026-09-01' } }),
      supply({ id: 'shut', name: 'Shut', createdAt: old, stock: unused, place: null }),
      supply({
        id: 'tall',
        name: 'Tall',
        facts: { size: { widthUm: 90_000, heightUm: 30_000, depthUm: 60_000 } },
      }),
      supply({
        id: 'harvest',
        name: 'Harvest',
        kind: 'sticker',
        form: 'sheet',
        facts: { attributes: { season: 'summer' } },
      }),
      supply({ id: 'gone', createdAt: old, stock: unused, facts: { status: 'gone' } }),
    ]),
    DEFAULT_PREFERENCES,
    NOW - 20 * 86_400_000,
    where,
  );
  expect(looks.due).toEqual([]);
  expect(looks.waiting).toBe(3);
  expect(looks.seasons.map(({ reason }) => reason)).toEqual([
    'for summer, which begins within a month · B2·02',
  ]);
  const now = lookAt(
    stashOf([
      supply({ id: 'trial', facts: { status: 'trial', decideOn: '2026-05-20' } }),
      supply({ id: 'sleep', facts: { dormant: { purpose: 'the fair', wakeOn: '2026-06-01' } } }),
      supply({ id: 'shut', name: 'Shut', createdAt: old, stock: unused, place: null }),
      supply({ id: 'tall', facts: { size: { widthUm: 90_000, heightUm: 30_000, depthUm: 60_000 } } }),
    ]),
    DEFAULT_PREFERENCES,
    NOW,
    where,
  );
  expect(now.due.map(({ reason }) => reason)).toEqual([
    'on trial, to be decided by 20 May 2026',
    'set aside for the fair, to wake on 1 Jun 2026',
  ]);
  expect(now.forgotten.map(({ reason }) => reason)).toEqual(['never used · no place']);
  expect(now.unused.map(({ reason }) => reason)).toEqual([
    'never opened · here for 17 months · full pad · Hollin & Quay · Towpath 418',
  ]);
  expect(now.misfits.map(({ reason }) => reason)).toEqual([
    'full pad: fits no rack; too tall: needs 30 mm, the slot has 22 mm',
  ]);
});

test('limits of kinds and of racks are told apart, and one more counts when one is about to come', () => {
  const stash = stashOf(
    [supply({ id: 'a' }), supply({ id: 'b' })],
    [unit({ rules: { kinds: ['ink'], cap: 2 } })],
  );
  const caps = { ...DEFAULT_PREFERENCES, caps: { ink: 1 } };
  expect(overCaps(stash, caps, NOW).map(({ what, verdict }) => `${what} ${verdict.mustLeave}`)).toEqual([
    'Inks 1',
  ]);
  expect(overCaps(stash, caps, NOW, { unitId: 'u1' }).map(({ of }) => of)).toEqual([
    { kind: 'ink' },
    { unitId: 'u1' },
  ]);
});

test('drawers and needs are said as one would', () => {
  const part = (group: string, from: number, to: number, of: number) => ({ group, from, to, of });
  expect(
    sayDrawer({ parts: [part('red', 0, 6, 6), part('pink', 0, 5, 5), part('brown', 0, 1, 1)], count: 12 }),
  ).toBe('red, pink and brown: 12 things');
  expect(sayDrawer({ parts: [part('blue', 30, 61, 61)], count: 31 })).toBe(
    'blue (31 to 61 of 61): 31 things',
  );
  const need = { sort: 'need', what: 'box', where: 'buttons', widthUm: 0, heightUm: 0, count: 2 } as const;
  expect(sayNeed(need, 'metric')).toBe('2 boxes for buttons');
  expect(sayNeed({ ...need, what: 'divider', widthUm: 203_200, heightUm: 304_800, count: 1 }, 'inches')).toBe(
    '1 divider of 8 in × 12 in for buttons',
  );
});
