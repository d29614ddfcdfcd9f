import type { Told } from './uses';
import { usesLearned } from './usesLearned';
import { densityOf, needsTare, roomByMass, settledAt } from './weigh';

const rising = (target: number, until: number) =>
  Array.from({ length: until / 100 + 1 }, (_, i) => ({
    at: i * 100,
    mg: Math.round(target * (1 - Math.exp(-i / 4))),
  }));

test('a scale is read once it has settled, not before', () => {
  expect(settledAt([])).toBeNull();
  expect(settledAt(rising(10_000, 600))).toBeNull();
  expect(settledAt(rising(10_000, 4500))).toBeCloseTo(10_000, -1);
  // Something is put down on it again: it moves.
  expect(settledAt([...rising(10_000, 4500), { at: 4600, mg: 12_000 }])).toBeNull();
  expect(needsTare(-80)).toBe(true);
  expect(needsTare(20)).toBe(false);
});

test('a pen takes what is missing to nine tenths, lighter ink more of it', () => {
  const masses = { emptyMg: 9_500, fullMg: 12_500, nowMg: 10_000 };
  expect(roomByMass(masses, 1)).toEqual({ share: 1 / 6, roomMg: 2_200, roomUl: 2_200 });
  expect(roomByMass(masses, densityOf('alcohol'))?.roomUl).toBe(2_683);
  expect(roomByMass({ ...masses, nowMg: 12_600 }, 1)).toMatchObject({ roomMg: 0 });
  expect(roomByMass({ ...masses, nowMg: 9_000 }, 1)).toBeNull();
  expect(roomByMass({ ...masses, fullMg: 9_000 }, 1)).toBeNull();
});

test('uses of a fill are learned from what was used between refills, by mass where it was weighed', () => {
  let day = 0;
  const at = (): string => new Date(Date.UTC(2026, 0, ++day)).toISOString();
  const told = (happening: object): Told =>
    ({ id: `e${day}`, supplyId: 's', at: at(), ...happening }) as Told;
  const uses = (amount: number) => told({ act: 'use', of: 'whole', amount });
  const refill = (gained?: number) =>
    told({ act: 'refill', ...(gained ? { weights: { beforeMg: 10_000, afterMg: 10_000 + gained } } : {}) });
  const history = [uses(9), refill(), uses(20), refill(1_500), uses(26), refill(1_500)];
  // Each of the two later refills was half a fill.
  expect(usesLearned(history, 's', { emptyMg: 9_500, fullMg: 12_500 })).toEqual({
    usesPerFill: 46,
    refills: 2,
  });
  expect(usesLearned(history, 's', null)).toEqual({ usesPerFill: 23, refills: 2 });
  expect(usesLearned(history.slice(0, 4), 's', null)).toBeNull();
  // What was bought in between says nothing of the fill.
  expect(
    usesLearned([...history.slice(0, 4), told({ act: 'buy', of: 'whole', amount: 1 }), refill()], 's', null),
  ).toBeNull();
});
