import { seasonSwaps } from './seasonSwaps';

const of = (season: string, count: number) =>
  Array.from({ length: count }, () => ({ facts: { attributes: { season } } }));
const day = (on: number): string => new Date(on).toISOString().slice(0, 10);

test('the year of swaps: what comes into sight a month ahead, and what has had its time', () => {
  const things = [...of('autumn', 4), ...of('winter', 3), { facts: {} }];
  const swaps = seasonSwaps(things, Date.parse('2026-10-10T09:00:00Z'), 'north');
  expect(swaps.map(({ on, comes, goes, coming, going }) => [day(on), comes, goes, coming, going])).toEqual([
    ['2026-11-01', ['winter'], [], 3, 0],
    ['2026-12-01', [], ['autumn'], 0, 4],
    ['2027-03-01', [], ['winter'], 0, 3],
    ['2027-08-02', ['autumn'], [], 4, 0],
  ]);
  // South of the equator it is the other way round.
  expect(day(seasonSwaps(of('winter', 1), Date.parse('2026-03-01T00:00:00Z'), 'south')[0]!.on)).toBe(
    '2026-05-02',
  );
  expect(seasonSwaps([{ facts: {} }], 0, 'north')).toEqual([]);
});
