import { fireEvent, screen, waitFor } from '@testing-library/react';
import { router, useLocalSearchParams } from 'expo-router';
import { ArrangeScreen } from '../arrange/ArrangeScreen';
import { KitsScreen } from '../bench/KitsScreen';
import { Challenge } from '../judge/Challenge';
import { PaperScreen } from '../guide/PaperScreen';
import { Salvage } from '../review/sortout/Salvage';
import { BreakUp, SameColour } from '../supply/Beside';
import { CapNote } from '../judge/CapNote';
import { BatchBar } from '../stash/BatchBar';
import { StashScreen } from '../stash/StashScreen';
import { SupplyPanel } from '../supply/SupplyPanel';
import { PainList } from '../judge/PainList';
import { SlotPanel } from '../wall/SlotPanel';
import { CarryPanel } from '../wall/carry/CarryPanel';
import { FoundWays } from '../wall/FoundWays';
import { RoomView } from '../wall/room/RoomView';
import { WallScreen } from '../wall/WallScreen';
import type { Stash } from '../api/queries';
import { change, entry, fakeServer, press, record, show, supply, unit, wallOf } from './harness';

jest.mock('expo-router', () => ({
  ...jest.requireActual<object>('./router'),

  router: { push: jest.fn(), replace: jest.fn(), setParams: jest.fn() },
  useLocalSearchParams: jest.fn(),
}));

const preferences = (more: object) =>
  record('preferences', {
    sort: 'preferences',
    familyOrder: [],
    lightness: 'light-first',
    units: 'metric',
    currency: 'EUR',
    ...more,
  });
const server = (supplies: object[], records: object[] = [], more: Parameters<typeof fakeServer>[0] = {}) =>
  fakeServer({
    'GET /api/supplies': { order: '', supplies },
    'GET /api/wall': {
      roomName: 'Room',
      units: [
        unit({ rules: { kinds: ['ink'], cap: 2 } }),
        unit({ id: 'u9', label: 'Z', name: 'Spare rack', facts: { standing: 'spare' } }),
      ],
    },
    'GET /api/records': { records },
    ...more,
  });
const card = (id: string, name: string, hex: string, attributes: object) =>
  supply({
    id,
    name,
    hex,
    kind: 'cardstock',
    form: 'sheet-12',
    place: null,
    facts: { attributes } as never,
    stock: { items: 9, left: 9, parts: {}, state: 'ok', uses: 0, lastUsedAt: null },
  });

beforeEach(() => {
  localStorage.clear();
  jest.clearAllMocks();
  (useLocalSearchParams as jest.Mock).mockReturnValue({});
});

test('paper: whites first, any colour on asking, and an honest word where nothing is known to suit', async () => {
  const heavy = { weight: { cgsm: 27_000, basis: null }, surface: 'smooth' };
  server([
    card('w', 'Quiet White', '#f6f4ee', { ...heavy, goodFor: 'alcohol marker' }),
    card('y', 'Broom', '#f2e6a0', heavy),
    card('k', 'Unknown White', '#ffffff', {}),
  ]);
  show(<PaperScreen />);
  expect(await screen.findByText('1 paper')).toBeTruthy();
  expect(screen.getByText(/you noted it as good for this, smooth surface, heavy enough/)).toBeTruthy();
  expect(screen.queryByText('Unknown White')).toBeNull();
  fireEvent.click(screen.getByRole('radio', { name: 'any colour' }));
  expect(screen.getByText('2 papers')).toBeTruthy();
  fireEvent.click(screen.getByRole('radio', { name: 'white and cream' }));
  fireEvent.click(screen.getByRole('radio', { name: 'water colour' }));
  expect(screen.getByText(/None of these is known to suit/)).toBeTruthy();
});

test('before it leaves: part of a need is met and the rest stays wanted', async () => {
  const need = {
    sort: 'need',
    what: 'divider',
    where: 'card file C',
    widthUm: 200_000,
    heightUm: 300_000,
    count: 12,
  };
  const sent = server([], [record('n1', need), record('n2', { ...need, what: 'tray' })], {
    'PUT /api/records/n1': { change: change({ kind: 'record' }), record: record('n1', need) },
  });
  show(<Salvage supply={card('w', 'Old Plum', '#5a2a4a', {})} />);
  await screen.findByText('Before it leaves: it could serve.');
  press(/^Save 9 of Old Plum: 12 dividers of 20 cm × 30 cm for card file C/);
  await waitFor(() => expect(sent).toHaveLength(1));
  expect(sent[0]?.body).toMatchObject({ version: 2, body: { count: 3 } });
});

test('a need that is met whole is taken off the list', async () => {
  const need = { sort: 'need', what: 'winding card', where: 'lace', widthUm: 0, heightUm: 0, count: 4 };
  const sent = server([], [record('n1', need)], {
    'POST /api/records/n1/remove': { change: change({ kind: 'record' }) },
  });
  show(<Salvage supply={card('w', 'Old Plum', '#5a2a4a', {})} />);
  await screen.findByText('4 winding cards for lace');
  press(/^Save 4/);
  await waitFor(() => expect(sent[0]?.path).toBe('/api/records/n1/remove'));
});

test('one in, one out is said where one is about to come in, by kind and by rack, and never where there is room', async () => {
  const things = [
    supply(),
    supply({
      id: 's2',
      name: 'Kiln Red',
      stock: { items: 1, left: 9, parts: {}, state: 'ok', uses: 0, lastUsedAt: null },
    }),
  ];
  server(things, [preferences({ caps: { ink: 2 } })]);
  const kind = show(<CapNote kind="ink" />);
  expect(
    await screen.findByText(
      /Inks: 2 where 2 may be. One in, 1 thing out; the least missed would be Kiln Red/,
    ),
  ).toBeTruthy();
  press('Choose what leaves');
  expect(router.push).toHaveBeenCalledWith('/gaps/look');
  kind.unmount();
  const rack = show(<CapNote unitId="u1" />);
  expect(await screen.findByText(/B Pad rack: 2 where 2 may be/)).toBeTruthy();
  rack.unmount();
  show(
    <>
      <CapNote kind="ink" />
      <CapNote kind="marker" />
    </>,
  );
  expect(await screen.findAllByText(/may be/)).toHaveLength(1);
});

test('the same colour in another size is a tap away; what is gone is not', async () => {
  server([
    supply(),
    supply({ id: 's2', form: 'refill', name: 'MARSH lantern', place: null }),
    supply({ id: 's3', form: 'mini-pad', facts: { status: 'gone' } }),
  ]);
  show(<SameColour supply={supply()} />);
  expect(await screen.findByText('The same colour elsewhere')).toBeTruthy();
  press(/^refill bottle: no place/);
  expect(router.setParams).toHaveBeenCalledWith({ supply: 's2' });
  expect(screen.queryByText(/mini pad/)).toBeNull();
});

test('a pad says whether to break it up, from how its sheets leave', () => {
  const pad = supply({ kind: 'cardstock', form: 'pad-6' });
  const use = (id: number, amount: number) =>
    entry({ id: String(id), act: 'use', of: 'whole', amount, at: `2026-05-0${id}T10:00:00.000Z` });
  const { rerender } = show(<BreakUp supply={pad} ledger={[1, 2, 3].map((id) => use(id, 1))} />);
  expect(
    screen.getByText('Of its last 3 uses, 3 took a single sheet: break it up and file the sheets by colour.'),
  ).toBeTruthy();
  rerender(<BreakUp supply={pad} ledger={[1, 2, 3].map((id) => use(id, 6))} />);
  expect(screen.getByText('Its sheets leave together (3 of the last 3 uses): keep it whole.')).toBeTruthy();
});

test('only this box: what was used since it began, and what still waits', async () => {
  const used = supply({
    id: 'a',
    name: 'Used',
    stock: { items: 1, left: 9, parts: {}, state: 'ok', uses: 2, lastUsedAt: '2100-01-02T00:00:00Z' },
  });
  const waits = supply({ id: 'b', name: 'Waits' });
  const stash: Stash = {
    supplies: [used, waits],
    all: [used, waits],
    wall: wallOf(),
    byId: new Map(),
  };
  const body = {
    sort: 'challenge',
    unitId: 'u1',
    unitName: 'B Pad rack',
    from: '2100-01-01',
    until: '2100-01-15',
  };
  const sent = server([used, waits], [record('c1', body)], {
    'POST /api/records/c1/remove': { change: change({ kind: 'record' }) },
  });
  show(<Challenge stash={stash} />);
  expect(await screen.findByText('Only B Pad rack until 15 Jan: 1 of 2 things used')).toBeTruthy();
  expect(screen.queryByRole('link', { name: 'Used' })).toBeNull();
  expect(screen.getByRole('link', { name: 'Waits' })).toBeTruthy();
  press('End: only B Pad rack');
  await waitFor(() => expect(sent).toHaveLength(1));
});

test('where it hurts most is said with reasons', () => {
  const stash: Stash = {
    supplies: [supply(), supply({ id: 's2', place: { unitId: 'u1', slot: 0 } })],
    all: [supply(), supply({ id: 's2', place: { unitId: 'u1', slot: 0 } })],
    wall: wallOf([unit({ rules: { kinds: ['ink'], cap: 2 }, facts: { standing: 'worn' } })]),
    byId: new Map(),
  };
  const start = jest.fn();
  show(<PainList stash={stash} busy={false} onStart={start} />);
  expect(screen.getByText('B Pad rack: full: 2 of 2, worn, no labels')).toBeTruthy();
  press('Sort out B Pad rack');
  expect(start).toHaveBeenCalledWith(expect.objectContaining({ id: 'u1' }));
});

const NOTHING_THERE = {
  placed: 0,
  emptySlots: 0,
  breaks: 0,
  meanStep: null,
  beside: null,
  inOrder: null,
  lookUp: null,
};

test('racks that are put away are neither on the wall nor offered for arranging', async () => {
  server([supply()], [preferences({ recipes: { ink: ['maker'] } })], {
    'POST /api/arrange/preview': {
      before: { figures: NOTHING_THERE, units: [] },
      after: { figures: NOTHING_THERE, units: [] },
      ...{ held: [], by: 'family' as const, leftOver: [], remedies: [], continues: [], full: [], freed: [] },
      ...{ moves: 0, lifts: 0, goes: 0, looksAYear: 0, pace: { seconds: 12, lifts: 0 }, nearer: [] },
      token: 't',
    },
  });
  localStorage.setItem('red-shelf.wall', 'racks');
  const wall = show(<WallScreen panel={SlotPanel} room={RoomView} ways={FoundWays} carry={CarryPanel} />);
  expect(await screen.findByText('1 rack · 1 in place · 5 open')).toBeTruthy();
  wall.unmount();
  show(<ArrangeScreen />);
  fireEvent.click(await screen.findByRole('button', { name: /^Into: B Pad rack/ }));
  expect(await screen.findByRole('checkbox', { name: 'B Pad rack' })).toBeTruthy();
  expect(screen.queryByRole('checkbox', { name: 'Z Spare rack' })).toBeNull();
});

test('out of season is out of sight where the person wants it so', async () => {
  const later = new Date(Date.now() + 180 * 86_400_000).getUTCMonth();
  const season =
    later >= 2 && later <= 4
      ? 'spring'
      : later >= 5 && later <= 7
        ? 'summer'
        : later >= 8 && later <= 10
          ? 'autumn'
          : 'winter';
  const things = [supply(), supply({ id: 's2', name: 'Far season', facts: { tags: [season] } })];
  server(things, [preferences({ hideOutOfSeason: true })]);
  const hidden = show(<StashScreen one={SupplyPanel} batch={BatchBar} />);
  expect(await screen.findByText(/^1 thing out of season, not shown/)).toBeTruthy();
  hidden.unmount();
  server(things, [preferences({ hideOutOfSeason: false })]);
  show(<StashScreen one={SupplyPanel} batch={BatchBar} />);
  expect(await screen.findByText('2 supplies')).toBeTruthy();
  expect(screen.queryByText(/out of season/)).toBeNull();
});

test('a palette mixes what can be bought with what cannot, and is told; its rack is chosen and kept', async () => {
  (useLocalSearchParams as jest.Mock).mockReturnValue({ group: 'g1' });
  const body = {
    sort: 'group',
    what: 'palette',
    name: 'River',
    note: '',
    source: '',
    acquiredOn: null,
    members: ['s1', 's2'].map((supplyId) => ({ supplyId, amount: 1 })),
    matches: [],
    dissolvedOn: null,
    home: null,
  };
  const sent = server(
    [supply(), supply({ id: 's2', name: 'Kiln Red', facts: { status: 'retired' } })],
    [record('g1', body)],
    {
      'PUT /api/records/g1': { change: change({ kind: 'record' }), record: record('g1', body) },
    },
  );
  show(<KitsScreen />);
  expect(await screen.findByText(/^Kiln Red: cannot be bought again/)).toBeTruthy();
  fireEvent.click(screen.getByRole('radio', { name: 'B Pad rack' }));
  await waitFor(() => expect(sent).toHaveLength(1));
  expect(sent[0]?.body).toMatchObject({ body: { home: 'u1' } });
});
