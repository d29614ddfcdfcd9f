import { fireEvent, screen, waitFor } from '@testing-library/react';
import { router } from 'expo-router';
import { AddScreen } from '../intake/AddScreen';
import { change, fakeServer, show, supply } from './harness';

jest.mock('expo-router', () => ({
  ...jest.requireActual<object>('./router'),

  router: { push: jest.fn(), replace: jest.fn() },
  useLocalSearchParams: () => ({}),
}));

const press = (name: string) => fireEvent.click(screen.getByRole('button', { name }));
const pick = (name: string) => fireEvent.click(screen.getByRole('radio', { name }));
const field = (label: string) => screen.getByLabelText(label);
const type = (label: string, text: string) => fireEvent.change(field(label), { target: { value: text } });
const value = (label: string): string => (field(label) as HTMLInputElement).value;

beforeEach(() => localStorage.clear());

test('the next of the pile keeps kind, form and maker, and asks for name and colour again', async () => {
  const sent = fakeServer({
    'POST /api/supplies': { supply: supply(), change: change({ kind: 'add', name: 'Sash' }) },
  });
  show(<AddScreen />);
  pick('Ribbon');
  pick('hank');
  type('Name', 'Sash');
  type('Colour', 'teal');
  type('Maker', 'Brindlebobbin');
  type('How much (2.4 m, 3 yd)', '3 yd');
  press('Add and next');
  expect(await screen.findByText('Sash added.')).toBeTruthy();
  expect(sent[0]?.body).toMatchObject({
    kind: 'ribbon',
    form: 'hank',
    name: 'Sash',
    hex: 'teal',
    maker: 'Brindlebobbin',
    count: { items: 1, left: 2_743_200 },
  });
  await waitFor(() => expect(value('Name')).toBe(''));
  expect([value('Maker'), value('Colour')]).toEqual(['Brindlebobbin', '']);
  expect(screen.getByRole('radio', { name: 'hank' }).getAttribute('aria-checked')).toBe('true');
});

test('the family is said as the colour is typed, and the finish outranks it', () => {
  fakeServer({});
  show(<AddScreen />);
  type('Colour', '#b3262b');
  expect(screen.getByText(/^red, \d+% sure/)).toBeTruthy();
  press('More questions: finish, family, standing, measures, note');
  fireEvent.click(screen.getAllByRole('radio', { name: 'metallic' })[0]!);
  expect(screen.getByText(/^metallic, 100% sure/)).toBeTruthy();
});

test('a stamp is not asked for a colour, and can be given one', async () => {
  const sent = fakeServer({
    'POST /api/supplies': { supply: supply(), change: change({ kind: 'add', name: 'Heron' }) },
  });
  show(<AddScreen />);
  pick('Companion');
  pick('stamp');
  expect(screen.queryByLabelText('Colour')).toBeNull();
  type('Name', 'Heron');
  press('Add and next');
  await waitFor(() => expect(sent[0]?.body).toMatchObject({ form: 'stamp', name: 'Heron', hex: '' }));
  await waitFor(() => expect(value('Name')).toBe(''));
  press('Give it a colour');
  type('Colour', 'teal');
  type('Name', 'Otter');
  press('Add and next');
  await waitFor(() =>
    expect(sent[1]?.body).toMatchObject({ name: 'Otter', hex: 'teal', familyOverride: null }),
  );
});

test('nothing wrong is sent: each field says what it needs', async () => {
  const sent = fakeServer({});
  show(<AddScreen />);
  type('Colour', 'sort of green');
  press('Add and look');
  expect(await screen.findByText(/⚠ Give it a name/)).toBeTruthy();
  expect(screen.getByText(/“sort of green” is not a colour I know/)).toBeTruthy();
  type('How many', '-1');
  press('Add and look');
  expect(await screen.findByText(/less than nothing/)).toBeTruthy();
  expect(sent.filter(({ path }) => path === '/api/supplies')).toEqual([]);
});

test('any colour’s name will do: it is offered as it is typed, and Enter on it takes it', async () => {
  const sent = fakeServer({
    'POST /api/colour-names': {
      names: [
        { name: 'Weir Dusk', hex: '#005f6a' },
        { name: 'Weir Dusk Slumber', hex: '#243640' },
      ],
    },
    'POST /api/supplies': { supply: supply(), change: change({ kind: 'add', name: 'Weir' }) },
  });
  show(<AddScreen />);
  type('Name', 'Weir');
  type('Colour', 'weir dusk');
  expect(await screen.findByRole('button', { name: 'Take Weir Dusk Slumber' })).toBeTruthy();
  fireEvent.keyDown(field('Colour'), { key: 'Enter' });
  const added = () => sent.find(({ path }) => path === '/api/supplies');
  await waitFor(() => expect(added()?.body).toMatchObject({ name: 'Weir', hex: '#005f6a' }));
});

test('an impatient second Enter adds nothing twice', async () => {
  const sent = fakeServer({
    'POST /api/supplies': { supply: supply(), change: change({ kind: 'add', name: 'Weir' }) },
  });
  show(<AddScreen />);
  type('Name', 'Weir');
  type('Colour', '#2f9596');
  fireEvent.keyDown(field('Name'), { key: 'Enter' });
  fireEvent.keyDown(field('Name'), { key: 'Enter' });
  await waitFor(() => expect(value('Name')).toBe(''));
  expect(sent.filter(({ path }) => path === '/api/supplies')).toHaveLength(1);
});

test('a half-filled form is there again after leaving, and forgotten once added', async () => {
  fakeServer({ 'POST /api/supplies': { supply: supply({ id: 's9' }), change: change({ kind: 'add' }) } });
  const { unmount } = show(<AddScreen />);
  type('Name', 'Half done');
  type('Colour', '#333');
  unmount();
  const again = show(<AddScreen />);
  expect(value('Name')).toBe('Half done');
  press('Add and look');
  await waitFor(() =>
    expect(router.replace).toHaveBeenCalledWith({ pathname: '/stash', params: { supply: 's9' } }),
  );
  again.unmount();
  localStorage.setItem('red-shelf.add', '{broken');
  show(<AddScreen />);
  expect(value('Name')).toBe('');
});
