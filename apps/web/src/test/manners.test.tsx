import { fireEvent, screen } from '@testing-library/react';
import { TextInput } from 'react-native';
import { Strip } from '../arrange/Strip';
import { Caution } from '../ui/Caution';
import { Chip } from '../ui/Chip';
import { useKeys } from '../ui/useKeys';
import { show, supply } from './harness';

beforeEach(() => localStorage.clear());

test('a caution is told until somebody has got it, and each on its own', () => {
  const first = show(<Caution id="heavy">Paper is heavy.</Caution>);
  fireEvent.click(screen.getByRole('button', { name: /^Caution: Paper is heavy/ }));
  fireEvent.click(screen.getByRole('button', { name: 'Got it' }));
  expect(screen.queryByText('Paper is heavy.')).toBeNull();
  first.unmount();
  show(
    <>
      <Caution id="heavy">Paper is heavy.</Caution>
      <Caution id="solvent">Air the room.</Caution>
    </>,
  );
  expect(screen.queryByText('Paper is heavy.')).toBeNull();
  expect(screen.getByText('Air the room.')).toBeTruthy();
});

test('single keys act, but not while somebody types, and not with a control key held', () => {
  const search = jest.fn();
  function Keyed() {
    useKeys({ '/': search });
    return <TextInput aria-label="field" />;
  }
  const { unmount } = show(<Keyed />);
  fireEvent.keyDown(document.body, { key: '/' });
  expect(search).toHaveBeenCalledTimes(1);
  fireEvent.keyDown(screen.getByLabelText('field'), { key: '/' });
  fireEvent.keyDown(document.body, { key: '/', ctrlKey: true });
  fireEvent.keyDown(document.body, { key: 'x' });
  expect(search).toHaveBeenCalledTimes(1);
  unmount();
  fireEvent.keyDown(document.body, { key: '/' });
  expect(search).toHaveBeenCalledTimes(1);
});

test('a choice says whether it is on, alone or among several', () => {
  const press = jest.fn();
  show(
    <>
      <Chip label="Inks" on many onPress={press} />
      <Chip label="light to dark" on={false} onPress={press} />
    </>,
  );
  expect(screen.getByRole('checkbox', { name: 'Inks' }).getAttribute('aria-checked')).toBe('true');
  fireEvent.click(screen.getByRole('radio', { name: 'light to dark' }));
  expect(press).toHaveBeenCalledTimes(1);
});

test('a strip of colours says in words what the eye sees', () => {
  const figures = { placed: 2, emptySlots: 1, breaks: 1, meanStep: 20, beside: null, inOrder: 1, lookUp: 3 };
  const slots = ['s1', null, 's2'];
  show(<Strip slots={slots} figures={figures} by="family" byId={new Map([['s1', supply()]])} label="Now" />);
  expect(screen.getByRole('img', { name: 'Now: 2 colours in a row, 1 change of family' })).toBeTruthy();
});
