import { fireEvent, screen, waitFor } from '@testing-library/react';
import { useLocalSearchParams } from 'expo-router';
import { KitsScreen } from '../bench/KitsScreen';
import { Challenge } from '../judge/Challenge';
import { AddScreen } from '../intake/AddScreen';
import { Dormant } from '../supply/Dormant';
import { EditForm } from '../supply/EditForm';
import { StockActs } from '../supply/StockActs';
import { Needs } from '../wall/storage/Needs';
import { Refused, change, fakeServer, press, record, show, supply, type, unit, wallOf } from './harness';

jest.mock('expo-router', () => ({
  ...jest.requireActual<object>('./router'),

  router: { push: jest.fn(), replace: jest.fn(), setParams: jest.fn() },
  useLocalSearchParams: jest.fn(),
}));

const server = (more: Parameters<typeof fakeServer>[0] = {}) =>
  fakeServer({
    'GET /api/supplies': { order: '', supplies: [supply()] },
    'GET /api/wall': { roomName: 'Room', units: [unit()] },
    'GET /api/records': { records: [] },
    ...more,
  });

beforeEach(() => {
  localStorage.clear();
  (useLocalSearchParams as jest.Mock).mockReturnValue({});
});

test('a thing half added is there again, its count too; what was added is not', async () => {
  const sent = server({ 'POST /api/supplies': { change: change({ kind: 'add' }), supply: supply() } });
  const first = show(<AddScreen />);
  type('Name', 'Fern Gate');
  type('How many', '3');
  first.unmount();
  const second = show(<AddScreen />);
  expect(screen.getByDisplayValue('Fern Gate')).toBeTruthy();
  expect(screen.getByDisplayValue('3')).toBeTruthy();
  type('Colour', '#4c9a52');
  press('Add and next');
  await waitFor(() => expect(sent).toHaveLength(1));
  await waitFor(() => expect(screen.queryByDisplayValue('Fern Gate')).toBeNull());
  second.unmount();
  show(<AddScreen />);
  expect(screen.queryByDisplayValue('Fern Gate')).toBeNull();
});

test('an edit that was begun goes on from what was seen then, and is gone when it is cancelled', async () => {
  const sent = server({
    'PUT /api/supplies/s1': new Refused({
      status: 409,
      code: 'stale',
      title: 'It was changed in another window.',
    }),
  });
  const first = show(<EditForm supply={supply()} onDone={jest.fn()} />);
  type('Name', 'Reed Gate');
  first.unmount();
  const second = show(<EditForm supply={supply({ version: 9, name: 'Theirs' })} onDone={jest.fn()} />);
  expect(screen.getByDisplayValue('Reed Gate')).toBeTruthy();
  press('Save');
  await waitFor(() => expect(sent).toHaveLength(1));
  expect(sent[0]?.body).toMatchObject({ name: 'Reed Gate', version: 3 });
  expect(await screen.findByText('It was changed in another window.')).toBeTruthy();
  second.unmount();
  const done = jest.fn();
  const third = show(<EditForm supply={supply()} onDone={done} />);
  press('Cancel');
  expect(done).toHaveBeenCalled();
  third.unmount();
  show(<EditForm supply={supply()} onDone={jest.fn()} />);
  expect(screen.getByDisplayValue('Marsh Lantern')).toBeTruthy();
});

test('needs, kits and purposes half said are said again', async () => {
  server();
  const needs = show(<Needs />);
  type('For', 'button drawer');
  needs.unmount();
  show(<Needs />);
  expect(screen.getByDisplayValue('button drawer')).toBeTruthy();
  const sleep = show(<Dormant supply={supply()} onDone={jest.fn()} />);
  press('Let it sleep');
  expect(await screen.findByText(/Say what it was for, such as the school fair/)).toBeTruthy();
  type('It was for', 'the harvest stall');
  sleep.unmount();
  show(<Dormant supply={supply()} onDone={jest.fn()} />);
  expect(screen.getByDisplayValue('the harvest stall')).toBeTruthy();
  const kits = show(<KitsScreen />);
  await screen.findByLabelText('Its name');
  type('Its name', 'Harvest cards');
  kits.unmount();
  show(<KitsScreen />);
  expect(await screen.findByDisplayValue('Harvest cards')).toBeTruthy();
});

const CARD = supply({
  kind: 'cardstock',
  form: 'sheet-12',
  place: null,
  facts: { attributes: { weight: { cgsm: 21_600, basis: null } } },
  stock: { items: 9, left: 9, parts: { pack: 2 }, state: 'ok', uses: 0, lastUsedAt: null },
});

test('an amount half said is asked for again where it was left, and is gone once it is noted', async () => {
  const sent = server({ 'POST /api/supplies/s1/ledger': { supply: CARD, change: change() } });
  const first = show(<StockActs supply={CARD} startWith={null} />);
  press('Count');
  type('How many sheets', '17');
  first.unmount();
  const second = show(<StockActs supply={CARD} startWith={null} />);
  expect(screen.getByDisplayValue('17')).toBeTruthy();
  press('Note it: count');
  await waitFor(() => expect(screen.queryByDisplayValue('17')).toBeNull());
  expect(sent[0]?.body).toMatchObject({ act: 'count', items: 17, left: 17, lotId: 's1-lot' });
  second.unmount();
  show(<StockActs supply={CARD} startWith={null} />);
  expect(screen.queryByText('What is there now?')).toBeNull();
});

test('closing a question gives the amount up; another act starts with its own', () => {
  server();
  const first = show(<StockActs supply={CARD} startWith="discard" />);
  type('How many sheets', '3');
  first.unmount();
  show(<StockActs supply={CARD} startWith={null} />);
  expect(screen.getByDisplayValue('3')).toBeTruthy();
  press('Buy');
  expect(screen.getByDisplayValue('10')).toBeTruthy();
  press('Buy');
  press('Discard');
  expect(screen.getByDisplayValue('1')).toBeTruthy();
});

test('sheets being cut and a stack being measured are remembered field by field', async () => {
  const sent = server({ 'POST /api/supplies/s1/ledger': { supply: CARD, change: change() } });
  const first = show(<StockActs supply={CARD} startWith="count" />);
  press('Cut');
  type('Sheets to cut', '4');
  type('Bases made', '16');
  type('Height, pressed by hand', '5 mm');
  first.unmount();
  show(<StockActs supply={CARD} startWith={null} />);
  expect(screen.getByDisplayValue('16')).toBeTruthy();
  expect(screen.getByDisplayValue('5 mm')).toBeTruthy();
  press('Note it: cut');
  await waitFor(() => expect(sent).toHaveLength(1));
  expect(sent[0]?.body).toEqual({ act: 'cut', amount: 4, items: 16, left: 0 });
  await waitFor(() => expect(screen.queryByDisplayValue('16')).toBeNull());
});

test('a box chosen for two weeks is still chosen, until they begin', async () => {
  const begun = record('r1', {
    sort: 'challenge',
    unitId: 'u1',
    unitName: 'B Pad rack',
    from: '2026-05-01',
    until: '2026-05-15',
  });
  const sent = server({ 'POST /api/records': { change: change({ kind: 'record' }), record: begun } });
  const stash = {
    supplies: [supply()],
    all: [supply()],
    wall: wallOf(),
    byId: new Map(),
  };
  const first = show(<Challenge stash={stash} />);
  fireEvent.click(screen.getByRole('radio', { name: 'B Pad rack' }));
  first.unmount();
  show(<Challenge stash={stash} />);
  press('Only B Pad rack: begin');
  await waitFor(() => expect(screen.queryByRole('button', { name: 'Only B Pad rack: begin' })).toBeNull());
  expect(sent[0]?.body).toMatchObject({ body: { sort: 'challenge', unitId: 'u1', unitName: 'B Pad rack' } });
});
