import fc from 'fast-check';
import { afterSpending, freeOf, heldByKits, lessHeld, takenBy } from './free';
import { lettersMissing, parseLetters, printLetters, shortVowels } from './letters';

test('letters are read as people write them', () => {
  expect(parseLetters('AABBC')).toEqual({ A: 2, B: 2, C: 1 });
  expect(parseLetters('a3, b×2 E0')).toEqual({ A: 3, B: 2, E: 0 });
  expect(parseLetters('A3A')).toEqual({ A: 4 });
  expect(parseLetters('hello – world')).toBeNull();
  expect(parseLetters('')).toEqual({});
});

test('printing then reading is the identity', () => {
  const counts = fc.dictionary(fc.constantFrom(...'ABCDEFGHIJKLMNOPQRSTUVWXYZ&!?'), fc.nat(99));
  fc.assert(fc.property(counts, (have) => expect(parseLetters(printLetters(have))).toEqual({ ...have })));
});

test('what a word lacks, and which vowels run short', () => {
  const have = { H: 1, A: 1, P: 1, Y: 2, E: 4, I: 2, O: 2, U: 0 };
  expect(lettersMissing('Happy day', have)).toEqual({ A: 1, P: 1, D: 1 });
  expect(lettersMissing('yeah', have)).toEqual({});
  expect(shortVowels(have)).toEqual(['A', 'U']);
  expect(shortVowels({ '7': 1 })).toEqual([]);
});

test('kits hold back until dissolved; packs and collections hold nothing; free is never below nothing', () => {
  const members = [{ supplyId: 's', amount: 6 }];
  const kit = { id: 'k1', name: 'Harvest kit', what: 'kit', dissolvedOn: null, members };
  const held = heldByKits([kit, { ...kit, what: 'pack' }, { ...kit, dissolvedOn: '2026-05-01' }]);
  expect(held.get('s')).toEqual([{ id: 'k1', name: 'Harvest kit', amount: 6 }]);
  expect(freeOf(10, { reserved: [{ project: 'p', amount: 3 }] }, held.get('s'))).toBe(1);
  expect(freeOf(4, {}, held.get('s'))).toBe(0);
});

test('what is used for a project or a kit is kept aside for it no longer; of others it is', () => {
  const facts = {
    reserved: [
      { project: 'Winter cards', amount: 3 },
      { project: 'winter cards', amount: 2 },
      { project: 'Tags', amount: 4 },
    ],
  };
  expect(afterSpending(facts, 'Winter Cards', 4).reserved).toEqual([
    { project: 'winter cards', amount: 1 },
    { project: 'Tags', amount: 4 },
  ]);
  expect(afterSpending(facts, 'Something', 4)).toEqual(facts);
  expect(lessHeld([{ supplyId: 's', amount: 3 }], 's', 5)).toEqual([{ supplyId: 's', amount: 0 }]);
  expect(takenBy({ act: 'use', of: 'base', amount: 2 })).toBe(0);
  expect(takenBy({ act: 'cut', sheets: 2, bases: 4, scraps: 0 })).toBe(2);
});
