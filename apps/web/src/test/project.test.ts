import { groupBody, type GroupBody } from '@red-shelf/contract';
import { withMakes } from '../bench/project/Makes';
import { readPart } from '../bench/project/NewNeed';
import { withColours } from '../bench/project/Palette';
import { sayNeed } from '../copy/project';

jest.mock('expo-router', () => ({ router: {} }));

const need = { id: 'n', kind: 'ribbon' as const, hex: '#f4c6d0', each: 800_000, of: 'r1' };
const body = (more: Partial<GroupBody>): GroupBody =>
  groupBody.parse({ sort: 'group', what: 'project', name: 'Cards', ...more });

test('a need is said as one would say it', () => {
  expect(sayNeed(need, 12, 'metric')).toBe('Pale pink ribbon, 80 cm each: 9.6 m for 12');
  expect(sayNeed({ ...need, kind: 'cardstock', each: 0.25 }, 10, 'metric')).toMatch(
    /, 0.25 sheets each: 3 sheets/,
  );
  expect(sayNeed({ ...need, kind: 'ink', each: 1 }, 1, 'metric')).toBe('Pale pink ink, 1 use');
});

test('what is taken for a need grows and shrinks with how many are made; what was used of it stays used', () => {
  const members = [
    { supplyId: 'r1', amount: 5_000_000 },
    { supplyId: 'x', amount: 3 },
  ];
  const begun = body({ makes: 10, needs: [need], members });
  expect(withMakes(begun, 12)).toMatchObject({ makes: 12, members: [{ amount: 6_600_000 }, { amount: 3 }] });
  // Too little of it from the start: what is kept of it and needed still is not given back.
  const short = body({ makes: 12, needs: [need], members: [{ supplyId: 'r1', amount: 3_660_000 }] });
  expect(withMakes(short, 6).members[0]?.amount).toBe(3_660_000);
  expect(withMakes(short, 1).members[0]?.amount).toBe(800_000);
});

test('parts of a sheet are read as they are written, colours come once', () => {
  expect(['1/4', '0,5', '3', '0', 'a', '1/0', '-2'].map(readPart)).toEqual([
    0.25,
    0.5,
    3,
    null,
    null,
    null,
    null,
  ]);
  const red = { name: 'Red', hex: '#aa0000' };
  const more = [
    { name: 'Also red', hex: '#aa0000' },
    ...['1', '2'].map((n) => ({ name: n, hex: `#00000${n}` })),
  ];
  expect(withColours([red], more).map(({ name }) => name)).toEqual(['Red', '1', '2']);
});
