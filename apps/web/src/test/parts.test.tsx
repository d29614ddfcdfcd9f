import { fireEvent, screen, waitFor } from '@testing-library/react';
import { PackScreen } from '../intake/PackScreen';
import { PileScreen } from '../intake/PileScreen';
import { BatchBar } from '../stash/BatchBar';
import { Manage } from '../supply/Manage';
import { PartActs } from '../supply/PartActs';
import { Swatches } from '../supply/Swatches';
import { change, fakeServer, record, show, supply, unit } from './harness';

jest.mock('expo-router', () => ({
  ...jest.requireActual<object>('./router'),

  router: { push: jest.fn(), replace: jest.fn(), setParams: jest.fn() },
  useLocalSearchParams: () => ({ session: 'r1' }),
}));

const press = (name: string | RegExp) => fireEvent.click(screen.getByRole('button', { name }));
const type = (label: string, text: string) =>
  fireEvent.change(screen.getByLabelText(label), { target: { value: text } });
const answer = { supply: supply(), change: change() };
const card = supply({
  kind: 'cardstock',
  form: 'sheet-12',
  stock: { items: 6, left: 6, parts: { pack: 1, base: 2 }, state: 'ok', uses: 1, lastUsedAt: null },
  facts: { status: 'retired', attributes: { perPack: 24 } },
});

const album = record('r1', {
  sort: 'group',
  what: 'project',
  name: 'Album',
  note: '',
  source: '',
  acquiredOn: null,
  members: [{ supplyId: 's1', amount: 2 }],
  matches: [],
  dissolvedOn: null,
  home: null,
});

beforeEach(() => localStorage.clear());

test('a pack is opened into its sheets, and sheets are cut into bases and scraps', async () => {
  const sent = fakeServer({ 'POST /api/supplies/s1/ledger': answer });
  show(<PartActs heldFor={{}} supply={card} />);
  expect(screen.getByText(/1 unopened pack · 2 cut bases/)).toBeTruthy();
  press('Open a pack');
  press('Note it: opened');
  await waitFor(() => expect(sent[0]?.body).toEqual({ act: 'open', amount: 1, left: 24 }));
  press('Cut');
  expect(screen.getByText(/retired and cannot be bought again/)).toBeTruthy();
  type('Sheets to cut', 'two');
  press('Note it: cut');
  expect(await screen.findByText(/Give a whole number/)).toBeTruthy();
  type('Sheets to cut', '2');
  type('Scraps kept', '1');
  press('Note it: cut');
  await waitFor(() => expect(sent[1]?.body).toEqual({ act: 'cut', amount: 2, items: 2, left: 1 }));
  press('Use a base');
  await waitFor(() => expect(sent[2]?.body).toEqual({ act: 'use', amount: 1, of: 'base' }));
});

test('what is put aside must be there, and is kept with its project', async () => {
  const sent = fakeServer({
    'GET /api/records': { records: [album] },
    'POST /api/records': { record: album, change: change({ kind: 'record' }) },
    'PUT /api/records/r1': { record: album, change: change({ kind: 'record' }) },
  });
  show(<Manage supply={card} onEdit={jest.fn()} onRemoved={jest.fn()} />);
  press('More acts');
  press('Put aside');
  press('Put it aside');
  expect(await screen.findByText(/Name the project/)).toBeTruthy();
  type('For the project', 'Tags');
  type('How much', '500');
  press('Put it aside');
  expect(await screen.findByText(/more than is left and free/)).toBeTruthy();
  type('How much', '4');
  press('Put it aside');
  const members = (amount: number) => [{ supplyId: 's1', amount }];
  await waitFor(() =>
    expect(sent[0]).toMatchObject({
      path: '/api/records',
      body: { body: { what: 'project', name: 'Tags', members: members(4) } },
    }),
  );
  // A project that is there keeps so much more, however it is typed.
  press('Put aside');
  type('For the project', 'album');
  type('How much', '3');
  press('Put it aside');
  await waitFor(() =>
    expect(sent[1]).toMatchObject({
      path: '/api/records/r1',
      body: { version: 2, body: { name: 'Album', members: members(5) } },
    }),
  );
  press('Free what is put aside for Album');
  await waitFor(() => expect(sent[2]).toMatchObject({ body: { body: { members: members(0) } } }));
});

test('a swatch typed in is kept as the true colour; another can be made true or dropped', async () => {
  const swatch = { id: 'a', hex: '#112233', made: 'stamped', ground: 'white', taken: 'typed' } as const;
  const sent = fakeServer({ 'PUT /api/supplies/s1': answer });
  show(<Swatches supply={supply({ facts: { swatches: [swatch], lidColour: true } })} />);
  expect(screen.getByText(/only the lid’s/)).toBeTruthy();
  press('Make stamped on white the true colour');
  await waitFor(() => expect(sent[0]?.body).toMatchObject({ facts: { trueSwatch: 'a', lidColour: false } }));
  press('Drop the swatch stamped on white');
  await waitFor(() => expect(sent[1]?.body).toMatchObject({ facts: { swatches: [] } }));
  press('Add a swatch');
  press('Keep as the true colour');
  expect(await screen.findByText(/Take the colour first/)).toBeTruthy();
  fireEvent.click(screen.getByRole('radio', { name: 'blended' }));
  fireEvent.click(screen.getByRole('radio', { name: 'kraft' }));
  type('Swatch colour', 'teal');
  press('Keep as the true colour');
  await waitFor(() => expect(sent).toHaveLength(3));
  const { facts } = sent[2]?.body as { facts: { swatches: { id: string }[]; trueSwatch: string } };
  expect(facts.swatches[1]).toMatchObject({
    hex: '#029386',
    made: 'blended',
    ground: 'kraft',
    taken: 'typed',
  });
  expect(facts.trueSwatch).toBe(facts.swatches[1]?.id);
});

test('a batch sends only what was filled in, with the versions that were seen', async () => {
  const sent = fakeServer({ 'POST /api/supplies/batch': { change: change({ kind: 'batch', count: 2 }) } });
  const done = jest.fn();
  show(<BatchBar chosen={[supply(), supply({ id: 's2', version: 9 })]} onAll={jest.fn()} onDone={done} />);
  press('Change');
  fireEvent.click(screen.getByRole('radio', { name: 'leaving' }));
  type('Add tags', 'fair, box');
  press('Change 2 supplies');
  await waitFor(() => expect(done).toHaveBeenCalled());
  expect(sent[0]?.body).toEqual({
    supplies: [
      { id: 's1', version: 3 },
      { id: 's2', version: 9 },
    ],
    set: { status: 'leaving', addTags: ['fair', 'box'] },
  });
});

test('a mixed pack: every lot is checked, nothing is sent until all is well', async () => {
  const sent = fakeServer({
    'GET /api/records': { records: [] },
    'POST /api/supplies/many': { ids: ['a'], change: change({ kind: 'pack' }) },
  });
  show(<PackScreen />);
  press('Add 0 lots');
  expect(await screen.findByText(/The name is missing/)).toBeTruthy();
  expect(screen.getByText(/Name at least one lot/)).toBeTruthy();
  type('Pack', 'Autumn');
  type('Price of the pack', '12,50');
  type('Name of lot 1', 'Rust');
  type('Colour of lot 1', '#a04020');
  type('How many in lot 1', '8');
  press('Add 1 lot');
  await waitFor(() => expect(sent).toHaveLength(1));
  expect(sent[0]?.body).toMatchObject({
    supplies: [{ name: 'Rust', hex: '#a04020', kind: 'cardstock', count: { items: 8, left: 8 } }],
    pack: { what: 'pack', name: 'Autumn', price: { minor: 1250, currency: 'EUR' } },
  });
});

test('a thing of a pile carries what the pile shares, and the pile remembers it', async () => {
  const body = {
    sort: 'session',
    what: 'pile',
    name: 'Ribbons',
    kind: 'ribbon',
    form: 'spool',
    shared: { maker: 'Brindlebobbin', a_material: 'satin' },
    finishedOn: null,
  };
  const record = { id: 'r1', version: 5, createdAt: '2026-01-01', updatedAt: '2026-01-01', body };
  const sent = fakeServer({
    'GET /api/records': { records: [record] },
    'GET /api/supplies': { order: '', supplies: [] },
    'GET /api/wall': { roomName: '', units: [unit()] },
    'POST /api/supplies': { supply: supply({ id: 's9' }), change: change({ kind: 'add', name: 'Sash' }) },
    'PUT /api/records/r1': { record, change: change({ kind: 'record' }) },
  });
  show(<PileScreen />);
  await screen.findByText('0 entered');
  type('Name', 'Sash');
  type('Colour', '#a04020');
  press('Add it, and the next one');
  await waitFor(() => expect(sent).toHaveLength(2));
  expect(sent[0]?.body).toMatchObject({
    kind: 'ribbon',
    maker: 'Brindlebobbin',
    facts: { attributes: { material: 'satin' } },
    count: { items: 1, left: 9_000_000 },
  });
  expect(sent[1]?.body).toMatchObject({
    body: { sort: 'done', sessionId: 'r1', entries: [{ supplyId: sent[0]?.command, verdict: null }] },
  });
});
