import { fireEvent, screen, waitFor } from '@testing-library/react';
import { DataScreen } from '../data/DataScreen';
import { chooseFile } from '../ui/files';
import { ImportScreen } from '../data/ImportScreen';
import { change, fakeServer, Refused, show } from './harness';

jest.mock('expo-router', () => ({
  ...jest.requireActual<object>('./router'),
  router: { push: jest.fn(), replace: jest.fn() },
}));
jest.mock('../ui/files', () => ({ chooseFile: jest.fn(), saveFrom: jest.fn() }));

beforeEach(() => localStorage.clear());

const file = (name: string) => ({ name, size: 100 }) as File;
const choosing = (name: string) => jest.mocked(chooseFile).mockResolvedValueOnce(file(name));
const press = (name: string) => fireEvent.click(screen.getByRole('button', { name }));

const UPLOAD = {
  id: 'i1',
  encoding: 'windows-1252',
  delimiter: ';',
  headings: ['Shade', 'Ton'],
  sample: [['Fern', '#3a7']],
  rows: 3,
  mapping: { name: 0 },
};
const row = (line: number, more: object) => ({
  line,
  verdict: 'add',
  name: `Row ${line}`,
  hex: '#333333',
  fields: [],
  refusals: [],
  sameAsLine: null,
  noSuchPlace: null,
  ...more,
});
const PREVIEW = {
  rows: [
    row(2, {}),
    row(3, { verdict: 'change', fields: ['colour', 'quantity'] }),
    row(4, {
      verdict: 'refuse',
      hex: null,
      refusals: [{ field: 'colour', code: 'not_a_colour', given: 'greenish' }],
    }),
  ],
  add: 1,
  change: 1,
  same: 0,
  refuse: 1,
  token: 't1',
};
const progress = (state: string, done: number) => ({
  state,
  done,
  total: 2,
  changeId: state === 'done' ? 'c7' : null,
  reason: null,
});

async function uploaded(answers: Parameters<typeof fakeServer>[0]) {
  const sent = fakeServer({
    'POST /api/imports': UPLOAD,
    'POST /api/imports/i1/preview': PREVIEW,
    ...answers,
  });
  show(<ImportScreen />);
  choosing('mine.csv');
  press('Choose a CSV');
  await screen.findByText('mine.csv: 3 rows, parted by semicolons, windows-1252');
  return sent;
}

test('a column is given its meaning by hand, and the preview follows', async () => {
  const sent = await uploaded({});
  press('Column Ton: left out');
  fireEvent.click(await screen.findByText('Colour'));
  await waitFor(() =>
    expect(sent.at(-1)?.body).toEqual({ mapping: { name: 0, colour: 1 }, defaults: { kind: 'ink' } }),
  );
  fireEvent.click(screen.getByRole('radio', { name: 'Ribbons' }));
  await waitFor(() => expect(sent.at(-1)?.body).toMatchObject({ defaults: { kind: 'ribbon' } }));
});

test('refused rows keep the import shut until they are left out on purpose; then it runs to its end', async () => {
  let asked = 0;
  const sent = await uploaded({
    'POST /api/imports/i1/commit': progress('running', 0),
    'GET /api/imports/i1': () => (asked++ === 0 ? progress('running', 1) : progress('done', 2)),
  });
  const start = await screen.findByRole('button', { name: 'Import 2 supplies' });
  fireEvent.click(start);
  expect(sent.some(({ path }) => path.endsWith('commit'))).toBe(false);
  fireEvent.click(screen.getByRole('checkbox', { name: /Leave the 1 refused row out/ }));
  press('Import 2 supplies');
  expect(await screen.findByText(/Importing: [01] of 2/)).toBeTruthy();
  expect(await screen.findByText('2 supplies brought in.', {}, { timeout: 4000 })).toBeTruthy();
  expect(sent.find(({ path }) => path.endsWith('commit'))?.body).toMatchObject({
    token: 't1',
    leaveOutRefused: true,
  });
});

test('an import can be broken off, and says that nothing was written', async () => {
  let cancelled = false;
  const state = () => progress(cancelled ? 'cancelled' : 'running', 0);
  await uploaded({
    'POST /api/imports/i1/preview': { ...PREVIEW, refuse: 0 },
    'POST /api/imports/i1/commit': state,
    'GET /api/imports/i1': state,
    'DELETE /api/imports/i1': () => {
      cancelled = true;
      return state();
    },
  });
  fireEvent.click(await screen.findByRole('button', { name: 'Import 2 supplies' }));
  fireEvent.click(await screen.findByRole('button', { name: 'Cancel' }));
  expect(await screen.findByText('Cancelled. Nothing was written.', {}, { timeout: 4000 })).toBeTruthy();
});

test('a file that cannot be read says why, and another can be chosen', async () => {
  fakeServer({
    'POST /api/imports': new Refused({ status: 422, code: 'csv_empty', title: 'The file is empty.' }),
  });
  show(<ImportScreen />);
  choosing('empty.csv');
  press('Choose a CSV');
  expect(await screen.findByText('The file is empty.')).toBeTruthy();
  expect(screen.getByRole('button', { name: 'Choose a CSV' })).toBeTruthy();
});

test('replacing the stash asks first; keeping what is here sends nothing', async () => {
  const sent = fakeServer({ 'POST /api/restore': { change: change({ kind: 'restore', count: 7 }) } });
  show(<DataScreen />);
  choosing('old.json');
  press('Choose a backup or document');
  expect(await screen.findByText('Replace everything by “old.json”?')).toBeTruthy();
  press('Keep what is here');
  expect(sent).toEqual([]);
  choosing('old.json');
  press('Choose a backup or document');
  fireEvent.click(await screen.findByRole('button', { name: 'Replace' }));
  expect(await screen.findByText('The stash was replaced: 7 supplies.')).toBeTruthy();
  expect(sent.map(({ path }) => path)).toEqual(['/api/restore']);
});
