import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { subHours } from 'date-fns/subHours';
import { BenchScreen } from '../bench/BenchScreen';
import { KitsScreen } from '../bench/KitsScreen';
import { change, fakeServer, record, show, supply, unit } from './harness';

jest.mock('expo-router', () => ({
  ...jest.requireActual<object>('./router'),
  router: { push: jest.fn(), setParams: jest.fn() },
  useLocalSearchParams: () => ({ group: 'g1' }),
}));

beforeEach(() => {
  localStorage.clear();
  sessionStorage.clear();
});

const out = supply({ id: 's9', name: 'Otter pair', place: { unitId: 'hand', slot: null } });
const lotId = out.holdings[0]?.id ?? '';
const placed = (id: string, name: string, slot: number) =>
  supply({ id, name, place: { unitId: 'u1', slot } });

test('what is out says since when, goes back to where it stood, and what was used of it is one tap', async () => {
  const sent = fakeServer({
    'GET /api/supplies': { order: '', supplies: [out] },
    'GET /api/wall': { roomName: 'Room', units: [unit()] },
    'GET /api/records': { records: [] },
    'GET /api/bench': {
      out: [
        {
          holdingId: lotId,
          since: subHours(new Date(), 50).toISOString(),
          from: { unitId: 'u1', cell: 2, rank: 0 },
        },
      ],
    },
    'POST /api/holdings/moves': { change: change() },
    'POST /api/supplies/s9/ledger': { supply: out, change: change() },
  });
  show(<BenchScreen />);
  expect(await screen.findByText(/· for 2 days$/)).toBeTruthy();
  // Out since the day before yesterday: it is asked for at any hour.
  expect(screen.getByText('1 thing still out: put back what is done with.')).toBeTruthy();
  fireEvent.click(screen.getByRole('button', { name: 'Used a bit of Otter pair' }));
  await waitFor(() => expect(sent[0]?.body).toMatchObject({ act: 'use', amount: 1 }));
  const back = await screen.findByRole('button', { name: 'Put Otter pair back' });
  expect(back.textContent).toMatch(/^Back to /);
  fireEvent.click(back);
  await waitFor(() => expect(sent).toHaveLength(2));
  expect(sent[1]?.body).toMatchObject({ moves: [{ id: lotId, place: { unitId: 'u1', cell: 2 } }] });
});

test.each([
  // What stays of card is kept above the person's own limit, and binned below it; either can be turned round.
  [
    'cardstock',
    'sheet-12',
    '2',
    '11 x 6 cm',
    null,
    { act: 'cut', amount: 2, pieces: [{ sizeUm: { widthUm: 110_000, heightUm: 60_000 } }] },
  ],
  ['cardstock', 'sheet-12', '2', '11 x 1 cm', null, { act: 'use', amount: 2 }],
  ['cardstock', 'sheet-12', '2', '11 x 1 cm', 'keep it all the same', { act: 'cut', amount: 2 }],
  ['ribbon', 'spool', '80 cm', '', null, { act: 'use', amount: 800_000 }],
  [
    'ribbon',
    'spool',
    '80 cm',
    '30 cm',
    null,
    { act: 'cut', amount: 1_100_000, pieces: [{ sizeUm: { heightUm: 300_000 } }] },
  ],
  [
    'sticker',
    'sheet',
    '1',
    null,
    'half left',
    { act: 'cut', amount: 1, pieces: [{ sizeUm: { widthUm: 95_000, heightUm: 65_000 } }] },
  ],
] as const)('of a %s %s: %s used, %s stays', async (kind, form, used, stays, chip, sentBody) => {
  const thing = supply({ id: 's9', name: 'Fern', kind, form, place: { unitId: 'hand', slot: null } });
  const sent = fakeServer({
    'GET /api/supplies': { order: '', supplies: [thing] },
    'GET /api/wall': { roomName: 'Room', units: [unit()] },
    'GET /api/records': { records: [] },
    'GET /api/bench': { out: [] },
    'POST /api/supplies/s9/ledger': { supply: thing, change: change() },
  });
  show(<BenchScreen />);
  fireEvent.click(await screen.findByRole('button', { name: 'Say what was used of Fern' }));
  const ask = within(screen.getByRole('form', { name: 'What was used of Fern' }));
  fireEvent.change(ask.getByRole('textbox', { name: 'How much was used of Fern' }), {
    target: { value: 'some' },
  });
  fireEvent.click(ask.getByRole('button', { name: 'Note what was used of Fern' }));
  expect(await ask.findByText(/cannot be read/)).toBeTruthy();
  fireEvent.change(ask.getByRole('textbox', { name: 'How much was used of Fern' }), {
    target: { value: used },
  });
  if (stays !== null)
    fireEvent.change(ask.getByRole('textbox', { name: 'A piece of Fern that stays' }), {
      target: { value: stays },
    });
  if (chip) fireEvent.click(await ask.findByText(chip));
  fireEvent.click(ask.getByRole('button', { name: 'Note what was used of Fern' }));
  await waitFor(() => expect(sent).toHaveLength(1));
  expect(sent[0]?.body).toMatchObject(sentBody);
});

test('a set is counted before it goes back, and what is missing is kept as missing', async () => {
  const set = supply({
    ...{ id: 's9', name: 'Otter stamps', kind: 'companion', form: 'stamp' },
    ...{ facts: { attributes: { pieces: 12 } }, place: { unitId: 'hand', slot: null } },
  });
  const sent = fakeServer({
    'GET /api/supplies': { order: '', supplies: [set] },
    'GET /api/wall': { roomName: 'Room', units: [unit()] },
    'GET /api/records': { records: [] },
    'GET /api/bench': { out: [] },
    'PUT /api/supplies/s9': { supply: set, change: change() },
  });
  show(<BenchScreen />);
  const field = await screen.findByLabelText('Pieces of Otter stamps that are there, of 12');
  fireEvent.change(field, { target: { value: '13' } });
  fireEvent.click(await screen.findByRole('button', { name: 'So many of Otter stamps are there' }));
  expect(await screen.findByText(/Say how many of its 12 pieces are there/)).toBeTruthy();
  fireEvent.change(field, { target: { value: '11' } });
  fireEvent.click(screen.getByRole('button', { name: 'So many of Otter stamps are there' }));
  await waitFor(() =>
    expect(sent.at(-1)?.body).toMatchObject({ facts: { attributes: { pieces: 12, missing: 1 } } }),
  );
});

test('the pull list of a project: near first, what is used up with what could do instead, what does not go together', async () => {
  const solvent = { attributes: { chemistry: 'permanent solvent' } };
  const supplies = [
    placed('s1', 'Second', 3),
    { ...placed('s2', 'First', 1), facts: solvent },
    supply({
      id: 's3',
      name: 'Dry Well',
      hex: '#b3262b',
      stock: { ...out.stock, items: 0, left: 0, state: 'out' },
      place: null,
    }),
    { ...placed('s4', 'Kiln Door', 5), hex: '#b3282b' },
    supply({ id: 'm1', name: 'Blend', kind: 'marker', form: 'alcohol-dual', place: null }),
  ].map((each) => (each.id === 's3' ? { ...each, holdings: [] } : each));
  const members = ['s1', 's2', 's3', 'm1'].map((supplyId) => ({
    supplyId,
    amount: supplyId === 's1' ? 2 : 0,
  }));
  const body = {
    ...{ sort: 'group', what: 'project', name: 'Nine cards', note: '', source: '', acquiredOn: null },
    ...{ members, matches: [], dissolvedOn: null, home: null },
  };
  const sent = fakeServer({
    'GET /api/supplies': { order: '', supplies },
    'GET /api/wall': { roomName: 'Room', units: [unit()] },
    'GET /api/records': { records: [{ ...record('group', body), id: 'g1' }] },
    'POST /api/holdings/moves': { change: change() },
    'PUT /api/records/g1': { record: { ...record('group', body), id: 'g1' }, change: change() },
  });
  show(<KitsScreen />);
  const list = await screen.findByRole('list', { name: 'To fetch' });
  expect(
    within(list)
      .getAllByRole('link')
      .map((link) => link.getAttribute('aria-label')),
  ).toEqual(['First', 'Second']);
  expect(within(list).getByText(/: 2 kept for it, \d+ free$/)).toBeTruthy();
  expect(screen.getByText(/^Dry Well is used up\. Instead: Kiln Door, /)).toBeTruthy();
  expect(screen.getByText(/^Blend dissolves what is stamped with First/)).toBeTruthy();
  expect(screen.getByRole('button', { name: /^Caution: Alcohol inks, solvents/ })).toBeTruthy();
  fireEvent.click(screen.getByRole('button', { name: 'All 2 are on the bench' }));
  await waitFor(() => expect((sent[0]?.body as { moves: object[] }).moves).toHaveLength(2));
  fireEvent.click(screen.getByRole('button', { name: 'I use First with Blend' }));
  await waitFor(() =>
    expect(sent.at(-1)?.body).toMatchObject({ body: { accepted: ['solvent-under-alcohol s2 m1'] } }),
  );
});
