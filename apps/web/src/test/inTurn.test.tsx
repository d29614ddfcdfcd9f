import { render, screen } from '@testing-library/react';
import { Text } from 'react-native';
import type * as Drawing from '../ui/InTurn';

const { InTurn } = jest.requireActual<typeof Drawing>('../ui/InTurn');

test('parts are drawn one after another, those of a fragment too, and those that come later as well', async () => {
  const page = (last: string | null) => (
    <InTurn first={1}>
      <Text>one</Text>
      <>
        <Text>two</Text>
        {last === null ? null : <Text>{last}</Text>}
      </>
    </InTurn>
  );
  const { rerender } = render(page(null));
  expect(screen.getByText('one')).toBeTruthy();
  expect(screen.queryByText('two')).toBeNull();
  await screen.findByText('two');
  rerender(page('three'));
  await screen.findByText('three');
  expect(screen.getByText('one')).toBeTruthy();
});
