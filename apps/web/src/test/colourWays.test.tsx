import { fireEvent, screen, waitFor } from '@testing-library/react';
import { useState } from 'react';
import { View } from 'react-native';
import { ColourWays } from '../colour/ColourWays';
import { handlePhoto } from '../colour/photoWork';
import type { TakenColour } from '../colour/taken';
import { FamilyAsk } from '../form/FamilyAsk';
import { FilterBar, FiltersInUse } from '../stash/FilterBar';
import { filtersOf, type Filters } from '../stash/filters';
import { DateField } from '../ui/DateField';
import { fakeServer, Refused, show, supply } from './harness';

const press = (name: string | RegExp) => fireEvent.click(screen.getByRole('button', { name }));
const pick = (name: string) => fireEvent.click(screen.getByRole('radio', { name }));
const slide = (name: string, value: number) =>
  fireEvent.change(screen.getByRole('slider', { name }), { target: { value: String(value) } });

test('a name is suggested by the server and taken with one tap', async () => {
  const sent = fakeServer({ 'POST /api/colour-names': { names: [{ name: 'Moss', hex: '#8a9a5b' }] } });
  const taken = jest.fn();
  show(<ColourWays hex="#999999" onTake={taken} />);
  fireEvent.change(screen.getByLabelText('Colour name'), { target: { value: 'mo' } });
  fireEvent.click(await screen.findByRole('button', { name: 'Take Moss' }));
  expect(taken).toHaveBeenCalledWith({ hex: '#8a9a5b', taken: 'name' });
  expect(sent[0]?.body).toEqual({ query: 'mo' });
});

test('the wheel starts at the colour that is there, and every slider moves it', () => {
  fakeServer({});
  const taken = jest.fn();
  show(<ColourWays hex="#3468b0" onTake={taken} start="Wheel" />);
  expect(screen.getByRole('button', { name: /^Take #3[34]6[789]/ })).toBeTruthy();
  slide('Grey to vivid', 0);
  slide('Light to dark', 100);
  press(/^Take #/);
  expect(taken).toHaveBeenLastCalledWith({ hex: '#000000', taken: 'wheel' });
  slide('Light to dark', 0);
  press(/^Take #/);
  expect(taken).toHaveBeenLastCalledWith({ hex: '#ffffff', taken: 'wheel' });
  slide('Light to dark', 50);
  slide('Grey to vivid', 60);
  slide('Hue', 140);
  press(/^Take #/);
  const { hex } = taken.mock.lastCall?.[0] as TakenColour;
  const [r, g, b] = [1, 3, 5].map((i) => parseInt(hex.slice(i, i + 2), 16));
  expect(g).toBeGreaterThan(Math.max(r ?? 0, b ?? 0));
});

test('the reader takes three readings and hands on their mean with the spread', async () => {
  let n = 0;
  const labs = [
    { l: 50, a: 10, b: 10 },
    { l: 51, a: 10, b: 10 },
    { l: 52, a: 10, b: 10 },
  ];
  fakeServer({ 'POST /api/devices/reader': () => ({ hex: '#888888', lab: labs[n++] ?? labs[0]! }) });
  const taken = jest.fn();
  show(<ColourWays hex="#999999" onTake={taken} start="Reader" />);
  for (const i of [1, 2, 3]) {
    press(`Take reading ${i} of 3`);
    await screen.findByLabelText(`Reading ${i}: #888888`);
  }
  press(/^Take #/);
  expect(taken).toHaveBeenCalledWith(
    expect.objectContaining({ taken: 'reader', spread: expect.closeTo(0.66, 1) as number }),
  );
  press('Read again');
  expect(screen.getByText('Take reading 1 of 3')).toBeTruthy();
});

test('a reader that does not answer says so', async () => {
  fakeServer({
    'POST /api/devices/reader': new Refused({ status: 503, code: 'x', title: 'The reader is asleep.' }),
  });
  show(<ColourWays hex="#999999" onTake={jest.fn()} start="Reader" />);
  press('Take reading 1 of 3');
  expect(await screen.findByText('The reader is asleep.')).toBeTruthy();
});

test('questions about a picture are answered the same on this side of the worker', () => {
  const data = new Uint8ClampedArray(4 * 20 * 10).map((_, i) => (i % 4 === 3 ? 255 : i % 80 < 40 ? 238 : 90));
  const picture = { width: 20, height: 10, data };
  const white = handlePhoto({ ask: 'white', picture, spot: { x: 4, y: 5, radius: 2 } });
  expect(white).toMatchObject({ ask: 'white', light: { ok: true } });
  const light = [1, 1, 1] as const;
  expect(handlePhoto({ ask: 'swatch', picture, spot: { x: 15, y: 5, radius: 2 }, light })).toMatchObject({
    sample: { hex: '#5a5a5a', spread: 0 },
  });
  const found = handlePhoto({ ask: 'colours', picture, light });
  expect(found.ask === 'colours' && found.colours.slice(0, 2).map(({ hex }) => hex)).toEqual([
    '#eeeeee',
    '#5a5a5a',
  ]);
});

test('where the family is in doubt the two neighbours are offered, and a second tap takes it back', () => {
  const chosen = jest.fn();
  const { rerender } = show(<FamilyAsk hex="#b3262b" finish="matte" override={null} onChoose={chosen} />);
  expect(screen.queryByRole('radio')).toBeNull();
  // Between teal, green and blue.
  const torn = ['#6fae9f', '#5f9ea0', '#7a9a8f', '#8fbcae', '#9aa08a', '#c08f5a', '#b07d62'];
  for (const hex of torn) {
    rerender(
      <View>
        <FamilyAsk hex={hex} finish="matte" override={null} onChoose={chosen} />
      </View>,
    );
    const [first] = screen.queryAllByRole('radio');
    if (!first) continue;
    expect(screen.getAllByRole('radio')).toHaveLength(2);
    fireEvent.click(first);
    expect(chosen).toHaveBeenLastCalledWith(
      expect.any(String),
      expect.stringMatching(/^between \w+ and \w+$/),
    );
    return;
  }
  throw new Error('none of these colours is in doubt');
});

function Filtering({ seen }: { readonly seen: (filters: Filters) => void }) {
  const [filters, setFilters] = useState(filtersOf({}));
  const change = (next: Filters): void => {
    setFilters(next);
    seen(next);
  };
  return (
    <>
      <FiltersInUse filters={filters} onChange={change} />
      <FilterBar filters={filters} supplies={[supply({ facts: { tags: ['wet'] } })]} onChange={change} />
    </>
  );
}

test('filters combine, those in use stay in sight, and are cleared together', async () => {
  const seen = jest.fn();
  show(<Filtering seen={seen} />);
  fireEvent.click(screen.getByRole('checkbox', { name: 'Low or out' }));
  fireEvent.click(screen.getByRole('checkbox', { name: 'No place' }));
  press('Family: any');
  pick('teal');
  press('Standing: any but gone');
  pick('retired');
  press('Tag: any');
  pick('wet');
  expect(seen).toHaveBeenLastCalledWith(
    expect.objectContaining({ asks: ['low', 'unplaced'], family: 'teal', status: 'retired', tag: 'wet' }),
  );
  press('Take off: Low or out');
  press('Take off: teal');
  expect(seen).toHaveBeenLastCalledWith(expect.objectContaining({ asks: ['unplaced'], family: null }));
  press('Clear the filters');
  await waitFor(() =>
    expect(seen).toHaveBeenLastCalledWith(expect.objectContaining({ asks: [], status: null, tag: null })),
  );
});

test('a day is picked with the browser’s calendar, and a wrong one is said', () => {
  const changed = jest.fn();
  show(
    <DateField
      label="Acquired"
      value="2026-05-31"
      onChange={changed}
      error="Write the date like 2026-05-31."
    />,
  );
  const input = screen.getByLabelText('Acquired');
  expect((input as HTMLInputElement).value).toBe('2026-05-31');
  fireEvent.change(input, { target: { value: '2026-06-01' } });
  expect(changed).toHaveBeenCalledWith('2026-06-01');
  expect(screen.getByRole('alert').textContent).toMatch(/2026-05-31/);
});
