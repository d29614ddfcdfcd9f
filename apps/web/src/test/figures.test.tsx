import { fireEvent, screen } from '@testing-library/react';
import { FiguresScreen } from '../gaps/figures/FiguresScreen';
import { fakeServer, show, supply, unit } from './harness';

jest.mock('expo-router', () => ({
  ...jest.requireActual<object>('./router'),
  router: {},
  useLocalSearchParams: () => ({}),
}));

const month = (kind: string, at: string, bought: number, used: number) => ({ month: at, kind, bought, used });

test('each chart says what it shows, and has the same as a table', async () => {
  fakeServer({
    'GET /api/supplies': { supplies: [supply(), supply({ id: 's2', kind: 'marker', form: 'alcohol-dual' })] },
    'GET /api/wall': { roomName: 'Attic', units: [unit({})] },
    'GET /api/figures': {
      months: [
        month('ink', '2026-04', 60, 12),
        month('ink', '2026-05', 0, 20),
        month('marker', '2026-04', 0, 4),
      ],
      rates: [
        {
          ...{ kind: 'ink', group: null, perDay: 0.5, left: 60 },
          runsOut: { median: '2026-10-01', low: '2026-08-01', high: '2027-01-01' },
        },
      ],
      worth: [],
    },
    'GET /api/gaps': {
      running: [],
      colours: [],
      ranges: [],
      partners: [],
      unused: [],
      doubles: [],
      room: [],
    },
  });
  show(<FiguresScreen />);
  expect(
    await screen.findByText(/^In twelve months 60 uses bought, 32 uses used; most in May 2026\./),
  ).toBeTruthy();
  expect(screen.getByText(/^All of it together: about 15 uses a month, used up about Oct 2026/)).toBeTruthy();
  expect(screen.getByText('More comes in than is used of inks.')).toBeTruthy();
  expect(screen.getByText(/^No price is known of anything/)).toBeTruthy();
  fireEvent.click(screen.getByRole('button', { name: 'Inks, month by month: as a table' }));
  const rows = screen.getByRole('table', { name: 'Inks, month by month' }).textContent;
  expect(rows).toBe('MonthBoughtUsed2026-0460 uses12 uses2026-050 uses20 uses');
});
