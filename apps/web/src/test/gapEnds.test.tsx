import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { GapsScreen } from '../gaps/GapsScreen';
import { change, fakeServer, show, supply, unit } from './harness';

let mockParams: { about?: string } = {};
jest.mock('expo-router', () => ({
  ...jest.requireActual<object>('./router'),
  router: { push: jest.fn(), setParams: jest.fn() },
  useLocalSearchParams: () => mockParams,
}));

beforeEach(() => {
  localStorage.clear();
  sessionStorage.clear();
});

const GAPS = {
  ...{ running: [], colours: [], ranges: [], partners: [], unused: [], doubles: [], room: [] },
};
const STASH = {
  'GET /api/supplies': { supplies: [supply({ id: 's1', name: 'Kiln Door' })] },
  'GET /api/wall': { roomName: 'Attic', units: [unit()] },
  'GET /api/gaps': GAPS,
};
const record = (body: object) => ({
  record: { id: 'w1', version: 1, createdAt: '', updatedAt: '', body },
  change: change(),
});

test('room ends at limits and in families too, and what is used up gives its spot back', async () => {
  mockParams = { about: 'room' };
  const days = (ago: number): string => new Date(Date.now() - ago * 86_400_000).toISOString();
  const greens = [200, 60, 40, 20].map((ago, i) =>
    supply({ id: `g${i}`, name: `Green ${i}`, place: { unitId: 'u1', slot: i }, createdAt: days(ago) }),
  );
  const [first] = greens;
  const holdings = (first?.holdings ?? []).map((lot) => ({ ...lot, items: 0, left: 0 }));
  const sent = fakeServer({
    'GET /api/supplies': {
      supplies: [{ ...first, holdings, stock: { ...first?.stock, items: 0, left: 0 } }, ...greens.slice(1)],
    },
    'GET /api/wall': { roomName: 'Attic', units: [unit({ rules: { ...unit().rules, cap: 3 } })] },
    'GET /api/gaps': { ...GAPS, room: [] },
    'PUT /api/holdings/:id/place': { supply: first, change: change() },
  });
  show(<GapsScreen />);
  expect(await screen.findByText(/4 where 3 are meant/)).toBeTruthy();
  expect(screen.getByText(/^1 thing would have to leave; missed least: Green/)).toBeTruthy();
  expect(screen.getByText(/open spots? among 4 · full about/)).toBeTruthy();
  fireEvent.click(screen.getByRole('button', { name: 'Free the spot of Green 0' }));
  await waitFor(() => expect(sent.at(-1)?.body).toMatchObject({ place: null }));
});

test('what is half liked is kept for practice or let go, a format nobody reaches for says what it could become, one box is a challenge', async () => {
  mockParams = { about: 'unused' };
  const days = (ago: number): string => new Date(Date.now() - ago * 86_400_000).toISOString();
  const card = (id: string, form: string, ago: number, facts: object = {}) => {
    const made = supply({ id, name: `Card ${id}`, kind: 'cardstock', form, facts, createdAt: days(500) });
    return { ...made, stock: { ...made.stock, left: 10, uses: 2, used: 2, lastUsedAt: days(ago) } };
  };
  const all = [
    ...['a', 'b', 'c'].map((id) => card(id, 'pad-6', 400, {})),
    card('l', 'sheet-a4', 5),
    card('h', 'sheet-a4', 200, { whyUnused: 'do not like it' }),
  ];
  const sent = fakeServer({
    ...STASH,
    'GET /api/supplies': { supplies: all },
    'GET /api/gaps': { ...GAPS, unused: [] },
    'PUT /api/supplies/:id': ({ body }: { body: unknown }) => ({
      supply: { ...all[4], ...(body as object) },
      change: change(),
    }),
  });
  show(<GapsScreen />);
  expect(await screen.findByText('6 × 6 in pad: 3 things among your cardstock')).toBeTruthy();
  expect(screen.getByText(/none of it reached for in 13 months/)).toBeTruthy();
  expect(screen.getByText(/^you do not like it much/)).toBeTruthy();
  fireEvent.click(screen.getByRole('button', { name: 'Keep Card h for practice' }));
  await waitFor(() => expect(sent.at(-1)?.body).toMatchObject({ facts: { grade: 'practice' } }));
});

test('what is bought together shows in the stash, and can be said', async () => {
  mockParams = { about: 'partners' };
  const sent = fakeServer({
    ...STASH,
    'POST /api/records': ({ body }: { body: unknown }) => record((body as { body: object }).body),
  });
  show(<GapsScreen />);
  fireEvent.click(await screen.findByRole('button', { name: /^What you buy together: as your stash shows/ }));
  const refills = within(
    screen.getByRole('radiogroup', { name: /full pad and its refill: 0 of \d have it/ }),
  );
  fireEvent.click(refills.getByRole('radio', { name: 'never' }));
  await waitFor(() =>
    expect(sent.at(-1)?.body).toMatchObject({
      body: { sort: 'preferences', partnerHabits: { 'ink/full-pad ink/refill': 'never' } },
    }),
  );
});
