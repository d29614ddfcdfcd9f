import { evenGrid } from '@red-shelf/core';
import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { useLocalSearchParams } from 'expo-router';
import { DEFAULT_PREFERENCES } from '../api/queries';
import { OrderScreen } from '../arrange/order/OrderScreen';
import { makeWhere } from '../api/where';
import { makeSearch } from '../api/search';
import { PlaceOffers } from '../supply/PlaceOffers';
import { Pile } from '../review/sortout/Pile';
import type { Session } from '../review/sortout/session';
import { change, fakeServer, press, record, show, supply, type, unit, type Sent } from './harness';

jest.mock('expo-router', () => ({
  ...jest.requireActual<object>('./router'),

  router: { push: jest.fn(), replace: jest.fn(), setParams: jest.fn() },
  useLocalSearchParams: jest.fn(),
}));

const sheet = (id: string, purpose: string, more: Parameters<typeof supply>[0] = {}) =>
  supply({
    id,
    name: `Sheet ${id}`,
    kind: 'sticker',
    form: 'sheet',
    place: null,
    facts: { attributes: { purpose } },
    stock: { items: 1, left: 1, parts: {}, state: 'ok', uses: 0, lastUsedAt: null },
    ...more,
  });
const SHEETS = [
  sheet('c1', 'coffee'),
  sheet('c2', 'coffee, birthdays'),
  sheet('b1', 'birthdays'),
  sheet('t1', 'tea'),
];
const album = unit({
  id: 'e',
  label: 'E',
  name: 'Sticker album',
  model: evenGrid(2, 3, { widthUm: 100_000, heightUm: 140_000, depthUm: 4000 }),
  rules: { kinds: ['sticker'] },
  facts: { template: 'sticker-album' },
});
const BY_PURPOSE = record('preferences', {
  sort: 'preferences',
  familyOrder: [],
  lightness: 'light-first',
  units: 'metric',
  currency: 'EUR',
  recipes: { sticker: ['purpose'] },
});
const hold = (group: string) => ({ group, startsAt: null, share: 0 });
const PLAN = {
  sort: 'drawers' as const,
  name: 'Drawers of stickers',
  kind: 'sticker' as const,
  form: null,
  key: 'purpose' as const,
  drawers: [
    { unitId: null, holds: [hold('coffee')] },
    { unitId: null, holds: [hold('birthdays')] },
  ],
};
const server = (supplies: object[], records: object[], more: Parameters<typeof fakeServer>[0] = {}): Sent[] =>
  fakeServer({
    'GET /api/supplies': { order: '', supplies },
    'GET /api/wall': { roomName: 'Room', units: [album] },
    'GET /api/records': { records },
    'PUT /api/records/d1': { change: change({ kind: 'record' }), record: record('d1', PLAN) },
    'PUT /api/records/preferences': { change: change({ kind: 'record' }), record: BY_PURPOSE },
    ...more,
  });

beforeEach(() => {
  localStorage.clear();
  (useLocalSearchParams as jest.Mock).mockReturnValue({});
});

const showStickers = async (): Promise<void> => {
  show(<OrderScreen />);
  fireEvent.click(await screen.findByRole('radio', { name: 'Stickers' }));
};

test('a proposal of drawers is kept with what each holds', async () => {
  const sent = server(SHEETS, [BY_PURPOSE], {
    'POST /api/records': { change: change({ kind: 'record' }), record: record('d1', PLAN) },
  });
  await showStickers();
  fireEvent.click(await screen.findByRole('radio', { name: 'whole groups, paired' }));
  type('Drawers, trays or boxes', '2');
  press('Keep these drawers');
  await waitFor(() => expect(sent).toHaveLength(1));
  expect(sent[0]?.body).toMatchObject({
    body: {
      sort: 'drawers',
      kind: 'sticker',
      key: 'purpose',
      drawers: [{ holds: [{ group: 'coffee' }] }, { holds: [{ group: 'birthdays' }, { group: 'tea' }] }],
    },
  });
});

test('kept drawers say what lies in each, what still stands in a rack, and what has no drawer yet', async () => {
  const inAlbum = sheet('c3', 'coffee', { place: { unitId: 'e', slot: 1 } });
  const sent = server([...SHEETS, inAlbum], [BY_PURPOSE, record('d1', PLAN)], {
    'POST /api/supplies/batch': { change: change({ kind: 'batch' }) },
  });
  await showStickers();
  const drawers = await screen.findByRole('region', { name: 'Drawers' });
  expect(await within(drawers).findByText('coffee: 3 things')).toBeTruthy();
  expect(within(drawers).getByText('birthdays: 1 thing')).toBeTruthy();
  expect(within(drawers).getByText('1 of them has its slot in E Sticker album.')).toBeTruthy();
  press('What is in drawer 1 lies there now');
  await waitFor(() => expect(sent).toHaveLength(1));
  expect(sent[0]?.body).toEqual({ supplies: [{ id: 'c3', version: 3 }], set: { lift: true } });
  expect(within(drawers).getByText('tea: 1 thing without a drawer yet.')).toBeTruthy();
  press('Put tea in drawer 2, the emptiest');
  await waitFor(() => expect(sent).toHaveLength(2));
  expect(sent[1]?.body).toMatchObject({
    body: {
      drawers: [{ holds: [{ group: 'coffee' }] }, { holds: [{ group: 'birthdays' }, { group: 'tea' }] }],
    },
  });
});

test('a drawer may be a rack', async () => {
  const sent = server(SHEETS, [BY_PURPOSE, record('d1', PLAN)]);
  await showStickers();
  await screen.findByText('birthdays: 1 thing');
  press('Which rack drawer 2 is');
  fireEvent.click(screen.getByRole('radio', { name: 'E Sticker album' }));
  await waitFor(() => expect(sent).toHaveLength(1));
  expect(sent[0]?.body).toMatchObject({ body: { drawers: [{ unitId: null }, { unitId: 'e' }] } });
});

test('purposes are put in order and given a second meaning, and things are found by it', async () => {
  const sent = server(SHEETS, [BY_PURPOSE]);
  await showStickers();
  const purposes = await screen.findByRole('region', { name: 'Purposes' });
  expect(await within(purposes).findByText('1 thing at home here, 1 more from other sections')).toBeTruthy();
  fireEvent.focus(screen.getByLabelText('Move coffee'));
  press('coffee earlier');
  type('coffee also means', 'Mondays, Fridays');
  press('Keep these purposes');
  await waitFor(() => expect(sent).toHaveLength(1));
  const purposesKept = [
    { name: 'coffee', also: ['Mondays', 'Fridays'] },
    { name: 'birthdays', also: [] },
    { name: 'tea', also: [] },
  ];
  expect(sent[0]?.body).toMatchObject({ body: { purposes: purposesKept } });
  const search = makeSearch(SHEETS, () => [], purposesKept);
  const found = (query: string) =>
    search
      .find(query)
      .map(({ id }) => id)
      .sort();
  expect(found('mondays')).toEqual(['c1', 'c2']);
  expect(found('birthdays')).toEqual(['b1', 'c2']);
});

test('a slot is where a thing lives, else its drawer; a plan for a form goes before one for the kind', () => {
  const placed = sheet('c3', 'coffee', { place: { unitId: 'e', slot: 1 } });
  const roll = sheet('r', 'birthdays', { form: 'roll' });
  const all = [...SHEETS, placed, roll];
  const ofRolls = { ...PLAN, form: 'roll', drawers: [{ unitId: null, holds: [hold('birthdays')] }] };
  const where = makeWhere(all, [album], [PLAN, ofRolls], DEFAULT_PREFERENCES);
  expect(all.map(where)).toEqual(['drawer 1', 'drawer 1', 'drawer 2', null, 'E1·02', 'drawer 1']);
});

test('a thing without a slot is offered one among its likes; without a rack for its form, a new one', async () => {
  const near = sheet('n', 'tea', { name: 'Near', hex: '#4c9a50', place: { unitId: 'e', slot: 4 } });
  const sent = server([...SHEETS, near], [], { 'PUT /api/supplies/c1/place': { change: change() } });
  const first = show(<PlaceOffers supply={SHEETS[0] ?? supply()} />);
  expect(
    await screen.findByText('E Sticker album · made for this: sheet · 5 open · beside Near'),
  ).toBeTruthy();
  press(/^Set it down in E2·0[13]/);
  await waitFor(() => expect(sent).toHaveLength(1));
  first.unmount();
  show(<PlaceOffers supply={sheet('r', 'tea', { form: 'roll' })} />);
  expect(await screen.findByText(/No rack made for this \(roll\) has room/)).toBeTruthy();
  expect(screen.getByRole('button', { name: 'Put up: Roll pegs' })).toBeTruthy();
});

test('a rack that a drawer has to itself is offered to its own things only', async () => {
  const plan = {
    ...PLAN,
    drawers: [
      { unitId: 'e', holds: [hold('coffee')] },
      { unitId: null, holds: [hold('birthdays')] },
    ],
  };
  server(SHEETS, [BY_PURPOSE, record('d1', plan)]);
  const own = show(<PlaceOffers supply={SHEETS[0] ?? supply()} />);
  expect(await screen.findByText(/^E Sticker album · made for this: sheet/)).toBeTruthy();
  own.unmount();
  show(<PlaceOffers supply={SHEETS[2] ?? supply()} />);
  expect(await screen.findByText(/A new one would be: sticker album/)).toBeTruthy();
  await waitFor(() => expect(screen.queryByText(/^E Sticker album/)).toBeNull());
});

test('sorting out one rack of a kind says when only other racks are left', async () => {
  const things = [sheet('c1', 'coffee', { place: { unitId: 'e', slot: 1 } }), sheet('b1', 'birthdays')];
  server(things, []);
  const session = record('s1', {
    sort: 'session',
    what: 'sort out',
    name: 'Stickers',
    kind: 'sticker',
    form: null,
    unitId: null,
    shared: {},
    finishedOn: null,
  }) as Session;
  (useLocalSearchParams as jest.Mock).mockReturnValue({ zone: 'e' });
  show(<Pile session={session} done={[{ supplyId: 'c1', verdict: 'keep' }]} supplies={things} />);
  expect(await screen.findByText(/Every thing here is decided. 1 thing of this pile is left/)).toBeTruthy();
  expect(await screen.findByRole('radio', { name: 'E Sticker album: 1 of 1' })).toBeTruthy();
  expect(screen.getByRole('radio', { name: 'without a place: 0 of 1' })).toBeTruthy();
});
