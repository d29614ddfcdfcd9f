import { screen, waitFor } from '@testing-library/react';
import { useLocalSearchParams } from 'expo-router';
import { KitsScreen } from '../groups/KitsScreen';
import { AddScreen } from '../stash/AddScreen';
import { Dormant } from '../stash/Dormant';
import { EditForm } from '../stash/EditForm';
import { Needs } from '../storage/Needs';
import { Refused, change, fakeServer, press, show, supply, type, unit } from './harness';

jest.mock('expo-router', () => ({
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
  expect(screen.getByText('Say what it was for, such as the school fair.')).toBeTruthy();
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
