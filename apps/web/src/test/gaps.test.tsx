import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { router } from 'expo-router';
import type { GapsView } from '@red-shelf/contract';
import { GapsScreen } from '../gaps/GapsScreen';
import { asText, sayTotal, type Wish } from '../gaps/shopping';
import { closeTo } from '../judge/closeTo';
import { ShoppingScreen } from '../gaps/ShoppingScreen';
import { change, fakeServer, Refused, show, supply, unit } from './harness';

let mockParams: { about?: string } = {};
jest.mock('expo-router', () => ({
  ...jest.requireActual<object>('./router'),
  router: { push: jest.fn(), setParams: jest.fn() },
  useLocalSearchParams: () => mockParams,
}));

beforeEach(() => {
  mockParams = {};
  localStorage.clear();
  sessionStorage.clear();
});

const stock = (state: 'ok' | 'low' | 'out', left: number, uses: number) => ({
  ...{ items: left > 0 ? 1 : 0, left, state, uses, parts: {}, lastUsedAt: null },
});
const SUPPLIES = [
  supply(),
  supply({
    id: 's2',
    name: 'Kiln Door',
    hex: '#b3262b',
    group: 'red',
    family: 'red',
    place: null,
    stock: stock('low', 3, 9),
  }),
  supply({ id: 's3', name: 'Dry Well', stock: stock('out', 0, 12) }),
];
const GAPS: GapsView = {
  running: [
    {
      ...{ question: 'running', supplyId: 's3', state: 'out', runsOut: null },
      advice: { do: 'buy', amount: 3, bigger: true },
    },
    {
      ...{ question: 'running', supplyId: 's2', state: 'low' },
      runsOut: { median: '2026-12-20', low: '2026-12-10', high: '2027-01-30' },
      advice: { do: 'buy', amount: 1, bigger: false },
    },
  ],
  colours: [
    {
      ...{ question: 'colours', kind: 'ink', hex: '#8a9a4a', weight: 1, nearestId: 's2', difference: 21.4 },
      fill: {
        range: { id: 'r1', maker: 'Hollin', name: 'Towpath', kind: 'ink' },
        entry: { name: 'Osier Green', code: '448', hex: '#8a9a4a' },
        difference: 2,
      },
    },
  ],
  ranges: [
    {
      ...{
        question: 'ranges',
        range: { id: 'r1', maker: 'Hollin', name: 'Towpath', kind: 'ink' },
        owned: 2,
        usedUp: 1,
      },
      missing: [{ name: 'Osier Green', code: '448', hex: '#8a9a4a' }],
    },
  ],
  partners: [
    {
      question: 'partners',
      supplyId: 's2',
      lacks: [{ name: 'refill', kind: 'ink', form: 'refill', out: true }],
    },
  ],
  unused: [{ question: 'unused', supplyId: 's1', why: 'never opened', days: 400 }],
  doubles: [{ question: 'doubles', why: 'alike', supplyIds: ['s2', 's3'], difference: 0.42 }],
  room: [{ question: 'room', unitId: 'u1', filled: 5, of: 6, full: null }],
};
const STASH = {
  'GET /api/supplies': { supplies: SUPPLIES },
  'GET /api/wall': { roomName: 'Attic', units: [unit()] },
  'GET /api/gaps': GAPS,
};
const record = (body: object) => ({
  record: { id: 'w1', version: 1, createdAt: '', updatedAt: '', body },
  change: change(),
});

test('six questions with their counts; what is out comes first with how much to buy and why, a tap from the list', async () => {
  const sent = fakeServer({
    ...STASH,
    'POST /api/records': ({ body }: { body: unknown }) => record((body as { body: object }).body),
  });
  show(<GapsScreen />);
  const things = (await screen.findAllByRole('link')).map((link) => link.getAttribute('aria-label'));
  expect(things).toEqual(['Dry Well', 'Kiln Door']);
  for (const name of ['2 running out', '2 missing colours', '1 missing partners', '1 not used', '1 doubles'])
    expect(screen.getByRole('radio', { name })).toBeTruthy();
  expect(screen.getByText(/^out · used 12 times · goes steadily: 3 would last half a year/)).toBeTruthy();
  expect(screen.getByText(/used up about Dec 2026 \(Dec 2026 to Jan 2027\)/)).toBeTruthy();
  fireEvent.click(screen.getByRole('button', { name: 'To the shopping list: Dry Well' }));
  await waitFor(() =>
    expect(sent[0]?.body).toMatchObject({ body: { sort: 'wish', supplyId: 's3', amount: 3 } }),
  );
});

test('a question is put off for a month, or never asked again', async () => {
  const kept: object[] = [];
  const sent = fakeServer({
    ...STASH,
    'GET /api/records': () => ({ records: kept }),
    'POST /api/records': ({ body }: { body: unknown }) => {
      const made = record((body as { body: object }).body);
      kept.push({ ...made.record, id: `h${kept.length}` });
      return made;
    },
  });
  show(<GapsScreen />);
  fireEvent.click(await screen.findByRole('button', { name: 'Never ask again: Dry Well' }));
  await waitFor(() => expect(screen.queryByRole('link', { name: 'Dry Well' })).toBeNull());
  expect(sent[0]?.body).toMatchObject({
    body: { sort: 'hush', question: 'running', about: 's3', until: null },
  });
  // Never is not for ever: it is listed, and asked again.
  fireEvent.click(await screen.findByRole('button', { name: /^Put off: 1 question/ }));
  expect(screen.getByText('Dry Well: running out, never again')).toBeTruthy();
  fireEvent.click(screen.getByRole('button', { name: 'Ask in a month: Kiln Door' }));
  await waitFor(() => expect(sent).toHaveLength(2));
  expect((sent[1]?.body as { body: { until: string } }).body.until).toMatch(/^\d{4}-\d\d-\d\d$/);
});

test.each([
  [
    'colours',
    /a hole in your inks: the nearest is Kiln Door, ΔE 21 away · Osier Green \(448\) of Hollin Towpath/,
    'To the shopping list: Osier Green',
  ],
  ['partners', /lacks refill \(used up\)/, 'To the shopping list: Kiln Door, refill'],
  ['unused', /never opened · here for 13 months/, /^Use one/],
  ['doubles', /Dry Well cannot be told apart from it \(ΔE 0\.4\)/, 'Look at Kiln Door and Dry Well'],
  ['room', /5 of 6 taken/, /^Make room in/],
])('%s: the reason, and one act that fits', async (about, reason, act) => {
  mockParams = { about };
  fakeServer(STASH);
  show(<GapsScreen />);
  expect(await screen.findByText(reason)).toBeTruthy();
  expect(screen.getByRole('button', { name: act })).toBeTruthy();
});

test('things without a place lead to Arrange for their kind', async () => {
  mockParams = { about: 'room' };
  fakeServer(STASH);
  show(<GapsScreen />);
  fireEvent.click(
    (await screen.findAllByRole('button', { name: 'Find a place for Inks' }))[0] as HTMLElement,
  );
  expect(router.push).toHaveBeenCalledWith({ pathname: '/arrange', params: { kind: 'ink' } });
});

test('a long list is drawn a stretch at a time', async () => {
  const many = Array.from({ length: 46 }, (_, i) => ({ ...SUPPLIES[2], id: `dry-${i}`, name: `Dry ${i}` }));
  const running = many.map(({ id }) => ({ ...GAPS.running[0], supplyId: id }));
  fakeServer({
    ...STASH,
    'GET /api/supplies': { supplies: many, order: '' },
    'GET /api/gaps': { ...GAPS, running },
  });
  show(<GapsScreen />);
  expect(await screen.findAllByRole('link')).toHaveLength(40);
  fireEvent.click(screen.getByRole('button', { name: 'Show more (6 left)' }));
  expect(screen.getAllByRole('link')).toHaveLength(46);
  expect(screen.queryByRole('button', { name: /^Show more/ })).toBeNull();
});

test('while nobody answers, what is out and low is known from the stash', async () => {
  fakeServer({
    ...STASH,
    'GET /api/gaps': new Refused({ status: 503, code: 'away', title: 'Not now.' }),
  });
  show(<GapsScreen />);
  expect(
    await screen.findByText(/only what is low or out is known here/, {}, { timeout: 8000 }),
  ).toBeTruthy();
  expect(screen.getAllByRole('link').map((link) => link.getAttribute('aria-label'))).toEqual([
    'Dry Well',
    'Kiln Door',
  ]);
}, 15_000);

const wish = (id: string, some: Partial<Wish['body']> = {}): Wish => ({
  ...{ id, version: 1, createdAt: '', updatedAt: '' },
  body: {
    ...{
      sort: 'wish',
      supplyId: 's3',
      name: 'Dry Well',
      kind: 'ink',
      form: 'full-pad',
      maker: 'Hollin',
      range: '',
    },
    ...{ code: '', hex: '#b3262b', amount: 2, why: 'out', price: { minor: 450, currency: 'EUR' } },
    ...some,
  },
});

test('the shopping list: bought goes into the ledger and off the list; spending nothing, what is owned comes instead', async () => {
  const sent = fakeServer({
    ...STASH,
    'GET /api/records': { records: [wish('w1')] },
    'POST /api/supplies/s3/ledger': { supply: SUPPLIES[2], change: change() },
    'POST /api/records/w1/remove': { change: change() },
  });
  show(<ShoppingScreen />);
  const row = await screen.findByRole('listitem', { name: '2 × Dry Well' });
  expect(within(row).getByText(/^full pad · out · .*9/)).toBeTruthy();
  expect(within(row).getByText(/^Kiln Door, /)).toBeTruthy();
  fireEvent.click(screen.getByRole('checkbox', { name: 'Spend nothing' }));
  expect(within(row).getByText('Instead, from what you own:')).toBeTruthy();
  fireEvent.click(screen.getByRole('checkbox', { name: 'Spend nothing' }));
  fireEvent.click(screen.getByRole('button', { name: 'Bought: Dry Well' }));
  await waitFor(() => expect(sent).toHaveLength(2));
  expect(sent[0]?.body).toMatchObject({ act: 'buy', amount: 2 });
});

test('the list as text, what it costs, and what is close', () => {
  const wishes = [
    wish('w1'),
    wish('w2', { name: 'Reed', supplyId: null, price: undefined, hex: null, form: 'refill' }),
  ];
  expect(asText(wishes, 'metric').split('\n')).toHaveLength(2);
  expect(asText(wishes, 'metric')).toMatch(/^\[ \] 2 × Dry Well, Hollin – full pad – .*9/);
  expect(sayTotal(wishes)).toMatch(/^About .*9.*, and 1 whose price is not known\.$/);
  const near = closeTo({ kind: 'ink', hex: '#b3262b', not: 's3' }, { supplies: SUPPLIES });
  expect(near.map(({ supply: { name } }) => name)).toEqual(['Kiln Door']);
  expect(closeTo({ kind: 'ink', hex: null, not: null }, { supplies: SUPPLIES })).toEqual([]);
});
