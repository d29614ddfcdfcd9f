import { fireEvent, screen, waitFor } from '@testing-library/react';
import { router } from 'expo-router';
import { BenchScreen } from '../bench/BenchScreen';
import { SettingsScreen } from '../settings/SettingsScreen';
import { isAt, MENU, placeAbove, PLACES } from '../ui/places';
import { change, fakeServer, press, record, show, supply, unit } from './harness';

jest.mock('expo-router', () => ({
  ...jest.requireActual<object>('./router'),
  router: { push: jest.fn() },
}));

const server = (more: Parameters<typeof fakeServer>[0]) =>
  fakeServer({
    'GET /api/supplies': { order: '', supplies: [supply()] },
    'GET /api/wall': { roomName: 'Room', units: [unit()] },
    'GET /api/records': { records: [] },
    ...more,
  });

test('every screen is below one place at most, and knows the way back to it', () => {
  const above = (path: string) => placeAbove(path)?.label;
  expect(['/stash/add', '/rack', '/storage', '/gaps/look', '/bench/kits', '/data/import'].map(above)).toEqual(
    ['Stash', 'Wall', 'Wall', 'Gaps', 'Bench', 'Data'],
  );
  for (const { path } of [...PLACES, ...MENU]) {
    expect(above(path)).toBeUndefined();
    expect([...PLACES, ...MENU].filter((place) => isAt(place, path))).toHaveLength(1);
  }
  expect(above('/stashed')).toBeUndefined();
});

test('settings: measures, currency, seasons, nudges; light or dark belongs to the device', async () => {
  const sent = server({
    'POST /api/records': { record: record('preferences', {}), change: change({ kind: 'record' }) },
  });
  const last = () => (sent.at(-1)?.body as { body: object }).body;
  show(<SettingsScreen />);
  fireEvent.click(await screen.findByRole('radio', { name: 'inches and ounces' }));
  await waitFor(() => expect(last()).toMatchObject({ units: 'inches' }));
  fireEvent.change(screen.getByLabelText('Currency'), { target: { value: 'us' } });
  expect(await screen.findByText(/three letters/)).toBeTruthy();
  fireEvent.change(screen.getByLabelText('Currency'), { target: { value: 'usd' } });
  press('Keep the currency');
  await waitFor(() => expect(last()).toMatchObject({ currency: 'USD' }));
  fireEvent.click(screen.getByRole('radio', { name: 'south of the equator' }));
  await waitFor(() => expect(last()).toMatchObject({ hemisphere: 'south' }));
  fireEvent.click(screen.getByRole('checkbox', { name: 'Never used' }));
  await waitFor(() => expect(last()).toMatchObject({ muted: ['unused'] }));
  const count = sent.length;
  fireEvent.click(screen.getByRole('radio', { name: 'dark' }));
  expect(document.documentElement.dataset.scheme).toBe('dark');
  fireEvent.click(screen.getByRole('radio', { name: 'as the device' }));
  expect(document.documentElement.dataset.scheme).toBe('light');
  expect(sent).toHaveLength(count);
});

test('the bench says what is out of its place, and leads to where it is put away', async () => {
  const out = supply({ id: 's9', name: 'Otter pair', place: { unitId: 'hand', slot: null } });
  server({ 'GET /api/supplies': { order: '', supplies: [out, supply()] } });
  show(<BenchScreen />);
  fireEvent.click(await screen.findByRole('button', { name: 'Put Otter pair away' }));
  expect(router.push).toHaveBeenCalledWith({ pathname: '/stash', params: { supply: 's9' } });
});
