import { fireEvent, screen, waitFor } from '@testing-library/react';
import { router, useLocalSearchParams } from 'expo-router';
import { FamiliesScreen } from '../arrange/families/FamiliesScreen';
import { OwnScreen } from '../own/OwnScreen';
import { RangesScreen } from '../intake/RangesScreen';
import { SortOutScreen } from '../review/sortout/SortOutScreen';
import { LatelyScreen } from '../review/LatelyScreen';
import { TagsScreen } from '../review/TagsScreen';
import { change, fakeServer, press, record, show, supply, unit } from './harness';

jest.mock('expo-router', () => ({
  ...jest.requireActual<object>('./router'),

  router: { push: jest.fn(), replace: jest.fn(), setParams: jest.fn() },
  useLocalSearchParams: jest.fn(),
}));

const at = (params: Record<string, string>) => (useLocalSearchParams as jest.Mock).mockReturnValue(params);
const STASH = [
  supply({ facts: { barcode: '4006381333931', tags: ['Autumn', 'coffee'] } }),
  supply({
    id: 's2',
    number: 7,
    name: 'Kiln Red',
    code: '9',
    hex: '#a02020',
    family: 'red',
    group: 'red',
    place: null,
    facts: { spares: 1, tags: ['autumns'] },
  }),
  supply({
    id: 's3',
    name: 'Old Gold',
    kind: 'ribbon',
    form: 'spool',
    hex: '#c0a040',
    facts: { status: 'gone' },
  }),
];
const server = (records: object[] = [], more: Parameters<typeof fakeServer>[0] = {}) =>
  fakeServer({
    'GET /api/supplies': { order: '', supplies: STASH },
    'GET /api/wall': { roomName: 'Room', units: [unit()] },
    'GET /api/records': { records },
    'GET /api/devices/scanner': { things: [{ label: 'Marsh Lantern', barcode: '4006381333931' }] },
    ...more,
  });

beforeEach(() => {
  at({});
  jest.clearAllMocks();
});

test('a colour’s name answers too, under what is called so; a kind with nothing near shows its nearest', async () => {
  server([], {
    'POST /api/colour-names': {
      names: [
        { name: 'Sedge Fen', hex: '#4d9b53' },
        { name: 'Sedge Fen Frond', hex: '#657220' },
      ],
    },
    'GET /api/supplies': {
      order: '',
      supplies: [
        ...STASH,
        supply({ id: 's4', kind: 'marker', form: 'alcohol-dual', name: 'Far Bank', hex: '#2244aa' }),
      ],
    },
  });
  show(<OwnScreen />);
  await screen.findByRole('heading', { name: 'Do I own it?' });
  ask('sedge fen');
  // The word agrees with what stands under it.
  await waitFor(() => expect(screen.getByTestId('verdict').textContent).toBe('Yes'));
  const answers = screen.getAllByRole('button', { name: /ΔE/ }).map((each) => each.textContent);
  expect(answers[0]).toMatch(/Marsh Lantern.*you could not tell them apart/);
  expect(answers[1]).toMatch(/Far Bank.*clearly/);
  ask('sedge fen gate');
  await waitFor(() => expect(screen.getByTestId('verdict').textContent).not.toBe('Yes'));
});

test('only one kind is asked where the person says so, and the address keeps it', async () => {
  server();
  at({ q: '#a02020', kind: 'ribbon' });
  show(<OwnScreen />);
  expect((await screen.findByTestId('verdict')).textContent).toBe('No');
  fireEvent.click(screen.getByRole('radio', { name: 'Inks' }));
  expect(router.setParams).toHaveBeenLastCalledWith({ kind: 'ink' });
  fireEvent.click(screen.getByRole('radio', { name: 'All' }));
  expect(router.setParams).toHaveBeenLastCalledWith({ kind: '' });
});

const ask = (text: string) =>
  fireEvent.change(screen.getByLabelText('Colour, name, code or place'), { target: { value: text } });

test.each([
  ['marsh lantern', 'Yes', /Another one would be a double/],
  ['kiln red', 'Yes', /You still want a spare/],
  ['no. 7', 'Yes', /spare/],
  ['marsh lentern', 'Not quite', /nearly the same name/],
  ['old gold', 'No', /You have nothing/],
  ['green', 'Yes', /Another one would be a double/],
  ['green ink?', 'Yes', /all that you asked for/],
  ['dark teal', 'No', /You have nothing/],
])('do I own “%s”? %s', async (question, verdict, detail) => {
  server();
  show(<OwnScreen />);
  await screen.findByRole('heading', { name: 'Do I own it?' });
  ask(question);
  expect((await screen.findByTestId('verdict')).textContent).toBe(verdict);
  expect(screen.getByText(detail)).toBeTruthy();
});

test('a scanned barcode is asked for, and a misread one is said', async () => {
  server();
  show(<OwnScreen />);
  await screen.findByRole('heading', { name: 'Do I own it?' });
  press('Scan a barcode');
  fireEvent.click(await screen.findByRole('button', { name: 'Scan Marsh Lantern' }));
  expect(await screen.findByText('the same barcode')).toBeTruthy();
  ask('4006381333930');
  expect(await screen.findByText(/misread/)).toBeTruthy();
});

const sorting = record('r1', {
  sort: 'session',
  what: 'sort out',
  name: 'Inks, today',
  kind: 'ink',
  form: null,
  unitId: null,
  shared: {},
  finishedOn: null,
});

const decided = record('r2', {
  sort: 'done',
  sessionId: 'r1',
  entries: [{ supplyId: 's2', verdict: 'let go', space: { alongMm: 98, litres: 0.13, slots: 1 } }],
});

test('a pile is begun from the list of kinds, or taken up again', async () => {
  const sent = server([sorting, decided], {
    'POST /api/records': { record: record('r2', {}), change: change({ kind: 'record' }) },
  });
  show(<SortOutScreen />);
  press(
    await screen
      .findByRole('button', { name: 'Inks, today: 1 decided' })
      .then(() => 'Inks, today: 1 decided'),
  );
  expect(router.setParams).toHaveBeenCalledWith({ session: 'r1', zone: '' });
  expect(screen.queryByRole('button', { name: /^Ribbons/ })).toBeNull();
  press(/^Inks: 2/);
  await waitFor(() => expect(sent[0]?.body).toMatchObject({ body: { what: 'sort out', kind: 'ink' } }));
});

test('a verdict is sent with the version that was seen, and what is freed adds up', async () => {
  at({ session: 'r1' });
  const sent = server([sorting, decided], {
    'POST /api/supplies/s1/verdict': { supply: STASH[0]!, change: change({ kind: 'verdict' }) },
  });
  show(<SortOutScreen />);
  expect(await screen.findByText('1 of 2 decided')).toBeTruthy();
  expect(screen.getByText('Let go: 1 thing, frees 1 slot, 10 cm along the shelf, 0.1 l')).toBeTruthy();
  press('Pass on (3)');
  await waitFor(() => expect(sent[0]?.body).toEqual({ version: 3, verdict: 'pass on', sessionId: 'r1' }));
});

test('families are moved and kept whole', async () => {
  const sent = server([], {
    'POST /api/records': { record: record('preferences', {}), change: change({ kind: 'record' }) },
  });
  show(<FamiliesScreen />);
  fireEvent.focus(await screen.findByLabelText('Move Orange'));
  press('Orange earlier');
  press('Neutrals first');
  press('Keep it so');
  await waitFor(() => expect(sent).toHaveLength(1));
  const { body } = sent[0]?.body as { body: { familyOrder: string[] } };
  expect(body).toMatchObject({ units: 'metric', lightness: 'light-first' });
  expect(body.familyOrder.slice(0, 3)).toEqual(['neutral', 'orange', 'red']);
  expect(new Set(body.familyOrder).size).toBe(14);
});

test('tags that may mean the same are joined in one change', async () => {
  const sent = server([], { 'POST /api/supplies/batch': { change: change({ kind: 'batch' }) } });
  show(<TagsScreen />);
  expect(await screen.findByText(/“Autumn” \(1\) and “autumns” \(1\) may mean the same/)).toBeTruthy();
  press('All “Autumn”');
  await waitFor(() =>
    expect(sent[0]?.body).toEqual({
      supplies: [{ id: 's2', version: 3 }],
      set: { addTags: ['Autumn'], dropTags: ['autumns'] },
    }),
  );
});

test('lately: each change with its undo, undone ones without', async () => {
  const line = (id: string, more: object) => ({
    ...change({ id, kind: 'edit' }),
    at: '2026-05-01T10:00:00.000Z',
    undone: false,
    ...more,
  });
  const sent = server([], {
    'GET /api/changes': { changes: [line('c1', {}), line('c2', { kind: 'add', undone: true })] },
    'POST /api/changes/c1/undo': { change: change({ kind: 'undo' }), kept: [] },
  });
  show(<LatelyScreen />);
  expect(await screen.findByText(/Undone since/)).toBeTruthy();
  expect(screen.getAllByRole('button', { name: /^Undo/ })).toHaveLength(1);
  press(/^Undo/);
  await waitFor(() => expect(sent.map(({ path }) => path)).toEqual(['/api/changes/c1/undo']));
});

const range = record('r3', {
  sort: 'range',
  maker: 'Hollin & Quay',
  name: 'Towpath',
  kind: 'ink',
  form: 'full-pad',
  finish: 'matte',
  entries: [
    { name: 'Marsh Lantern', code: '418', hex: '#4c9a52' },
    { name: 'Reed', code: '419', hex: '#8c9a52' },
  ],
});

test('a range knows what is owned, and ticking adds the rest', async () => {
  at({ range: 'r3' });
  const sent = server([range], {
    'POST /api/supplies/many': { ids: ['s9'], change: change({ kind: 'add' }) },
  });
  show(<RangesScreen />);
  expect(await screen.findByText('1 of 2 owned, 50%')).toBeTruthy();
  const owned = screen.getByRole('checkbox', { name: 'Marsh Lantern 418, owned' });
  expect(owned.getAttribute('aria-disabled')).toBe('true');
  fireEvent.click(screen.getByRole('checkbox', { name: 'Reed 419' }));
  press('Add 1 supply');
  await waitFor(() =>
    expect(sent[0]?.body).toMatchObject({
      supplies: [
        {
          name: 'Reed',
          code: '419',
          maker: 'Hollin & Quay',
          range: 'Towpath',
          kind: 'ink',
          count: { items: 1, left: 60 },
        },
      ],
    }),
  );
});
