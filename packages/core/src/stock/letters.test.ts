import fc from 'fast-check';
import { freeOf, heldByGroups, lessHeld, moreHeld, takenBy } from './free';
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

test('kits and projects hold back until dissolved or closed; packs and collections hold nothing; free is never below nothing', () => {
  const members = [{ supplyId: 's', amount: 6 }];
  const kit = { id: 'k1', name: 'Harvest kit', what: 'kit', dissolvedOn: null, members };
  const project = { ...kit, id: 'p1', name: 'Winter cards', what: 'project' };
  const held = heldByGroups([kit, project, { ...kit, what: 'pack' }, { ...kit, dissolvedOn: '2026-05-01' }]);
  expect(held.get('s')).toEqual([
    { id: 'k1', what: 'kit', name: 'Harvest kit', amount: 6 },
    { id: 'p1', what: 'project', name: 'Winter cards', amount: 6 },
  ]);
  expect(freeOf(13, held.get('s') ?? [])).toBe(1);
  expect(freeOf(4, held.get('s') ?? [])).toBe(0);
});

test('what is used for a project or a kit is kept aside for it no longer', () => {
  expect(moreHeld([{ supplyId: 's', amount: 3 }], 's', 5)).toEqual([{ supplyId: 's', amount: 8 }]);
  expect(moreHeld([{ supplyId: 's', amount: 3 }], 't', 5)).toHaveLength(2);
  expect(lessHeld([{ supplyId: 's', amount: 3 }], 's', 5)).toEqual([{ supplyId: 's', amount: 0 }]);
  expect(takenBy({ act: 'use', of: 'base', amount: 2 }, 'sheets')).toBe(0);
  expect(takenBy({ act: 'cut', sheets: 2, bases: 4, scraps: 0 }, 'sheets')).toBe(2);
  // 1.1 m off a roll with a remnant of 30 cm: 80 cm were used.
  const pieces = [{ as: 'scrap' as const, items: 1, sizeUm: { widthUm: 16_000, heightUm: 300_000 } }];
  expect(takenBy({ act: 'cut', sheets: 1_100_000, bases: 0, scraps: 1, pieces }, 'length')).toBe(800_000);
});
