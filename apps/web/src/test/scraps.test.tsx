import { fireEvent, screen, waitFor } from '@testing-library/react';
import { ScrapsScreen } from '../bench/ScrapsScreen';
import { change, fakeServer, show, supply, unit } from './harness';

jest.mock('expo-router', () => ({
  ...jest.requireActual<object>('./router'),
  router: {},
  useLocalSearchParams: () => ({}),
}));

const scrap = (id: string, cm: readonly [number, number], items: number) => ({
  ...{ id, version: 1, as: 'scrap' as const, items, left: 0, spot: null },
  sizeUm: { widthUm: cm[0] * 10_000, heightUm: cm[1] * 10_000 },
});

test('the smallest scrap that does is offered and used; what is too small to keep is counted', async () => {
  const card = supply({ id: 'c1', kind: 'cardstock', form: 'sheet-12', name: 'Fern Lane' });
  const holdings = [...card.holdings, scrap('a', [20, 15], 1), scrap('b', [9, 6], 2), scrap('c', [2, 8], 3)];
  const sent = fakeServer({
    'GET /api/supplies': { supplies: [{ ...card, holdings }] },
    'GET /api/wall': { roomName: 'Attic', units: [unit({})] },
    'POST /api/supplies/:id/ledger': { change: change({ kind: 'stock', name: 'Fern Lane', count: 1 }) },
  });
  show(<ScrapsScreen />);
  expect(await screen.findByText(/2 small ones, 1 large one/)).toBeTruthy();
  fireEvent.change(screen.getByRole('textbox', { name: 'How large' }), { target: { value: 'none' } });
  fireEvent.click(screen.getByRole('button', { name: 'Look for a scrap' }));
  expect(await screen.findByText(/Say width and height, such as/)).toBeTruthy();
  fireEvent.change(screen.getByRole('textbox', { name: 'How large' }), { target: { value: '5 x 8 cm' } });
  fireEvent.click(screen.getByRole('button', { name: 'Look for a scrap' }));
  const uses = await screen.findAllByRole('button', { name: /^Use the scrap of Fern Lane/ });
  expect(uses.map((each) => each.getAttribute('aria-label'))).toEqual([
    'Use the scrap of Fern Lane, 90 × 60 mm',
    'Use the scrap of Fern Lane, 200 × 150 mm',
  ]);
  fireEvent.click(uses[0]!);
  await waitFor(() => expect(sent.at(-1)?.body).toEqual({ act: 'use', amount: 1, of: 'scrap', lotId: 'b' }));
});

test('a remnant that is long enough is used, and what stays of it is kept', async () => {
  const ribbon = supply({ id: 'r1', kind: 'ribbon', form: 'spool', name: 'Moss Satin' });
  const remnant = (id: string, cm: number) => ({ ...scrap(id, [1, cm], 1) });
  const holdings = [...ribbon.holdings, remnant('short', 30), remnant('long', 90)];
  const sent = fakeServer({
    'GET /api/supplies': { supplies: [{ ...ribbon, holdings }] },
    'GET /api/wall': { roomName: 'Attic', units: [unit({})] },
    'POST /api/supplies/:id/ledger': { change: change({ kind: 'stock', name: 'Moss Satin', count: 1 }) },
  });
  show(<ScrapsScreen />);
  fireEvent.click(await screen.findByRole('radio', { name: 'remnants' }));
  expect(await screen.findByText(/1 of middle length, 1 long one/)).toBeTruthy();
  fireEvent.click(screen.getByText(/kept from/));
  fireEvent.change(screen.getByRole('textbox', { name: 'Small up to' }), { target: { value: '20 cm' } });
  fireEvent.click(screen.getByRole('button', { name: 'Keep these sizes' }));
  expect(
    await screen.findByText(/The limit for small scraps cannot be above the one for card size/),
  ).toBeTruthy();
  fireEvent.change(screen.getByRole('textbox', { name: 'How long' }), { target: { value: '50 cm' } });
  fireEvent.click(screen.getByRole('button', { name: 'Look for a remnant' }));
  fireEvent.click(await screen.findByRole('button', { name: /^Use the remnant of Moss Satin/ }));
  await waitFor(() =>
    expect(sent.at(-1)?.body).toEqual({
      ...{ act: 'cut', amount: 1, items: 0, left: 1, lotId: 'long' },
      pieces: [{ as: 'scrap', items: 1, sizeUm: { widthUm: 16_000, heightUm: 400_000 } }],
    }),
  );
});
