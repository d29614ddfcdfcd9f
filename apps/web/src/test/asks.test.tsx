import { act, fireEvent, render, screen, waitFor } from '@testing-library/react';
import { needBody } from '@red-shelf/contract';
import { formOf } from '@red-shelf/core';
import { z } from 'zod';
import { PaperProvider } from 'react-native-paper';
import { countSaid, ONE } from '../form/CountFields';
import { isBegun, isKept, forgetAll, remember } from '../form/draft';
import { into, measure, price, twoSides, typed, typedOr, whole, words } from '../form/typed';
import { useAsk } from '../form/useAsk';
import { Button } from '../ui/Button';
import { Field } from '../ui/Field';

beforeEach(() => localStorage.clear());

const asked = z.object({ where: words('Say where.'), count: typed(whole(1, 9, 'From 1 to 9.')) });

interface ProbeProps {
  readonly send: (sent: z.output<typeof asked>) => Promise<unknown>;
  readonly start?: { where: string; count: string };
}
function Probe({ send, start = { where: '', count: '1' } }: ProbeProps) {
  const ask = useAsk('probe', asked, start);
  return (
    <>
      <Field control={ask.control} name="where" label="Where" />
      <Field control={ask.control} name="count" label="Count" />
      <Button label="Send" onPress={() => ask.submit(send)} />
      <Button label="Give up" disabled={!ask.begun} onPress={ask.clear} />
    </>
  );
}
const show = (props: ProbeProps) =>
  render(
    <PaperProvider settings={{ icon: () => null }}>
      <Probe {...props} />
    </PaperProvider>,
  );
const type = (label: string, value: string): void => {
  fireEvent.change(screen.getByLabelText(label), { target: { value } });
};
const valueOf = (label: string): string => screen.getByLabelText<HTMLInputElement>(label).value;
const press = (name: string): void => {
  fireEvent.click(screen.getByRole('button', { name }));
};

test('what is wrong stands at its field and nothing is sent; what is right is sent as it is read', async () => {
  const send = jest.fn(() => Promise.resolve());
  show({ send });
  type('Count', 'ten');
  press('Send');
  expect(await screen.findByText(/Say where/)).toBeTruthy();
  expect(screen.getByText(/From 1 to 9/)).toBeTruthy();
  type('Where', ' the hall ');
  type('Count', '3');
  press('Send');
  await waitFor(() => expect(send).toHaveBeenCalledWith({ where: 'the hall', count: 3 }));
  expect(send).toHaveBeenCalledTimes(1);
});

test('half filled it survives leaving; once sent it is gone; what was refused, or told as not done, stays', async () => {
  const first = show({ send: () => Promise.resolve() });
  type('Where', 'the hall');
  first.unmount();
  const refused = show({ send: () => Promise.reject(new Error('no')) });
  expect(valueOf('Where')).toBe('the hall');
  press('Send');
  await act(async () => {
    await Promise.resolve();
  });
  expect(valueOf('Where')).toBe('the hall');
  refused.unmount();
  const undone = show({ send: () => Promise.resolve(false) });
  press('Send');
  await act(async () => {
    await Promise.resolve();
  });
  expect(valueOf('Where')).toBe('the hall');
  undone.unmount();
  show({ send: () => Promise.resolve() });
  press('Send');
  await waitFor(() => expect(valueOf('Where')).toBe(''));
  expect(isKept('probe')).toBe(false);
});

test('sent twice in a row it is sent once', async () => {
  let done = (): void => undefined;
  const send = jest.fn(() => new Promise<void>((resolve) => (done = resolve)));
  show({ send, start: { where: 'here', count: '2' } });
  press('Send');
  press('Send');
  await waitFor(() => expect(send).toHaveBeenCalledTimes(1));
  done();
});

test('a form nobody began follows what it starts with; one that was begun does not', () => {
  const send = (): Promise<void> => Promise.resolve();
  const probe = (where: string) => (
    <PaperProvider settings={{ icon: () => null }}>
      <Probe send={send} start={{ where, count: '1' }} />
    </PaperProvider>
  );
  const { rerender } = render(probe('the loft'));
  rerender(probe('the cellar'));
  expect(valueOf('Where')).toBe('the cellar');
  type('Where', 'my desk');
  rerender(probe('the shed'));
  expect(valueOf('Where')).toBe('my desk');
  press('Give up');
  expect(valueOf('Where')).toBe('the shed');
});

test('a question and those that go with it are found, and given up, together', () => {
  remember('stock.s1.count.height', { high: '5 mm' });
  remember('stock.s11.count', { text: '3' });
  expect([isBegun('stock.s1.count'), isBegun('stock.s1'), isBegun('stock.s2')]).toEqual([true, true, false]);
  forgetAll('stock.s1');
  expect([isBegun('stock.s1.count'), isBegun('stock.s11')]).toEqual([false, true]);
});

describe('what was typed', () => {
  const read = (schema: z.ZodType, text: string): unknown => {
    const reading = schema.safeParse(text);
    return reading.success ? reading.data : reading.error.issues.map(({ message }) => message).join(' ');
  };
  test.each([
    ['a whole number', typed(whole(1, 20, 'No.')), ' 12 ', 12],
    ['one above the most', typed(whole(1, 20, 'No.')), '21', 'No.'],
    ['half a thing', typed(whole(1, 20, 'No.')), '1.5', 'No.'],
    ['nothing, where it may be empty', typedOr(null, whole(1, 20, 'No.')), '  ', null],
    ['a length, µm', typed(measure('length', 'metric')), '13 cm', 130_000],
    ['inches as people write them, µm', typed(measure('length', 'inches')), '5 1/8', 130_175],
    ['no length', typed(measure('length', 'metric')), '', 'Write a length such as 13 cm or 5 1/8 in.'],
    [
      'two sides, µm',
      typed(twoSides('metric', 'Two.')),
      '20 x 30 cm',
      { widthUm: 200_000, heightUm: 300_000 },
    ],
    ['one side', typed(twoSides('metric', 'Two.')), '20 cm', 'Two.'],
    ['a price', typed(price('EUR')), '4,50', { minor: 450, currency: 'EUR' }],
    ['no price', typed(price('EUR')), 'dear', '“dear” is not a price in EUR; write it like 4.50.'],
    ['a price without decimals', typed(price('JPY')), '450', { minor: 450, currency: 'JPY' }],
    ['a price of three decimals', typed(price('EUR')), '4.5 KWD', { minor: 4500, currency: 'KWD' }],
    ['too fine a price', typed(price('JPY')), '4.50', '“4.50” is not a price in JPY; write it like 450.'],
  ])('%s', (_, schema, text, value) => expect(read(schema, text)).toEqual(value));

  test('is held against the contract, whose sentence stands at the field it speaks of', () => {
    const need = z.object({ where: z.string() }).transform(({ where }) => ({
      ...{ sort: 'need' as const, what: 'box' as const, where, widthUm: 0, heightUm: 0, count: 1 },
    }));
    const schema = need.transform(into(needBody));
    expect(schema.parse({ where: ' card file C ' })).toMatchObject({ where: 'card file C' });
    expect(schema.safeParse({ where: ' ' }).error?.issues).toMatchObject([
      { path: ['where'], message: 'What it is for is missing.' },
    ]);
  });

  test('of how many is read in the form’s own unit, with packs, bases and scraps of card', () => {
    const card = countSaid(formOf('cardstock', 'sheet-12'));
    expect(card.parse({ ...ONE, amount: '24', parts: { pack: '2', base: '', scrap: '0' } })).toEqual({
      count: { items: 24, left: 24 },
      parts: { pack: 2 },
    });
    const wrong = card.safeParse({ ...ONE, amount: 'some', parts: { pack: 'two' } });
    expect(wrong.error?.issues.map(({ path }) => path)).toEqual([['amount'], ['parts', 'pack']]);
    const pad = formOf('ink', 'full-pad');
    expect(countSaid(pad).parse({ ...ONE, amount: '2', level: 'full' })).toEqual({
      count: { items: 2, left: 2 * (pad.usesPerFill ?? 1) },
    });
  });
});
