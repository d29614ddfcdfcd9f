import type { Family } from '../colour/families';
import { hexOnWheel } from '../colour/wheel';
import type { Kind } from '../kinds/definition';
import { evenGrid } from '../index';
import { DAY } from '../stash/idle';
import type { Facts } from '../stash/facts';
import type { Use } from '../stock/rate';
import { doubles, doublesTogether } from './doubles';
import { kindsTogether, missingOfKind, type KnownRange } from './missingColours';
import { roomLeft } from './roomLeft';
import { runningOut, runningRow } from './runningOut';

const NOW = Date.parse('2026-06-01T12:00:00Z');
const ago = (days: number): string => new Date(NOW - days * DAY).toISOString();

interface Some {
  readonly state?: 'ok' | 'low' | 'out';
  readonly left?: number;
  readonly uses?: number;
  readonly last?: number | null;
  readonly facts?: Facts;
  readonly hex?: string;
  readonly name?: string;
  readonly code?: string;
  readonly kind?: Kind;
  readonly items?: number;
  readonly family?: Family;
}
function thing(id: string, some: Some = {}) {
  const { state = 'ok', left = 100, uses = 0, last = null, facts = {}, hex = '#4c9a52', items = 1 } = some;
  return {
    ...{ id, hex, facts, name: some.name ?? id, code: some.code ?? '', maker: 'Hollin', range: 'Towpath' },
    ...{ kind: some.kind ?? ('ink' as const), form: 'full-pad', finish: 'matte' as const },
    ...{ family: some.family ?? ('green' as const), createdAt: ago(700) },
    stock: {
      ...{ items, left, state, uses, used: uses, parts: {} },
      lastUsedAt: last === null ? null : ago(last),
    },
  };
}
const evenly = (count: number, every: number, amount = 1): Use[] =>
  Array.from({ length: count }, (_, i) => ({ at: ago((count - i) * every), amount }));

test('running out: out before low before soon; steady use asks for more, long ago asks whether, left for a year for nothing', () => {
  const uses = new Map<string, Use[]>([
    ['steady', evenly(60, 2, 8)],
    ['soon', evenly(80, 3, 4)],
    ['slow', evenly(8, 80)],
  ]);
  const rows = runningOut(
    [
      thing('slow', { uses: 8, last: 80 }),
      thing('soon', { left: 30, uses: 80, last: 3, facts: { acquiredOn: ago(250).slice(0, 10) } }),
      thing('left', { state: 'low', left: 5, uses: 2, last: 500 }),
      thing('long-ago', { state: 'out', left: 0, items: 0, uses: 30, last: 400 }),
      thing('steady', { state: 'out', left: 0, items: 0, uses: 60, last: 2 }),
      thing('gone', { state: 'out', left: 0, facts: { status: 'gone' } }),
    ],
    (id) => uses.get(id) ?? [],
    NOW,
  );
  expect(rows.map(({ item, state, advice }) => `${item.id} ${state} ${advice.do}`)).toEqual([
    'steady out buy',
    'long-ago out ask',
    'soon soon buy',
    'left low leave',
  ]);
  const [steady, , soon] = rows;
  expect(steady?.advice).toMatchObject({ bigger: true });
  expect(steady?.runsOut).toBeNull();
  expect(Date.parse(soon?.runsOut?.median ?? '') - NOW).toBeLessThan(45 * DAY);
});

test('what planned projects keep counts as gone; a staple is bought up to what one keeps of it', () => {
  const full = thing('full', { left: 40 });
  expect(runningRow(full, [], NOW)).toBeNull();
  expect(runningRow(full, [], NOW, 10)).toBeNull();
  expect(runningRow(full, [], NOW, 39)).toMatchObject({ state: 'kept', advice: { do: 'buy', amount: 1 } });
  // Three pads of sixty uses are kept; five uses are left.
  const staple = thing('staple', { state: 'low', left: 5, last: 900, facts: { par: 180 } });
  expect(runningRow(staple, [], NOW)?.advice).toEqual({ do: 'buy', amount: 3, bigger: false });
});

test('doubles: more spares than are meant, two records of one thing, colours nobody tells apart; a collection never', () => {
  const rows = doubles([
    thing('three', { items: 3, hex: '#b3262b' }),
    thing('meant', { items: 3, hex: '#2633b3', facts: { spares: 2 } }),
    thing('a', { code: '401', hex: '#4c9a52' }),
    thing('b', { code: '401', hex: '#8c9a52' }),
    thing('near-a', { hex: '#4c9b52' }),
    thing('kept', { hex: '#4c9a52', facts: { collection: true } }),
    thing('patterned', { hex: '#4c9a53', facts: { otherHexes: ['#000000'] } }),
  ]);
  expect(rows.map(({ why, items }) => `${why} ${items.map(({ id }) => id).join(' ')}`)).toEqual([
    'spares three',
    'same a b',
    'alike a near-a',
  ]);
  expect(rows[0]).toMatchObject({ have: 3, meant: 1 });
});

test('doubles of several kinds stand in one list: spares, then the same, then the nearest', () => {
  const pair = (difference: number, id: string) => ({
    ...{ why: 'alike' as const, difference },
    items: [thing(id), thing(`${id}2`)] as [ReturnType<typeof thing>, ReturnType<typeof thing>],
  });
  const spare = {
    why: 'spares' as const,
    items: [thing('s')] as [ReturnType<typeof thing>],
    have: 3,
    meant: 1,
  };
  const list = doublesTogether([[pair(0.8, 'a')], [spare, pair(0.2, 'b')]]);
  expect(list.map(({ items }) => items[0].id)).toEqual(['s', 'b', 'a']);
});

test('missing colours: a hole where much is used, what is nearest, and the colour of a range that fills it first', () => {
  const wheel = Array.from({ length: 24 }, (_, i) => i * 15).filter((hue) => Math.abs(hue - 140) > 45);
  const owned = wheel.flatMap((hue) =>
    [40, 55, 70].map((lightness) =>
      thing(`${hue}-${lightness}`, {
        hex: hexOnWheel({ lightness, radius: 0.45, hue }),
        uses: hue === 90 ? 30 : 1,
      }),
    ),
  );
  const green = hexOnWheel({ lightness: 55, radius: 0.45, hue: 135 });
  const range: KnownRange = {
    ...{ id: 'r', maker: 'Hollin', name: 'Towpath', kind: 'ink' },
    entries: [
      { name: 'Far Violet', code: '1', hex: hexOnWheel({ lightness: 20, radius: 0.1, hue: 300 }) },
      { name: 'Meadow', code: '2', hex: green },
      { name: owned[0]?.name ?? '', code: '', hex: owned[0]?.hex ?? '' },
    ],
  };
  const { holes, ranges } = kindsTogether([
    missingOfKind(owned, [range], 'ink'),
    missingOfKind<(typeof owned)[number]>([], [], 'marker'),
  ]);
  expect(holes[0]).toMatchObject({ kind: 'ink', fill: { entry: { name: 'Meadow' } } });
  expect(holes[0]?.nearest).not.toBeNull();
  expect(ranges).toHaveLength(1);
  expect(ranges[0]).toMatchObject({ owned: 1, usedUp: 0 });
  expect(ranges[0]?.missing.map(({ name }) => name)).toEqual(['Meadow', 'Far Violet']);
  expect(missingOfKind(owned.slice(0, 5), [], 'ink').holes).toEqual([]);
});

test('room: nearly full places and those that soon will be, the soonest first', () => {
  const model = evenGrid(2, 5, { widthUm: 100_000, heightUm: 20_000, depthUm: 100_000 });
  const things = (count: number, every: number) =>
    Array.from({ length: count }, (_, cell) => ({ cell, since: NOW - (count - cell) * every * DAY }));
  const there = new Map([
    ['calm', things(4, 150)],
    ['filling', things(8, 14)],
    ['full', things(9, 100)],
    ['empty', []],
  ]);
  const units = [...there.keys()].map((id) => ({ id, model }));
  const rows = roomLeft(units, (id) => there.get(id) ?? [], NOW);
  expect(rows.map(({ unit }) => unit.id)).toEqual(['filling', 'full']);
  expect(rows[0]).toMatchObject({ filled: 8, of: 10 });
  expect(rows[0]?.full?.low).toBeLessThan(rows[0]?.full?.high ?? 0);
});
