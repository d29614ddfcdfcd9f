import type { SupplyView } from '@red-shelf/contract';
import { fireEvent, screen, waitFor } from '@testing-library/react';
import { router } from 'expo-router';
import { NewRackScreen } from '../wall/unit/NewRackScreen';
import { SlotPanel } from '../wall/SlotPanel';
import { UnitDrawing } from '../draw/UnitDrawing';
import { change, fakeServer, living, show, supply, unit, wallOf } from './harness';

jest.mock('expo-router', () => ({
  ...jest.requireActual<object>('./router'),

  router: { push: jest.fn(), replace: jest.fn() },
  useLocalSearchParams: () => ({}),
}));

const RED = supply({
  id: 's2',
  name: 'Kiln Door',
  group: 'red',
  family: 'red',
  hex: '#b3262b',
  place: { unitId: 'u1', slot: 3 },
});
const SLOTS = [null, null, null, RED, supply(), null].map(living);
const stash = (supplies: SupplyView[]) => ({
  all: supplies,
  supplies,
  wall: wallOf([unit()], 'Attic'),
  byId: new Map(supplies.map((each) => [each.id, each])),
});
const panel = (slot: number, supplies: SupplyView[] = [RED, supply()]) => {
  const onChoose = jest.fn();
  const onClose = jest.fn();
  show(
    <SlotPanel
      unit={unit()}
      slots={SLOTS}
      choice={{ unitId: 'u1', slot }}
      stash={stash(supplies)}
      onChoose={onChoose}
      onClose={onClose}
    />,
  );
  return { onChoose, onClose };
};
const press = (name: string | RegExp) => fireEvent.click(screen.getByRole('button', { name }));

test('every slot is a button that says what lives there; one of them is in the tab order', () => {
  const select = jest.fn();
  show(<UnitDrawing unit={unit()} slots={SLOTS} scale={0.7} selected={4} onSelect={select} />);
  const slots = screen.getAllByRole('button');
  expect(slots.map((slot) => slot.getAttribute('aria-label'))).toEqual([
    'Slot B1·01, open',
    'Slot B1·02, open',
    'Slot B1·03, open',
    'Slot B2·01, Kiln Door, red, full pad, half',
    'Slot B2·02, Marsh Lantern, green, full pad, half',
    'Slot B2·03, open',
  ]);
  expect(slots.map((slot) => slot.tabIndex)).toEqual([-1, -1, -1, -1, 0, -1]);
  fireEvent.click(slots[3]!);
  expect(select).toHaveBeenCalledWith(3);
});

test('a drawing that is only looked at has no buttons', () => {
  show(<UnitDrawing unit={unit()} slots={SLOTS} scale={0.7} />);
  expect(screen.queryAllByRole('button')).toEqual([]);
});

test('what lives in a slot, what stands beside it, and the way to the next', () => {
  const { onChoose, onClose } = panel(4);
  expect(screen.getByRole('heading', { name: 'B2·02' })).toBeTruthy();
  expect(screen.getByText('Marsh Lantern')).toBeTruthy();
  expect(screen.getByText(/^Beside it: Kiln Door ΔE \d+\.\d$/)).toBeTruthy();
  press('The next slot');
  expect(onChoose).toHaveBeenLastCalledWith({ unitId: 'u1', slot: 5 });
  press('Close');
  expect(onClose).toHaveBeenCalled();
  press('Look closer');
  expect(router.push).toHaveBeenCalledWith({ pathname: '/stash', params: { supply: 's1' } });
});

test('from the last slot the next is the first, and before the first comes the last', () => {
  const last = panel(5);
  press('The next slot');
  expect(last.onChoose).toHaveBeenCalledWith({ unitId: 'u1', slot: 0 });
});

test('lifting a thing out leaves it without a place', async () => {
  const sent = fakeServer({
    'PUT /api/holdings/s1-lot/place': { supply: supply(), change: change({ kind: 'place' }) },
  });
  panel(4);
  press('Lift out');
  expect(await screen.findByText('Marsh Lantern moved.')).toBeTruthy();
  expect(sent[0]?.body).toEqual({ version: 2, place: null });
});

test('a rack is taken down from any of its slots, with a word on how to take it back', async () => {
  const sent = fakeServer({
    'POST /api/units/u1/remove': { change: change({ kind: 'unit', name: 'Pad rack' }) },
  });
  const { onClose } = panel(0, []);
  press('Take B Pad rack down');
  expect(await screen.findByText('Pad rack: the wall was changed.')).toBeTruthy();
  expect(screen.getByText('Undo')).toBeTruthy();
  expect(sent[0]?.body).toEqual({ version: 1 });
  expect(onClose).toHaveBeenCalled();
});

test('an open slot offers what fits it and has no place: the right kind, not too wide, not placed', async () => {
  const sent = fakeServer({
    'PUT /api/holdings/s5-lot/place': { supply: supply(), change: change({ kind: 'place', name: 'Loose' }) },
  });
  panel(0, [
    supply(),
    supply({ id: 's5', name: 'Loose', place: null }),
    supply({ id: 's6', name: 'Too Wide', form: 'wide-pad', place: null }),
    supply({ id: 's7', name: 'Other Kind', kind: 'marker', form: 'paint', place: null }),
  ]);
  expect(screen.getByText(/1 thing without a place would fit/)).toBeTruthy();
  expect(screen.queryByText('Too Wide')).toBeNull();
  expect(screen.queryByText('Other Kind')).toBeNull();
  press('Set Loose down here');
  await waitFor(() => expect(sent[0]?.body).toEqual({ version: 2, place: { unitId: 'u1', cell: 0 } }));
});

test('a rack is put up as its sort comes, or with other rows and columns; nonsense is refused', async () => {
  const sent = fakeServer({
    'POST /api/units': { unit: unit(), change: change({ kind: 'unit', name: 'Marker tray' }), lifted: [] },
  });
  show(<NewRackScreen />);
  expect(
    screen.getByText(/^60 slots, the first 10.2 cm × 22 mm × 70 mm inside; 53.4 cm wide in all/),
  ).toBeTruthy();
  expect(screen.getByText(/fix it to studs or proper anchors/)).toBeTruthy();
  press('Start from another');
  fireEvent.click(screen.getByRole('radio', { name: 'Marker tray' }));
  fireEvent.change(screen.getByLabelText('Rows'), { target: { value: '0' } });
  press('Put it up');
  expect(await screen.findByText(/⚠ Rows are counted from 1 to 60/)).toBeTruthy();
  fireEvent.change(screen.getByLabelText('Rows'), { target: { value: '3' } });
  press('Put it up');
  await waitFor(() => expect(router.replace).toHaveBeenCalledWith('/'));
  expect(sent.map(({ body }) => body)).toEqual([
    {
      template: 'marker-tray',
      name: 'Marker tray',
      model: expect.objectContaining({ rowsUm: [18_000, 18_000, 18_000], depthUm: 140_000, wallUm: 3000 }),
      rules: { kinds: ['marker'] },
      parentId: 'room',
      facts: {},
    },
  ]);
});
