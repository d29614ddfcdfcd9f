import fc from 'fast-check';
import { DAY } from './idle';
import { HEMISPHERES, outOfSeason, SEASONS, seasonOf, seasonState, type Season } from './seasons';

const day = fc
  .date({ min: new Date('2020-01-01'), max: new Date('2032-12-31'), noInvalidDate: true })
  .map(Number);
const YEAR_ROUND = ['spring', 'summer', 'autumn', 'winter'] as const satisfies readonly Season[];
const nowIn = (at: number, hemisphere: (typeof HEMISPHERES)[number]) =>
  YEAR_ROUND.filter((season) => seasonState(season, at, hemisphere) === 'now');

test('of the four seasons one is here each day, the last of a leap February too, and the south has the other one', () => {
  const other: Record<string, Season> = {
    spring: 'autumn',
    summer: 'winter',
    autumn: 'spring',
    winter: 'summer',
  };
  fc.assert(
    fc.property(day, (at) => {
      const north = nowIn(at, 'north');
      expect(north).toHaveLength(1);
      expect(nowIn(at, 'south')).toEqual(north.map((season) => other[season]));
    }),
  );
  expect(nowIn(Date.parse('2028-02-29T12:00:00Z'), 'north')).toEqual(['winter']);
});

test('what is soon is here within thirty days, and what is later is not', () => {
  fc.assert(
    fc.property(
      day,
      fc.constantFrom(...SEASONS),
      fc.constantFrom(...HEMISPHERES),
      (at, season, hemisphere) => {
        const state = seasonState(season, at, hemisphere);
        const comes = Array.from({ length: 31 }, (_, days) =>
          seasonState(season, at + days * DAY, hemisphere),
        );
        if (state === 'soon') expect(comes).toContain('now');
        if (state === 'later') expect(comes.slice(0, 30)).not.toContain('now');
      },
    ),
  );
});

test('a thing is of the season it says, else of the one a tag names, and without either for all year', () => {
  expect(seasonOf({ attributes: { season: 'winter' }, tags: ['Summer'] })).toBe('winter');
  expect(seasonOf({ tags: ['gift', 'Holiday'] })).toBe('holiday');
  expect(seasonOf({ tags: ['gift'] })).toBeNull();
  const january = Date.parse('2026-01-10T12:00:00Z');
  expect(outOfSeason({ tags: ['summer'] }, january)).toBe(true);
  expect(outOfSeason({ tags: ['summer'] }, january, 'south')).toBe(false);
  expect(outOfSeason({}, january)).toBe(false);
});
