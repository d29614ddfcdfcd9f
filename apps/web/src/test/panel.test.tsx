import { fireEvent, screen, waitFor } from '@testing-library/react';
import { SupplyPanel } from '../supply/SupplyPanel';
import { change, entry, fakeServer, record, Refused, show, supply, unit, type Sent } from './harness';

jest.mock('expo-router', () => ({
  ...jest.requireActual<object>('./router'),

  router: { push: jest.fn(), setParams: jest.fn() },
  useLocalSearchParams: () => ({}),
}));

const LEDGER = [
  entry({ id: 'e1', act: 'count', of: 'whole', items: 1, left: 60 }),
  entry({
    id: 'e2',
    act: 'use',
    of: 'whole',
    amount: 1,
    at: '2026-05-03T10:00:00.000Z',
    recordedAt: '2026-05-03T10:00:00.000Z',
  }),
];
const press = (name: string) => fireEvent.click(screen.getByRole('button', { name }));
const type = (label: string, text: string) =>
  fireEvent.change(screen.getByLabelText(label), { target: { value: text } });

function open(answers: Parameters<typeof fakeServer>[0] = {}, thing = supply()): Sent[] {
  const sent = fakeServer({
    [`GET /api/supplies/${thing.id}`]: { supply: thing, ledger: LEDGER },
    'GET /api/supplies': { order: '', supplies: [thing] },
    'GET /api/wall': { roomName: 'Room', units: [unit()] },
    'GET /api/records': { records: [] },
    [`POST /api/supplies/${thing.id}/ledger`]: { supply: thing, change: change() },
    ...answers,
  });
  show(<SupplyPanel id={thing.id} where={() => 'B2·02'} onClose={jest.fn()} />);
  return sent;
}

test('it says what the thing is, where it lives, what is left and what has happened', async () => {
  open();
  expect(await screen.findByRole('heading', { name: 'Marsh Lantern' })).toBeTruthy();
  for (const text of [
    'B2·02',
    'full pad · Hollin & Quay · Towpath 418 · no. 42',
    '3 May 2026 · used once',
    '1 May 2026 · counted full',
  ])
    expect(await screen.findByText(text)).toBeTruthy();
  const lines = screen.getAllByText(/2026 ·/).map((line) => line.textContent);
  expect(lines).toEqual(['3 May 2026 · used once', '1 May 2026 · counted full']);
});

test('used steadily, it says when it is used up, and between when and when', async () => {
  const DAY = 86_400_000;
  const days = Array.from({ length: 40 }, (_, i) => new Date(Date.now() - (120 - 3 * i) * DAY).toISOString());
  const thing = { ...supply(), createdAt: days[0] ?? '' };
  const uses = days.map((at, i) => entry({ id: `u${i}`, act: 'use', of: 'whole', amount: 2, at }));
  open({ [`GET /api/supplies/${thing.id}`]: { supply: thing, ledger: uses } }, thing);
  expect(
    await screen.findByText(/^Used up about \w+ \d{4} \(\w+ \d{4} to \w+ \d{4}\), if it goes on as it went/),
  ).toBeTruthy();
});

test('a tap uses one; the message offers to take it back', async () => {
  const undone = { change: change({ id: 'c2', kind: 'undo' }), kept: [] };
  const sent = open({ 'POST /api/changes/:id/undo': undone });
  await screen.findByRole('heading', { name: 'Marsh Lantern' });
  press('Use one');
  expect(await screen.findByText('Marsh Lantern: noted.')).toBeTruthy();
  fireEvent.click(screen.getByText('Undo'));
  expect(await screen.findByText('Undone.')).toBeTruthy();
  const [use, undo] = sent;
  expect([use?.path, use?.body]).toEqual(['/api/supplies/s1/ledger', { act: 'use', amount: 1 }]);
  // The change is called what the command was called, so that it can be undone before it is answered.
  expect([undo?.path, undo?.body]).toEqual([`/api/changes/${use?.command}/undo`, {}]);
});

test('counting asks how many and how full, and refuses nonsense before it is sent', async () => {
  const sent = open();
  await screen.findByRole('heading', { name: 'Marsh Lantern' });
  press('Count');
  type('How many', 'some');
  press('Note it: count');
  expect(await screen.findByText(/“some” cannot be read/)).toBeTruthy();
  type('How many', '2');
  fireEvent.click(screen.getByRole('radio', { name: 'low' }));
  press('Note it: count');
  await waitFor(() => expect(sent).toHaveLength(1));
  expect(sent[0]?.body).toEqual({ act: 'count', items: 2, left: 69, lotId: 's1-lot', version: 2 });
});

test('ribbon is cut by length, typed as people say it; it cannot be refilled', async () => {
  const sash = supply({
    id: 's2',
    kind: 'ribbon',
    form: 'spool',
    stock: { items: 1, left: 2_400_000, state: 'ok', uses: 0, parts: {}, lastUsedAt: null },
  });
  const sent = open({}, sash);
  await screen.findByText('2.4 m');
  expect(screen.queryByRole('button', { name: 'Refill' })).toBeNull();
  press('Use');
  press('Note it: use');
  expect(await screen.findByText(/Say how many/)).toBeTruthy();
  type('How much (2.4 m, 3 yd)', '5 1/8 in');
  press('Note it: use');
  await waitFor(() => expect(sent[0]?.body).toEqual({ act: 'use', amount: 130_175 }));
});

test('a refill asks for its bottle and, where it is weighed, for both masses; what was paid goes with a purchase', async () => {
  const bottle = supply({ id: 's9', form: 'refill', stock: { ...supply().stock, left: 9 }, place: null });
  const sent = open({ 'GET /api/supplies': { order: '', supplies: [supply(), bottle] } });
  await screen.findByRole('heading', { name: 'Marsh Lantern' });
  await screen.findByText('B2·02');
  press('Refill');
  type('Mass before', '9.7 g');
  press('Note it: refilled');
  expect(await screen.findByText(/Give both masses/)).toBeTruthy();
  type('Mass after', '12.3 g');
  press('Note it: refilled');
  await waitFor(() => expect(sent).toHaveLength(1));
  expect(sent[0]?.body).toEqual({
    act: 'refill',
    fromId: 's9',
    weights: { beforeMg: 9700, afterMg: 12_300 },
  });
  press('Buy');
  type('Price', '4.50');
  press('Note it: buy');
  await waitFor(() => expect(sent).toHaveLength(2));
  expect(sent[1]?.body).toEqual({ act: 'buy', amount: 1, price: { minor: 450, currency: 'EUR' } });
});

test('what the server refuses is said', async () => {
  open({
    'POST /api/supplies/s1/ledger': new Refused({
      status: 422,
      code: 'nothing_to_refill',
      title: 'There is none on the shelf to refill.',
    }),
  });
  await screen.findByRole('heading', { name: 'Marsh Lantern' });
  press('Refill');
  expect(await screen.findByText(/There is none on the shelf to refill\./)).toBeTruthy();
});

test('when another window was quicker, both versions are shown; keeping mine writes over the one just seen', async () => {
  const theirs = supply({ name: 'Their Word', version: 4 });
  let quicker = true;
  const sent = open({
    'PUT /api/supplies/s1': () => {
      if (!quicker) return { supply: theirs, change: change({ kind: 'edit', name: 'My Word' }), lifted: [] };
      quicker = false;
      return new Refused({
        status: 409,
        code: 'stale',
        title: 'This was changed in another window.',
        current: theirs,
      });
    },
  });
  await screen.findByRole('heading', { name: 'Marsh Lantern' });
  press('Edit');
  type('Name', 'My Word');
  press('Save');
  expect(await screen.findByText('name: yours “My Word”, theirs “Their Word”')).toBeTruthy();
  press('Keep mine');
  expect(await screen.findByText('My Word changed.')).toBeTruthy();
  expect(
    sent.map(({ body }) => [(body as { name: string }).name, (body as { version: number }).version]),
  ).toEqual([
    ['My Word', 3],
    ['My Word', 4],
  ]);
});

test('a field the server refuses says so under it', async () => {
  open({
    'PUT /api/supplies/s1': new Refused({
      status: 422,
      code: 'invalid',
      title: 'x',
      fields: [{ path: 'hex', code: 'custom', message: 'That is not a colour.' }],
    }),
  });
  await screen.findByRole('heading', { name: 'Marsh Lantern' });
  press('Edit');
  type('Colour', 'teal');
  press('Save');
  expect(await screen.findByText(/⚠ That is not a colour/)).toBeTruthy();
});

test('a supply that is gone says so', async () => {
  open({
    'GET /api/supplies/s1': new Refused({
      status: 404,
      code: 'not_found',
      title: 'There is no such supply; it may have been removed.',
    }),
  });
  expect(await screen.findByText(/may have been removed/)).toBeTruthy();
});

test('what is used of a supply that is put aside says what for; with nothing free it is for that', async () => {
  const aside = (id: string, name: string, supplyId: string, amount: number) =>
    record(id, { sort: 'group', what: 'project', name, members: [{ supplyId, amount }], dissolvedOn: null });
  const records = [aside('r1', 'Winter cards', 's1', 10), aside('r2', 'Tags', 's2', 999)];
  const sent = open({ 'GET /api/records': { records } });
  await screen.findByRole('heading', { name: 'Marsh Lantern' });
  press('Use one');
  await waitFor(() => expect(sent).toHaveLength(1));
  expect(sent[0]?.body).toEqual({ act: 'use', amount: 1 });
  fireEvent.click(await screen.findByRole('radio', { name: 'Winter cards' }));
  press('Use one');
  await waitFor(() => expect(sent).toHaveLength(2));
  expect(sent[1]?.body).toEqual({ act: 'use', amount: 1, heldFor: 'r1' });
  const more = open({ 'GET /api/records': { records } }, supply({ id: 's2' }));
  expect((await screen.findByRole('radio', { name: 'Tags' })).getAttribute('aria-checked')).toBe('true');
  fireEvent.click(screen.getAllByRole('button', { name: 'Use one' }).at(-1)!);
  await waitFor(() => expect(more.at(-1)?.body).toEqual({ act: 'use', amount: 1, heldFor: 'r2' }));
});
