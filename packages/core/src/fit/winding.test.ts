import fc from 'fast-check';
import { pagesFor, woundAcross, woundOnCard } from './winding';

const MM = 1000;
const lengths = fc.integer({ min: 1000, max: 30_000_000 });
const thin = fc.integer({ min: 50, max: 1500 });

test('ribbon wound layer by layer, slowly, comes to what is worked out', () => {
  fc.assert(
    fc.property(lengths, thin, fc.integer({ min: 5 * MM, max: 60 * MM }), (lengthUm, thicknessUm, coreUm) => {
      // Turn after turn around a growing core, each as long as the middle of its layer is around.
      let [across, left] = [coreUm, lengthUm];
      while (left > 0) {
        const turn = Math.PI * (across + thicknessUm);
        across += 2 * thicknessUm * Math.min(1, left / turn);
        left -= turn;
      }
      const { value, low, high } = woundAcross({ lengthUm, thicknessUm }, coreUm);
      expect(Math.abs(value - across)).toBeLessThanOrEqual(2 * thicknessUm);
      expect([low <= value, high >= value]).toEqual([true, true]);
    }),
    { numRuns: 60 },
  );
});

test('on a card, so many turns hold all of it, and one turn less does not', () => {
  fc.assert(
    fc.property(
      lengths,
      thin,
      fc.integer({ min: 20 * MM, max: 90 * MM }),
      (lengthUm, thicknessUm, widthUm) => {
        const card = { widthUm, thicknessUm: 500 };
        const { turns, thickUm } = woundOnCard({ lengthUm, thicknessUm }, card);
        const holds = (n: number): number =>
          n * (2 * widthUm + Math.PI * card.thicknessUm) + Math.PI * thicknessUm * n ** 2;
        expect(holds(turns)).toBeGreaterThanOrEqual(lengthUm - 1);
        expect(holds(turns - 1)).toBeLessThan(lengthUm + 1);
        expect(thickUm.value).toBeLessThanOrEqual(card.thicknessUm + 2 * thicknessUm * turns + 1);
      },
    ),
    { numRuns: 60 },
  );
});

test('a roll of 9.144 m, 0.3 mm thick: on a core of 25 mm it is about 64 mm across, on a card of 40 mm about 39 mm thick', () => {
  const roll = { lengthUm: 9_144_000, thicknessUm: 300 };
  expect(Math.round(woundAcross(roll, 25 * MM).value / MM)).toBe(64);
  const { turns, thickUm } = woundOnCard(roll, { widthUm: 40 * MM, thicknessUm: 1 * MM });
  expect([turns, Math.round(thickUm.value / MM)]).toEqual([64, 39]);
  expect(() => woundAcross({ ...roll, thicknessUm: 0 }, 1)).toThrow(/thicknessUm must be more than nothing/);
});

test('pages are whole pages, and a spine is as thick as its pages and what is in them', () => {
  const page = { pockets: 4, perPocket: 2, thicknessUm: 300 };
  expect(pagesFor(17, 150, page, 10 * MM)).toEqual({ pages: 3, spineUm: 10_000 + 900 + 2550 });
  expect(pagesFor(0, 150, page)).toEqual({ pages: 0, spineUm: 0 });
  expect(() => pagesFor(3, 150, { ...page, pockets: 0 })).toThrow(RangeError);
});
