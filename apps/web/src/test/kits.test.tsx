import { fireEvent, screen, waitFor } from '@testing-library/react';
import { useLocalSearchParams } from 'expo-router';
import { KitsScreen } from '../bench/KitsScreen';
import { change, fakeServer, press, record, show, supply, unit } from './harness';

jest.mock('expo-router', () => ({
  ...jest.requireActual<object>('./router'),

  router: { push: jest.fn(), replace: jest.fn(), setParams: jest.fn() },
  useLocalSearchParams: jest.fn(),
}));

const kit = record('r4', {
  sort: 'group',
  what: 'kit',
  name: 'Winter cards',
  note: '',
  source: 'the fair',
  acquiredOn: '2026-01-01',
  price: { minor: 1250, currency: 'EUR' },
  members: [{ supplyId: 's1', amount: 1 }],
  matches: ['s2'],
  dissolvedOn: null,
});

const server = () =>
  fakeServer({
    'GET /api/supplies': {
      order: '',
      supplies: [supply(), supply({ id: 's2', name: 'Kiln Red', place: null })],
    },
    'GET /api/wall': { roomName: 'Room', units: [unit()] },
    'GET /api/records': { records: [kit] },
    'PUT /api/records/r4': { record: kit, change: change({ kind: 'record' }) },
  });

test('a kit shows what is in it and what goes with it, and is dissolved without losing either', async () => {
  (useLocalSearchParams as jest.Mock).mockReturnValue({ group: 'r4' });
  const sent = server();
  show(<KitsScreen />);
  expect(await screen.findByText('12.50 EUR, from the fair')).toBeTruthy();
  // In it, and on its pull list.
  expect(screen.getAllByText('Marsh Lantern')).toHaveLength(2);
  expect(screen.getByText('Kiln Red')).toBeTruthy();
  press('Dissolve…');
  // What it keeps back is said before it is free.
  expect(screen.getByText(/^1 free again · /)).toBeTruthy();
  press('Dissolve it');
  await waitFor(() => expect(sent).toHaveLength(1));
  expect(sent[0]?.body).toMatchObject({
    version: 2,
    body: {
      members: [{ supplyId: 's1' }],
      matches: ['s2'],
      dissolvedOn: expect.stringMatching(/^\d{4}-\d\d-\d\d$/),
    },
  });
});

test('of a kit can be changed how much it keeps of each, its name, date, source and price', async () => {
  (useLocalSearchParams as jest.Mock).mockReturnValue({ group: 'r4' });
  const sent = server();
  show(<KitsScreen />);
  fireEvent.change(await screen.findByLabelText('Uses kept of Marsh Lantern'), { target: { value: '12' } });
  press('Keep so much');
  await waitFor(() => expect(sent).toHaveLength(1));
  expect(sent[0]?.body).toMatchObject({ body: { members: [{ supplyId: 's1', amount: 12 }] } });
  press('Change what it is');
  fireEvent.change(screen.getByLabelText('Name'), { target: { value: 'Spring cards' } });
  fireEvent.change(screen.getByLabelText('Price'), { target: { value: '900 JPY' } });
  press('Keep it so');
  await waitFor(() => expect(sent).toHaveLength(2));
  expect(sent[1]?.body).toMatchObject({
    body: { name: 'Spring cards', price: { minor: 900, currency: 'JPY' }, source: 'the fair' },
  });
});

test('a kit says which part is missing, and a travel list asks for what is still out', async () => {
  (useLocalSearchParams as jest.Mock).mockReturnValue({ group: 'r4' });
  const members = ['s1', 's2'].map((supplyId) => ({ supplyId, amount: 1 }));
  const whole = (more: object) => ({ ...kit, body: { ...kit.body, members, matches: [], ...more } });
  const room = (body: object) =>
    fakeServer({
      'GET /api/supplies': { supplies: [supply(), supply({ id: 's2', name: 'Kiln Red', place: null })] },
      'GET /api/wall': { roomName: 'Room', units: [unit()] },
      'GET /api/records': { records: [body] },
      'PUT /api/records/r4': { record: body, change: change({ kind: 'record' }) },
    });
  const sent = room(whole({ away: ['s2'] }));
  const { unmount } = show(<KitsScreen />);
  expect(await screen.findByText('1 part of 2 missing: Kiln Red.')).toBeTruthy();
  fireEvent.click(screen.getByRole('button', { name: 'Kiln Red earlier' }));
  await waitFor(() =>
    expect(sent[0]?.body).toMatchObject({ body: { members: [{ supplyId: 's2' }, { supplyId: 's1' }] } }),
  );
  unmount();
  const out = room(whole({ what: 'travel', away: ['s2'], awaySince: new Date().toISOString() }));
  show(<KitsScreen />);
  expect(await screen.findByText(/^Out for .*: 1 thing of 2 to come back, Kiln Red\.$/)).toBeTruthy();
  // What comes back last ends the journey.
  fireEvent.click(screen.getByRole('button', { name: 'Kiln Red: it is back' }));
  await waitFor(() => expect(out[0]?.body).toMatchObject({ body: { away: [], awaySince: null } }));
});

test('a project is packed into its envelope, is said to be there, and puts back what is left when it is closed', async () => {
  (useLocalSearchParams as jest.Mock).mockReturnValue({ group: 'r4' });
  const held = supply({ name: 'Otter pair', place: { unitId: 'hand', slot: null } });
  const made = supply({ id: 's2', name: 'Otter fronts', kind: 'companion', form: 'half-made' });
  const project = {
    ...kit,
    body: {
      ...{ ...kit.body, what: 'project', name: 'Otter cards', matches: [] },
      members: [{ supplyId: held.id, amount: 1 }],
    },
  };
  const lotId = held.holdings[0]?.id;
  const room = (body: object) =>
    fakeServer({
      'GET /api/supplies': { supplies: [held, made] },
      'GET /api/wall': { roomName: 'Room', units: [unit()] },
      'GET /api/records': { records: [body] },
      'GET /api/bench': {
        out: [
          { holdingId: lotId, since: new Date().toISOString(), from: { unitId: 'u1', cell: 2, rank: 0 } },
        ],
      },
      'PUT /api/records/r4': { record: body, change: change({ kind: 'record' }) },
      'POST /api/holdings/moves': { change: change() },
    });
  const sent = room(project);
  const { unmount } = show(<KitsScreen />);
  await screen.findByRole('button', { name: /^Pack 1 thing/ });
  press('Pack 1 thing into its envelope');
  await waitFor(() => expect(sent[0]?.body).toMatchObject({ body: { away: [held.id] } }));
  // What was begun for a job like it is offered.
  press('Take Otter fronts for it');
  await waitFor(() =>
    expect(sent.at(-1)?.body).toMatchObject({ body: { members: [{}, { supplyId: 's2' }] } }),
  );
  unmount();
  const packed = { ...project.body, away: [held.id], awaySince: new Date().toISOString() };
  const then = room({ ...project, body: packed });
  show(<KitsScreen />);
  expect(await screen.findByText(/1 thing packed into its envelope/)).toBeTruthy();
  expect(screen.getByText(/packed with “Otter cards”/)).toBeTruthy();
  press('Close it…');
  await screen.findByRole('button', { name: /^Close it, 1 thing/ });
  press('Close it, 1 thing back in place');
  await waitFor(() => expect(then).toHaveLength(2));
  expect(then[0]?.body).toMatchObject({ moves: [{ id: lotId, place: { unitId: 'u1', cell: 2 } }] });
  expect(then[1]?.body).toMatchObject({ body: { away: [], awaySince: null } });
});
