import { fireEvent, screen, waitFor } from '@testing-library/react';
import { ArrangeScreen } from '../arrange/ArrangeScreen';
import { change, fakeServer, Refused, show, supply, unit } from './harness';

jest.mock('expo-router', () => ({
  ...jest.requireActual<object>('./router'),
  router: { push: jest.fn() },
  useLocalSearchParams: () => ({}),
}));

beforeEach(() => {
  // What was begun in another test is not gone on with.
  localStorage.clear();
  sessionStorage.clear();
});

const SUPPLIES = [
  supply(),
  supply({
    id: 's2',
    name: 'Kiln Door',
    group: 'red',
    family: 'red',
    hex: '#b3262b',
    place: null,
    stock: { items: 1, left: 3, state: 'low', uses: 9, lastUsedAt: null, parts: {} },
  }),
  supply({
    id: 's3',
    name: 'Dry Well',
    stock: { items: 0, left: 0, state: 'out', uses: 0, parts: {}, lastUsedAt: null },
  }),
];
const STASH = {
  'GET /api/supplies': { supplies: SUPPLIES },
  'GET /api/wall': {
    roomName: 'Attic',
    units: [unit(), unit({ id: 'u2', label: 'C', name: 'Marker tray', rules: { kinds: ['marker'] } })],
  },
};
const figures = (placed: number, breaks: number) => ({
  placed,
  emptySlots: 6 - placed,
  breaks,
  meanStep: 12.34,
  beside: null,
  inOrder: breaks === 1 ? 0.96 : 0.5,
  lookUp: breaks + 2.3,
});
const PREVIEW = {
  before: { figures: figures(2, 3), units: [{ unitId: 'u1', slots: [null, null, null, null, 's1', null] }] },
  after: { figures: figures(3, 1), units: [{ unitId: 'u1', slots: ['s2', null, 's1', 's3', null, null] }] },
  held: [{ unitId: 'u1', slot: 1, group: 'red' }],
  by: 'family',
  leftOver: [{ supplyId: 's3', reason: { code: 'too_wide', needUm: 132_000, haveUm: 102_000 } }],
  remedies: [{ supplyIds: ['s3'], unitId: 'u2', template: null, takes: 1 }],
  continues: [{ group: 'blue', from: 'u1', to: 'u2' }],
  freed: [],
  full: [
    {
      ...{ what: 'group', id: 'blue', open: 3 },
      when: { median: '2027-03-01', low: '2027-01-01', high: '2027-08-01' },
    },
    { what: 'unit', id: 'u1', open: 9, when: null },
  ],
  moves: 3,
  lifts: 4,
  goes: 4,
  looksAYear: 100,
  pace: { seconds: 12, lifts: 0 },
  nearer: [
    { near: 0, lifts: 4, inOrder: 0.96, beside: null },
    { near: 1, lifts: 2, inOrder: 0.7, beside: null },
  ],
  token: 't1',
};
const STRIPS = {
  ids: ['s1', 's2', 's3'],
  stops: [
    { smooth: 0, row: [0, 1, 2], meanStep: 16, byLightness: 1 },
    { smooth: 0.5, row: [1, 0, 2], meanStep: 13.5, byLightness: 0.8 },
    { smooth: 1, row: [2, 0, 1], meanStep: 11, byLightness: 0.4 },
  ],
};

test('arranging shows now and planned with figures, says what is left over and why, and applies what was shown', async () => {
  const sent = fakeServer({
    ...STASH,
    'POST /api/arrange/strips': STRIPS,
    'POST /api/arrange/preview': PREVIEW,
    'POST /api/arrange/apply': { change: change({ kind: 'arrange', name: 'Pad rack', count: 3 }) },
  });
  show(<ArrangeScreen />);
  expect(await screen.findByText('1 thing more in place.')).toBeTruthy();
  for (const text of [
    'now 2',
    'now 3',
    'Left over: 1',
    'too wide: needs 132 mm, the slot has 102 mm',
    '96%',
    '3.3 s',
    'Blue of B Pad rack continues in C Marker tray.',
    /^C Marker tray has room for all of 1 such thing/,
    '4 lifts',
  ])
    expect(screen.getByText(text)).toBeTruthy();
  const preview = sent.find(({ path }) => path === '/api/arrange/preview');
  expect(preview?.body).toMatchObject({
    kinds: ['ink'],
    unitIds: ['u1'],
    fromElsewhere: false,
    scheme: { lightness: 'light-first' },
  });
  fireEvent.click(screen.getByRole('button', { name: /^It stands so already/ }));
  expect(await screen.findByText('Pad rack arranged: 3 moves.')).toBeTruthy();
  expect(sent.find(({ path }) => path === '/api/arrange/apply')?.body).toMatchObject({
    token: 't1',
    kinds: ['ink'],
  });
});

test('before anything is arranged the rules are asked: what comes to a bad place is named, but for what is left so', async () => {
  const solvent = { attributes: { chemistry: 'permanent solvent' } };
  const supplies = SUPPLIES.map((each) => ({ ...each, facts: solvent }));
  const wall = (facts: object) => ({
    'GET /api/supplies': { supplies },
    'GET /api/wall': { roomName: 'Attic', units: [unit({ facts: { marks: ['heat'], ...facts } })] },
    'POST /api/arrange/strips': STRIPS,
    'POST /api/arrange/preview': PREVIEW,
  });
  fakeServer(wall({}));
  const { unmount } = show(<ArrangeScreen />);
  expect(await screen.findByText(/^In B Pad rack: .*there is heat near/)).toBeTruthy();
  // What stands there already is not what the plan does.
  expect(screen.getByText('Kiln Door and Dry Well')).toBeTruthy();
  unmount();
  fakeServer(wall({ accepted: [{ rule: 'heat and fumes', because: 'only in winter' }] }));
  show(<ArrangeScreen />);
  expect(await screen.findByText('1 thing more in place.')).toBeTruthy();
  expect(screen.queryByText(/there is heat near/)).toBeNull();
});

test('choosing a kind chooses the racks made for it; without any there is nothing to preview', async () => {
  const sent = fakeServer({
    ...STASH,
    'POST /api/arrange/strips': STRIPS,
    'POST /api/arrange/preview': PREVIEW,
  });
  show(<ArrangeScreen />);
  await screen.findByText('1 thing more in place.');
  fireEvent.click(screen.getByRole('button', { name: /^What: Inks/ }));
  fireEvent.click(screen.getByRole('checkbox', { name: 'Markers' }));
  fireEvent.click(screen.getByRole('radio', { name: 'dark to light' }));
  await waitFor(() =>
    expect(sent.filter(({ path }) => path.endsWith('preview')).at(-1)?.body).toMatchObject({
      kinds: ['ink', 'marker'],
      unitIds: ['u1', 'u2'],
      scheme: { lightness: 'dark-first' },
    }),
  );
  fireEvent.click(screen.getByRole('checkbox', { name: 'Inks' }));
  fireEvent.click(screen.getByRole('checkbox', { name: 'Markers' }));
  expect(await screen.findByText('Choose at least one kind and one place.')).toBeTruthy();
});

test('the strip and both figures follow the thumb, and what follows is worked out once it rests', async () => {
  const sent = fakeServer({
    ...STASH,
    'POST /api/arrange/strips': STRIPS,
    'POST /api/arrange/preview': PREVIEW,
  });
  show(<ArrangeScreen />);
  expect(await screen.findByText(/^Mean step from one to the next 16.0 .* 100% of each/)).toBeTruthy();
  fireEvent.change(screen.getByRole('slider', { name: 'How smooth' }), { target: { value: '0.5' } });
  expect(screen.getByText(/^Mean step from one to the next 13.5 .* 80% of each/)).toBeTruthy();
  expect(screen.getByText('50% smooth')).toBeTruthy();
  const asked = () => sent.filter(({ path }) => path.endsWith('preview'));
  expect(asked()).toHaveLength(1);
  await waitFor(() => expect(asked().at(-1)?.body).toMatchObject({ scheme: { smooth: 0.5 } }));
  // How near to today one stays is chosen by its stops, each with both its figures.
  expect(screen.getByText('70% in order')).toBeTruthy();
  fireEvent.change(screen.getByRole('slider', { name: 'How near to today' }), { target: { value: '1' } });
  await waitFor(() => expect(asked().at(-1)?.body).toMatchObject({ near: 1 }));
});

test('what takes long says how far it is, and can be stopped', async () => {
  let asked = 0;
  fakeServer({
    ...STASH,
    'POST /api/arrange/strips': STRIPS,
    'POST /api/arrange/preview': () => PREVIEW,
    'GET /api/arrange/progress/:id': () => ({ done: ++asked, total: 8 }),
  });
  const send = global.fetch;
  // The answer does not come by itself.
  global.fetch = ((path: string, init?: RequestInit) =>
    path.endsWith('/preview')
      ? new Promise((_, reject) => init?.signal?.addEventListener('abort', () => reject(new Error('gone'))))
      : send(path, init)) as typeof fetch;
  show(<ArrangeScreen />);
  expect(await screen.findByText('Working out what goes where…')).toBeTruthy();
  await waitFor(() =>
    expect(screen.getByRole('progressbar', { name: 'How far it is' }).getAttribute('aria-valuenow')).not.toBe(
      '0',
    ),
  );
  fireEvent.click(screen.getByRole('button', { name: 'Stop working it out' }));
  await waitFor(() => expect(screen.queryByText('Working out what goes where…')).toBeNull());
  global.fetch = send;
});

test('a preview that is no longer true is said, and made again', async () => {
  const sent = fakeServer({
    ...STASH,
    'POST /api/arrange/strips': STRIPS,
    'POST /api/arrange/preview': PREVIEW,
    'POST /api/arrange/apply': new Refused({
      status: 409,
      code: 'preview_outdated',
      title: 'The stash has changed since this preview.',
    }),
  });
  show(<ArrangeScreen />);
  fireEvent.click(await screen.findByRole('button', { name: /^It stands so already/ }));
  expect(await screen.findByText('The stash has changed since this preview.')).toBeTruthy();
  await waitFor(() => expect(sent.filter(({ path }) => path.endsWith('preview'))).toHaveLength(2));
});

test('applied while nobody answers, it is not said to be done: it is kept, and sent when somebody does', async () => {
  let away = true;
  const sent = fakeServer({
    ...STASH,
    'POST /api/arrange/strips': STRIPS,
    'POST /api/arrange/preview': PREVIEW,
    'POST /api/arrange/apply': () => {
      if (away) throw new TypeError('lost');
      return { change: change({ kind: 'arrange', name: 'Pad rack', count: 3 }) };
    },
  });
  show(<ArrangeScreen />);
  fireEvent.click(await screen.findByRole('button', { name: /^It stands so already/ }));
  expect(await screen.findByText(/^Not done yet/)).toBeTruthy();
  away = false;
  const applied = () => sent.filter(({ path }) => path === '/api/arrange/apply');
  await waitFor(() => expect(applied().length).toBeGreaterThan(1), { timeout: 5000 });
  expect(new Set(applied().map(({ command }) => command)).size).toBe(1);
});
