import fc from 'fast-check';
import { FAMILIES, isNeutral, STRETCHES, type Stretch } from '../colour/families';
import {
  areNeutralsApart,
  DEFAULT_SCHEME,
  familyRanks,
  stretchesOf,
  stretchOf,
  withNeutrals,
} from './scheme';

/** Black, grey and white are named as one or apart, not both. */
const scheme = fc
  .boolean()
  .chain((apart) =>
    fc.shuffledSubarray(STRETCHES.filter((each) => (apart ? each !== 'neutral' : !isNeutral(each)))),
  )
  .map((familyOrder) => ({ ...DEFAULT_SCHEME, familyOrder }));

test('every family stands in one stretch, every stretch is there once, whatever a person left out', () => {
  fc.assert(
    fc.property(scheme, (wanted) => {
      const stretches = stretchesOf(wanted);
      expect(new Set(stretches).size).toBe(stretches.length);
      for (const family of FAMILIES) expect(stretches).toContain(stretchOf(family, wanted));
      const used = new Set(FAMILIES.map((family) => stretchOf(family, wanted)));
      expect(stretches.filter((stretch) => !used.has(stretch))).toEqual([]);
    }),
  );
});

test('what a person put in order stands in that order', () => {
  fc.assert(
    fc.property(scheme, (wanted) => {
      const stretches = stretchesOf(wanted);
      const named = wanted.familyOrder.filter((each) => stretches.includes(each));
      const places = named.map((each) => stretches.indexOf(each));
      expect(places).toEqual([...places].sort((p, q) => p - q));
      const ranks = familyRanks(wanted);
      for (const family of FAMILIES) expect(stretches[ranks[family]]).toBe(stretchOf(family, wanted));
    }),
  );
});

test('white, grey and black are put together and taken apart where they stood, and nothing else moves', () => {
  fc.assert(
    fc.property(scheme, (wanted) => {
      const together = withNeutrals(wanted, 'together');
      expect(areNeutralsApart({ familyOrder: together })).toBe(false);
      const apart = withNeutrals({ familyOrder: together }, 'apart');
      expect(areNeutralsApart({ familyOrder: apart })).toBe(true);
      expect(withNeutrals({ familyOrder: apart }, 'together')).toEqual(together);
      const others = (all: readonly Stretch[]) =>
        all.filter((each) => each !== 'neutral' && !isNeutral(each));
      expect(others(apart)).toEqual(others(stretchesOf(wanted)));
      const three = ['white', 'grey', 'black'].map((each) => apart.indexOf(each as Stretch));
      expect(three).toEqual([three[0], (three[0] ?? 0) + 1, (three[0] ?? 0) + 2]);
    }),
  );
});
