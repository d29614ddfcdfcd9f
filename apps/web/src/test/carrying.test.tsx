import { labelPrint, labelPrints, slotLabels } from '@red-shelf/core';
import { planOf } from '@red-shelf/contract';
import { fireEvent, screen, waitFor } from '@testing-library/react';
import { router } from 'expo-router';
import { labelled } from '../judge/labelled';
import { PlanScreen } from '../arrange/plan/PlanScreen';
import { change, fakeServer, record, show, supply, unit, type Sent } from './harness';

jest.mock('expo-router', () => ({
  ...jest.requireActual<object>('./router'),
  router: { push: jest.fn(), replace: jest.fn() },
  useLocalSearchParams: () => ({ plan: 'p1' }),
}));

const SHELF = unit({
  ...{ id: 'shelf', label: 'S', name: 'Shelf' },
  model: {
    ...{ model: 'run', how: 'stand', lengthUm: 900_000, heightUm: 300_000, depthUm: 300_000 },
    ...{ lipUm: 0, fingerUm: 0 },
  },
});
const on = (unitId: string, cell: number | null, rank = 0) => ({ unitId, cell, rank });
const thing = (id: string, name: string, spot: ReturnType<typeof on> | null) => {
  const made = supply({ id, name, place: spot && { unitId: spot.unitId, slot: spot.cell } });
  return { ...made, holdings: made.holdings.map((lot) => ({ ...lot, spot })) };
};
type Move = Parameters<typeof planOf>[1][number];
const plan = (...moves: Move[]) => record('p1', planOf('Rack and shelf', moves));

function opened(
  things: readonly ReturnType<typeof thing>[],
  body: ReturnType<typeof plan>,
  rack = unit(),
): Sent[] {
  const sent = fakeServer({
    'GET /api/supplies': { supplies: things },
    'GET /api/wall': { roomName: 'Attic', units: [rack, SHELF] },
    'GET /api/records': { records: [body] },
    ...Object.fromEntries(
      things.map((each) => [
        `PUT /api/holdings/${each.id}-lot/place`,
        { supply: each, change: change({ kind: 'place' }) },
      ]),
    ),
    'POST /api/records/p1/remove': { change: change({ kind: 'record' }) },
    'PUT /api/records/p1': { record: body, change: change({ kind: 'record' }) },
  });
  show(<PlanScreen />);
  return sent;
}

test('a lift says what, from where to where, and is set down right before what comes after it', async () => {
  const things = [
    thing('a', 'Fern', on('u1', 0)),
    thing('b', 'Gorse', on('shelf', null, 0)),
    thing('c', 'Haw', on('shelf', null, 1)),
  ];
  const sent = opened(
    things,
    plan(
      { lotId: 'b-lot', from: on('shelf', null, 0), to: on('shelf', null, 0) },
      { lotId: 'a-lot', from: on('u1', 0), to: on('shelf', null, 1) },
      { lotId: 'c-lot', from: on('shelf', null, 1), to: on('shelf', null, 2) },
    ),
  );
  expect(await screen.findByRole('region', { name: 'Lift Fern from B1·01 to S' })).toBeTruthy();
  expect(screen.getByText('1 lift to go')).toBeTruthy();
  expect(screen.getByText('Between the others, right before Haw.')).toBeTruthy();
  fireEvent.click(screen.getByRole('button', { name: /^Done/ }));
  // A second tap in haste is none.
  fireEvent.click(screen.getByRole('button', { name: /^Done/ }));
  await waitFor(() => expect(sent).toHaveLength(1));
  expect(sent[0]?.body).toEqual({ version: 2, place: { unitId: 'shelf', cell: null, before: 'c-lot' } });
});

test('what came in the way, and what has no place any more, is said and left; two that change places go by way of the desk', async () => {
  const things = [
    thing('a', 'Fern', on('u1', 0)),
    thing('b', 'Gorse', on('u1', 1)),
    thing('c', 'Haw', on('u1', 2)),
    thing('d', 'Own', on('u1', 3)),
    thing('e', 'Rowan', on('u1', 4)),
  ];
  opened(
    things,
    plan(
      { lotId: 'a-lot', from: on('u1', 0), to: on('u1', 1) },
      { lotId: 'b-lot', from: on('u1', 1), to: on('u1', 0) },
      { lotId: 'c-lot', from: on('u1', 2), to: on('u1', 3) },
      { lotId: 'e-lot', from: on('u1', 4), to: on('taken down', 0) },
    ),
  );
  expect(await screen.findByText(/their place was taken meanwhile: Haw \(Own stands there\)/)).toBeTruthy();
  expect(screen.getByText(/their place is there no more: Rowan\. Plan anew/)).toBeTruthy();
  expect(screen.getByText('3 lifts to go')).toBeTruthy();
  expect(screen.getByRole('region', { name: /^Lift .* to the desk$/ })).toBeTruthy();
  expect(screen.getByText(/It only lies there meanwhile/)).toBeTruthy();
  // Enter presses what has the focus; without a focus it would mean the lift.
  screen.getByRole('button', { name: 'Put this one off' }).focus();
  fireEvent.keyDown(document.activeElement ?? document.body, { key: 'Enter' });
  expect(screen.getByText('3 lifts to go')).toBeTruthy();
  // Put off, it comes last: nothing else can be done before it.
  fireEvent.click(screen.getByRole('button', { name: 'Put this one off' }));
  expect(screen.getByText('3 lifts to go')).toBeTruthy();
});

test('once all of it stands it is kept so, or all of it is put back', async () => {
  const things = [thing('a', 'Fern', on('u1', 1))];
  // Its labels were printed when the thing stood where it came from.
  const printed = slotLabels(unit(), labelled([{ supply: things[0]!, lot: things[0]!.holdings[0]! }]));
  const sent = opened(
    things,
    plan({ lotId: 'a-lot', from: on('u1', 0), to: on('u1', 1) }),
    unit({
      facts: { labelled: { on: '2026-01-01', print: labelPrint(printed), each: labelPrints(printed) } },
    }),
  );
  expect(await screen.findByText('All of it is done.')).toBeTruthy();
  fireEvent.click(
    screen.getByRole('button', { name: /^2 labels of B Pad rack say something else than what is there/ }),
  );
  expect(router.push).toHaveBeenCalledWith({ pathname: '/storage', params: { unit: 'u1' } });
  fireEvent.click(screen.getByRole('button', { name: /^Put everything back/ }));
  await waitFor(() => expect(sent).toHaveLength(1));
  expect(sent[0]?.body).toMatchObject({
    body: { sort: 'plan', units: ['u1'], moves: [['a-lot', [0, 1, 0], [0, 0, 0]]] },
  });
  fireEvent.click(await screen.findByRole('button', { name: 'Keep it so' }));
  await waitFor(() => expect(router.replace).toHaveBeenCalledWith('/arrange'));
});
