import fc from 'fast-check';
import type { Facts } from '../stash/facts';
import { breakUpAdvice } from './breakUp';
import { capVerdict } from './caps';
import { dueOnes } from './due';
import { forgottenTen } from './forgotten';
import { DAY, isIdle, type StockHistory } from '../stash/idle';
import { outOfSeason, seasonOf, seasonState, SEASONS } from '../stash/seasons';
import { neverUsed } from './unused';

const NOW = Date.parse('2026-06-01T00:00:00Z');
const ago = (days: number): string => new Date(NOW - days * DAY).toISOString();

interface Thing extends StockHistory {
  readonly id: string;
  readonly outOfSight: boolean;
}
const thing = (
  id: string,
  {
    uses = 0,
    last = null,
    facts = {},
    created = 200,
    outOfSight = false,
  }: {
    uses?: number;
    last?: number | null;
    facts?: Facts;
    created?: number;
    outOfSight?: boolean;
  } = {},
): Thing => ({
  id,
  kind: 'ink',
  form: 'full-pad',
  createdAt: ago(created),
  stock: { uses, used: uses, lastUsedAt: last === null ? null : ago(last) },
  facts,
  outOfSight,
});
const ids = (list: readonly { id: string }[]): string => list.map(({ id }) => id).join(' ');

test('idle is a year without use; what is left in peace never is', () => {
  expect(isIdle(thing('a', { uses: 3, last: 400, created: 800 }), NOW)).toBe(true);
  expect(isIdle(thing('a', { uses: 3, last: 300, created: 800 }), NOW)).toBe(false);
  expect(isIdle(thing('a', { created: 800, facts: { collection: true } }), NOW)).toBe(false);
  expect(isIdle(thing('a', { created: 800, facts: { status: 'irreplaceable' } }), NOW)).toBe(false);
});

test('one in, one out: the least used are named, a treasure never is, what is gone takes no room', () => {
  const shelf = [
    thing('loved', { uses: 40, last: 1 }),
    thing('tried', { uses: 1, last: 300 }),
    thing('never', { created: 300 }),
    thing('never-older', { created: 500 }),
    thing('treasure', { facts: { collection: true } }),
    thing('away', { facts: { status: 'gone' } }),
  ];
  expect(capVerdict(shelf, 6, 1, NOW)).toMatchObject({ count: 5, mustLeave: 0, candidates: [] });
  const verdict = capVerdict(shelf, 5, 1, NOW);
  expect(verdict.mustLeave).toBe(1);
  expect(ids(verdict.candidates)).toBe('never-older never tried loved');
});

test('the forgotten ten: deep storage first, ten a week, and everything has its turn', () => {
  fc.assert(
    fc.property(
      fc.array(fc.record({ last: fc.integer({ min: 0, max: 900 }), deep: fc.boolean() }), { maxLength: 60 }),
      fc.integer({ min: 0, max: 400 }),
      (drawn, week) => {
        const things = drawn.map(({ last, deep }, i) =>
          thing(`t${String(i).padStart(2, '0')}`, { uses: 1, last, outOfSight: deep, created: 1000 }),
        );
        const forgotten = drawn.filter(({ last }) => last > 90).length;
        const first = NOW + week * 7 * DAY;
        // Time stands still for the things: only the week turns.
        const turns = Math.max(1, Math.ceil(forgotten / 10));
        const seen = new Set<string>();
        const shift = (item: Thing, days: number): Thing => ({
          ...item,
          stock: {
            ...item.stock,
            lastUsedAt: new Date(Date.parse(item.stock.lastUsedAt ?? '') + days * DAY).toISOString(),
          },
        });
        for (let turn = 0; turn < turns; turn++) {
          const days = (week + turn) * 7;
          const ten = forgottenTen(
            things.map((item) => shift(item, days)),
            first + turn * 7 * DAY,
            (item) => item.outOfSight,
          );
          expect(ten.length).toBeLessThanOrEqual(10);
          ten.forEach(({ id }) => seen.add(id));
        }
        expect(seen.size).toBe(forgotten);
      },
    ),
  );
  const one = [
    thing('seen', { last: 300, uses: 1 }),
    thing('deep', { last: 100, uses: 1, outOfSight: true }),
  ];
  expect(ids(forgottenTen(one, NOW, (item) => item.outOfSight))).toBe('deep seen');
});

test('trials and dormant purposes come up on their day', () => {
  const due = dueOnes(
    [
      thing('later', { facts: { status: 'trial', decideOn: '2026-07-01' } }),
      thing('asleep', { facts: { dormant: { purpose: 'wedding', wakeOn: '2027-01-01' } } }),
      thing('awake', { facts: { dormant: { purpose: 'school', wakeOn: '2026-05-01' } } }),
      thing('today', { facts: { status: 'trial', decideOn: '2026-06-01' } }),
      thing('no-day', { facts: { status: 'trial' } }),
      thing('gone', { facts: { status: 'gone', dormant: { purpose: 'x', wakeOn: '2020-01-01' } } }),
    ],
    '2026-06-01',
  );
  expect(due.map(({ item, why, due: now }) => `${item.id} ${why} ${now}`)).toEqual([
    'no-day trial true',
    'awake dormant true',
    'today trial true',
    'later trial false',
    'asleep dormant false',
  ]);
});

test('seasons: their own answer or a tag, in sight a month ahead, half a year apart in the south', () => {
  expect(seasonOf({ attributes: { season: 'winter' } })).toBe('winter');
  expect(seasonOf({ tags: ['Holiday'] })).toBe('holiday');
  expect(seasonOf({ attributes: { season: 'all year' } })).toBeNull();
  const at = (day: string): number => Date.parse(`${day}T12:00:00Z`);
  expect(seasonState('summer', at('2026-06-01'))).toBe('now');
  expect(seasonState('summer', at('2026-05-05'))).toBe('soon');
  expect(seasonState('summer', at('2026-04-20'))).toBe('later');
  expect(seasonState('winter', at('2027-02-28'))).toBe('now');
  expect(seasonState('holiday', at('2027-01-03'))).toBe('now');
  expect(seasonState('summer', at('2026-01-10'), 'south')).toBe('now');
  expect(seasonState('holiday', at('2026-12-01'), 'south')).toBe('now');
  expect(outOfSeason({}, NOW)).toBe(false);
  expect(outOfSeason({ tags: ['winter'] }, NOW)).toBe(true);
});

test('on any day of the year one of the four seasons is here', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 0, max: 36_500 }),
      fc.constantFrom('north' as const, 'south' as const),
      (day, half) => {
        const here = SEASONS.filter(
          (season) => season !== 'holiday' && seasonState(season, day * DAY, half) === 'now',
        );
        // A leap day belongs to the last days of winter; the count of days stays that of ordinary years.
        expect(
          here.length === 1 ||
            new Date(day * DAY).toISOString().slice(5, 10) === '02-29' ||
            new Date(day * DAY).toISOString().slice(5, 10) === '03-01',
        ).toBe(true);
      },
    ),
  );
});

test('never used: by the person’s word, else by whether it was opened; new things are given a season', () => {
  const list = neverUsed(
    [
      thing('new', { created: 20 }),
      thing('shut', { created: 400 }),
      thing('hard', { created: 300, facts: { openedOn: '2026-01-01', whyUnused: 'not learned yet' } }),
      thing('open', { created: 200, facts: { openedOn: '2026-01-01' } }),
      thing('used', { uses: 1, last: 200 }),
      thing('kept', { created: 900, facts: { collection: true } }),
    ],
    NOW,
  );
  expect(list.map(({ item, why }) => `${item.id}: ${why}`)).toEqual([
    'shut: never opened',
    'hard: not learned yet',
    'open: opened, not used',
  ]);
});

test('a pad is broken up when single sheets leave it, kept while they leave together', () => {
  const use = (id: number, amount: number, at = `2026-05-${10 + id}T10:00:00Z`) => ({
    id: String(id),
    act: 'use' as const,
    of: 'whole' as const,
    amount,
    at,
  });
  expect(breakUpAdvice([use(1, 1), use(2, 1)]).advice).toBe('too early to say');
  expect(breakUpAdvice([use(1, 1), use(2, 1), use(3, 1), use(4, 4)])).toEqual({
    advice: 'break up',
    singles: 3,
    recent: 4,
  });
  expect(breakUpAdvice([1, 2, 3, 4].map((id) => use(id, 4))).advice).toBe('keep whole');
  // Taps of one evening are sheets that left together.
  const taps = [1, 2, 3].flatMap((day) =>
    [0, 1, 2, 3].map((tap) => use(day * 4 + tap, 1, `2026-05-0${day}T20:${tap}0:00Z`)),
  );
  expect(breakUpAdvice(taps)).toEqual({ advice: 'keep whole', singles: 0, recent: 3 });
  const undone = [
    ...[1, 2, 3].map((id) => use(id, 1)),
    { id: 'u', act: 'undo' as const, undoes: '2', at: '2026-05-20T10:00:00Z' },
  ];
  expect(breakUpAdvice(undone).advice).toBe('too early to say');
});
