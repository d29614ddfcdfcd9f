import type { Kind } from '../kinds/definition';
import { answersTo, nearestOfEach, totalNeed } from './needs';
import { usualKit } from './usualKit';

const thing = (id: string, hex: string, left: number, more: object = {}) => ({
  ...{ id, name: id, hex, kind: 'ribbon' as Kind, form: 'spool', facts: {}, stock: { left }, ...more },
});
const free = ({ stock }: { stock: { left: number } }) => stock.left;

test('what is needed is counted in whole units', () => {
  expect(totalNeed({ each: 800_000 }, 12)).toBe(9_600_000);
  expect(totalNeed({ each: 0.25 }, 10)).toBe(3);
  // Ten tenths are one, though not to a computer.
  expect(totalNeed({ each: 0.1 }, 10)).toBe(1);
});

test('the nearest in colour is offered first, and one that does for all of it is among them', () => {
  const need = { kind: 'ribbon' as const, hex: '#bfe3c0', each: 800_000 };
  const owned = [
    thing('same', '#bfe3c0', 2_000_000),
    thing('near', '#c4e6c6', 1_000_000),
    thing('next', '#b6dcb9', 900_000),
    thing('other', '#b0d8b4', 50_000_000),
    thing('red', '#b01020', 90_000_000),
    thing('ink', '#bfe3c0', 400, { kind: 'ink', form: 'full-pad' }),
    thing('gone', '#bfe3c0', 9e9, { facts: { status: 'gone' } }),
    thing('empty', '#bfe3c0', 0),
  ];
  const answers = answersTo(need, 12, owned, free);
  expect(answers.map(({ supply }) => supply.id)).toEqual(['same', 'near', 'other']);
  expect(answers.map(({ enough }) => enough)).toEqual([false, false, true]);
  expect(answers[0]!.difference.step).toBe('same');
  // What cannot be bought again, and would be used up by it, is known.
  const scarce = thing('scarce', '#bfe3c0', 9_000_000, { facts: { status: 'retired' } });
  expect(answersTo(need, 12, [scarce], free)[0]).toMatchObject({ usesUp: true, enough: false });
  expect(answersTo(need, 2, [scarce], free)[0]).toMatchObject({ usesUp: false, enough: true });
});

test('for a colour the nearest of each kind', () => {
  const owned = [thing('far', '#103050', 5), thing('near', '#205080', 5), thing('out', '#2050a0', 0)];
  const [ribbon, ink] = nearestOfEach('#2050a0', ['ribbon', 'ink'], owned);
  expect(ribbon?.nearest?.supply.id).toBe('near');
  expect(ribbon?.nearest?.difference.words).not.toBe('');
  expect(ink?.nearest).toBeNull();
});

test('what is usual with a medium and not there is asked for once, unless one has it', () => {
  const ribbon = thing('Moss', '#405030', 5);
  const pads = [1, 2].map((n) => thing(`pad ${n}`, '#405030', 5, { kind: 'ink', form: 'full-pad' }));
  const scissors = thing('Old scissors', '#888888', 1, { kind: 'companion', form: 'tool' });
  const needed = usualKit([ribbon, ...pads], [ribbon, scissors], new Set(['stamp'] as const));
  expect(needed.map(({ tool, owned }) => [tool, owned?.id ?? null])).toEqual([
    ['ribbon scissors', 'Old scissors'],
    ['block', null],
  ]);
  expect(usualKit([ribbon, scissors], [ribbon, scissors], new Set())).toEqual([]);
});
