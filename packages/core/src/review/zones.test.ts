import fc from 'fast-check';
import { zoneProgress } from './zones';

test('a thing that left its slot still counts where it stood; the unplaced come last', () => {
  expect(zoneProgress(['a', 'a', null, 'b'], ['a', 'c'], ['b', 'a'])).toEqual([
    { unitId: 'b', decided: 0, of: 1 },
    { unitId: 'a', decided: 1, of: 3 },
    // "c" was taken down since.
    { unitId: null, decided: 1, of: 2 },
  ]);
  expect(zoneProgress([], [], ['a'])).toEqual([]);
});

test('zones add up to the whole pile, whatever was taken down', () => {
  const place = fc.constantFrom('a', 'b', 'gone', null);
  fc.assert(
    fc.property(fc.array(place), fc.array(place), (waiting, decided) => {
      const zones = zoneProgress(waiting, decided, ['a', 'b']);
      const sum = (of: 'decided' | 'of'): number => zones.reduce((all, zone) => all + zone[of], 0);
      expect(sum('decided')).toBe(decided.length);
      expect(sum('of')).toBe(decided.length + waiting.length);
    }),
  );
});
