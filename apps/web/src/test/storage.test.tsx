import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { router, useLocalSearchParams } from 'expo-router';
import { LookScreen } from '../review/look/LookScreen';
import { OrderScreen } from '../arrange/order/OrderScreen';
import { HowMuch } from '../supply/SupplyFacts';
import { Letters } from '../supply/Letters';
import { StockActs } from '../supply/StockActs';
import { StorageScreen } from '../wall/storage/StorageScreen';
import { Refused, change, fakeServer, press, record, show, supply, type, unit } from './harness';

jest.mock('expo-router', () => ({
  ...jest.requireActual<object>('./router'),

  router: { push: jest.fn(), replace: jest.fn(), setParams: jest.fn() },
  useLocalSearchParams: jest.fn(),
}));

const at = (params: Record<string, string>) => (useLocalSearchParams as jest.Mock).mockReturnValue(params);
const group = (more: object) => ({
  sort: 'group',
  what: 'kit',
  name: 'Harvest',
  note: '',
  source: '',
  acquiredOn: null,
  members: [{ supplyId: 's1', amount: 28 }],
  matches: [],
  dissolvedOn: null,
  home: null,
  ...more,
});
const UNITS = [
  unit(),
  unit({ id: 'u2', label: 'C', name: 'Old rack', facts: { standing: 'spare', keptAt: 'the loft' } }),
];
const server = (more: Parameters<typeof fakeServer>[0] = {}, supplies = [supply()]) =>
  fakeServer({
    'GET /api/supplies': { order: '', supplies },
    'GET /api/wall': { roomName: 'Room', units: UNITS },
    'GET /api/records': { records: [] },
    ...more,
  });

beforeEach(() => {
  at({});
  jest.clearAllMocks();
});

test('storage lists what stands on the wall with its pains, and what is put away with where', async () => {
  server();
  show(<StorageScreen />);
  expect(await screen.findByText('1 on the wall · 1 put away')).toBeTruthy();
  expect(screen.getByText('Start with B Pad rack: no labels.')).toBeTruthy();
  expect(screen.getByText('in the loft')).toBeTruthy();
  fireEvent.click(screen.getByRole('link', { name: 'C Old rack' }));
  expect(router.setParams).toHaveBeenCalledWith({ unit: 'u2' });
});

test('a rack is edited whole: standing, limit, skipped columns; slips are said and nothing is sent', async () => {
  at({ unit: 'u1' });
  const sent = server({ 'PUT /api/units/u1': { change: change({ kind: 'unit' }), unit: unit() } });
  show(<StorageScreen />);
  expect(await screen.findByText('1 thing in it · about 62 g without the rack')).toBeTruthy();
  type('Columns to skip', '9');
  press('Keep it so');
  expect(
    await screen.findByText(/Columns are numbered 1 to 3; write the ones to skip like 3, 7./),
  ).toBeTruthy();
  type('Columns to skip', '1, 2, 3');
  press('Keep it so');
  expect(await screen.findByText(/At least one column must be left to fill./)).toBeTruthy();
  type('Columns to skip', '2');
  type('At most', 'many');
  press('Keep it so');
  expect(await screen.findByText(/A limit is a whole number such as 40./)).toBeTruthy();
  type('Height of a row', '22 mm; 15 mm');
  press('Keep it so');
  expect(screen.getByText('1 thing will have no place, and stay in the stash: Marsh Lantern.')).toBeTruthy();
  type('Height of a row', '22; 26 mm');
  expect(screen.queryByText(/will have no place/)).toBeNull();
  expect(sent).toHaveLength(0);
  type('At most', '4');
  fireEvent.click(screen.getByRole('radio', { name: 'spare' }));
  expect(screen.getByText('1 thing will have no place, and stay in the stash: Marsh Lantern.')).toBeTruthy();
  type('Where it is kept', 'hall');
  fireEvent.click(screen.getByRole('radio', { name: 'as a snake' }));
  press('It comes after: another');
  const after = screen.getByRole('radiogroup', { name: 'It comes after' });
  fireEvent.click(within(after).getByRole('radio', { name: 'C Old rack' }));
  press('Keep it so');
  await waitFor(() => expect(sent).toHaveLength(1));
  expect(sent[0]?.body).toEqual({
    version: 1,
    name: 'Pad rack',
    label: 'B',
    parentId: 'room',
    model: { ...unit().model, rowsUm: [22_000, 26_000], filling: 'snake', skipColumns: [2] },
    rules: { kinds: ['ink'], cap: 4 },
    facts: { template: 'pad-rack', standing: 'spare', keptAt: 'hall' },
    after: 'u2',
  });
});

test('a rack that was changed elsewhere says so and keeps what was typed', async () => {
  at({ unit: 'u1' });
  server({
    'PUT /api/units/u1': new Refused({
      status: 409,
      code: 'stale',
      title: 'This was changed in another window.',
    }),
  });
  show(<StorageScreen />);
  await screen.findByText('1 thing in it · about 62 g without the rack');
  type('Name', 'Window rack');
  press('Keep it so');
  expect(await screen.findByText('This was changed in another window.')).toBeTruthy();
  expect(screen.getByDisplayValue('Window rack')).toBeTruthy();
});

test('limits by kind are kept as numbers; what is no limit is said under its field', async () => {
  const sent = server({
    'POST /api/records': { change: change({ kind: 'record' }), record: record('preferences', {}) },
  });
  show(<StorageScreen />);
  await screen.findByText('1 now');
  type('Inks', '0');
  press('Keep these limits');
  expect(await screen.findByText(/A limit is a whole number from 1 up/)).toBeTruthy();
  type('Inks', '40');
  press('Keep these limits');
  await waitFor(() => expect(sent).toHaveLength(1));
  expect(sent[0]?.body).toMatchObject({ body: { sort: 'preferences', caps: { ink: 40 } } });
});

test('what storage wants is typed as said and sent in micrometres', async () => {
  const sent = server({
    'POST /api/records': { change: change({ kind: 'record' }), record: record('n1', {}) },
  });
  show(<StorageScreen />);
  await screen.findByText('Wanted for storage');
  press('Want it');
  expect(await screen.findByText(/Say what it is for, such as card file C/)).toBeTruthy();
  type('For', 'card file C');
  type('At least', '20 cm');
  press('Want it');
  expect(await screen.findByText(/A size has two sides: 20 × 30 cm/)).toBeTruthy();
  type('At least', '20 cm x 30 cm');
  type('How many', '6');
  press('Want it');
  await waitFor(() => expect(sent).toHaveLength(1));
  expect(sent[0]?.body).toEqual({
    body: {
      sort: 'need',
      what: 'divider',
      where: 'card file C',
      widthUm: 200_000,
      heightUm: 300_000,
      count: 6,
    },
  });
});

test('a limit that is passed names who would be missed least, and a nudge can be switched off', async () => {
  const preferences = {
    sort: 'preferences',
    familyOrder: [],
    lightness: 'light-first',
    units: 'metric',
    currency: 'EUR',
    caps: { ink: 1 },
  };
  const sent = server(
    {
      'GET /api/records': { records: [record('preferences', preferences)] },
      'PUT /api/records/preferences': {
        change: change({ kind: 'record' }),
        record: record('preferences', preferences),
      },
      'POST /api/supplies/s2/verdict': { change: change({ kind: 'verdict' }), supply: supply({ id: 's2' }) },
    },
    [
      supply(),
      supply({
        id: 's2',
        name: 'Kiln Red',
        stock: { items: 1, left: 60, parts: {}, state: 'ok', uses: 0, lastUsedAt: null },
      }),
    ],
  );
  show(<LookScreen />);
  expect(await screen.findByText('Inks: 2 where 1 may be. 1 thing must leave.')).toBeTruthy();
  press('Let go: Kiln Red');
  await waitFor(() => expect(sent[0]?.body).toEqual({ version: 3, verdict: 'let go' }));
  press('Switch off: Ten you forgot');
  await waitFor(() => expect(sent[1]?.body).toMatchObject({ body: { muted: ['forgotten'] } }));
});

test('an order is tried on one’s own things and kept by kind', async () => {
  const sent = server({
    'POST /api/records': { change: change({ kind: 'record' }), record: record('preferences', {}) },
  });
  show(<OrderScreen />);
  expect(await screen.findByText('green')).toBeTruthy();
  press('Then by maker');
  fireEvent.focus(screen.getByLabelText('Move maker'));
  press('maker earlier');
  press('maker earlier');
  press('Do not sort by finish');
  press('Keep this order');
  await waitFor(() => expect(sent).toHaveLength(1));
  expect(sent[0]?.body).toMatchObject({ body: { recipes: { ink: ['family', 'maker', 'lightness'] } } });
  expect(screen.getByText('green: 1 thing')).toBeTruthy();
});

test('letters are counted one by one, and a word takes its letters off', async () => {
  const sheet = supply({ kind: 'sticker', form: 'sheet', facts: { attributes: { letters: 'H1 A2 I2 D0' } } });
  const sent = server({ 'PUT /api/supplies/s1': { change: change({ kind: 'edit' }), supply: sheet } });
  show(<Letters supply={sheet} />);
  expect(screen.getByText(/Running short of E, O, U/)).toBeTruthy();
  type('Can I lay this word?', 'hid');
  expect(screen.getByText('Not yet: 1 D short.')).toBeTruthy();
  type('Can I lay this word?', 'Hi');
  expect(screen.getByText('Yes. Press enter to take its letters off the count.')).toBeTruthy();
  fireEvent.keyDown(screen.getByLabelText('Can I lay this word?'), { key: 'Enter' });
  await waitFor(() => expect(sent).toHaveLength(1));
  expect(sent[0]?.body).toMatchObject({ facts: { attributes: { letters: 'A2 D0 H0 I1' } } });
});

test('a kit holds back what is in it: said beside what is left, and before the rest of it is used', async () => {
  const kit = record('g1', group({}));
  server({ 'GET /api/records': { records: [kit] } });
  const { unmount } = show(<HowMuch supply={supply()} />);
  expect(await screen.findByText('2 free')).toBeTruthy();
  unmount();
  server({
    'GET /api/records': { records: [record('g1', group({ members: [{ supplyId: 's1', amount: 30 }] }))] },
  });
  show(<StockActs supply={supply({ facts: { status: 'retired' } })} startWith={null} />);
  expect(await screen.findByText(/All that is left is put aside for the kit Harvest/)).toBeTruthy();
  expect(screen.getByText(/It cannot be bought again/)).toBeTruthy();
});
