import { fireEvent, screen, waitFor } from '@testing-library/react';
import { LeavingScreen } from '../gaps/leaving/LeavingScreen';
import { leavingAsCsv, leavingAsText, sayAskedInAll } from '../gaps/leaving/list';
import { change, fakeServer, show, supply, unit } from './harness';

jest.mock('expo-router', () => ({
  ...jest.requireActual<object>('./router'),
  router: {},
  useLocalSearchParams: () => ({}),
}));

const asking = { minor: 450, currency: 'EUR' };
const leaving = supply({
  facts: { status: 'leaving', condition: 'used a little', packaging: true, asking },
});
const given = supply({ id: 's2', name: 'Kiln Door', facts: { status: 'leaving', grade: 'give away' } });

test('what leaves is listed with its condition, its packaging and what is asked for it', () => {
  const text = leavingAsText([leaving, given]).split('\n');
  expect(text[0]).toMatch(/^Marsh Lantern, .* – used a little, with its packaging – 4\.50 EUR$/);
  expect(text[1]).toMatch(/^Kiln Door, .* – condition not said – to give away$/);
  expect(leavingAsCsv([leaving]).split(/\r?\n/)[1]).toMatch(/,used a little,yes,4\.50 EUR$/);
  expect(sayAskedInAll([leaving, given])).toBe('4.50 EUR');
});

test('what is gone keeps what was said of it', async () => {
  const sent = fakeServer({
    'GET /api/supplies': { supplies: [leaving, supply({ id: 's3', name: 'Stays' })] },
    'GET /api/wall': { roomName: 'Attic', units: [unit({})] },
    'PUT /api/supplies/:id': { supply: leaving, change: change({ kind: 'supply' }) },
  });
  show(<LeavingScreen />);
  expect(await screen.findByText('4.50 EUR asked in all')).toBeTruthy();
  expect(screen.queryByText('Stays')).toBeNull();
  fireEvent.click(screen.getByRole('button', { name: 'Marsh Lantern is gone' }));
  await waitFor(() =>
    expect(sent.at(-1)?.body).toMatchObject({
      facts: { status: 'gone', condition: 'used a little', asking },
    }),
  );
});
