import fc from 'fast-check';
import type { Facts } from '../stash/facts';
import { meaningsOf, purposeSections, purposesOf, splitWords } from './purposes';

const facts = (purpose?: string): Facts => (purpose === undefined ? {} : { attributes: { purpose } });

test('several purposes, the first is home; what is said twice counts once', () => {
  expect(purposesOf(facts(' coffee, Mondays ;COFFEE,, tea '))).toEqual(['coffee', 'Mondays', 'tea']);
  expect(purposesOf(facts())).toEqual([]);
  expect(purposesOf({ attributes: { purpose: true } })).toEqual([]);
});

test('a purpose’s second meaning belongs to everything that serves it, in whatever case it was said', () => {
  const coffee = { name: 'Coffee', also: ['Mondays', 'Fridays'] };
  expect(meaningsOf(facts('tea, coffee'), [coffee])).toEqual(['Mondays', 'Fridays']);
  expect(meaningsOf(facts('tea'), [coffee])).toEqual([]);
  expect(meaningsOf({}, [coffee])).toEqual([]);
});

test('sections stand in the person’s order, an empty one too, what was never put in order after them by name', () => {
  const items = ['tea', 'coffee, tea', 'birthdays', 'Coffee'].map((purpose) => ({ facts: facts(purpose) }));
  const sections = purposeSections(items, [
    { name: 'moving house', also: [] },
    { name: 'tea', also: ['Sundays'] },
  ]);
  expect(sections).toEqual([
    { name: 'moving house', also: [], home: 0, besides: 0 },
    { name: 'tea', also: ['Sundays'], home: 1, besides: 1 },
    { name: 'birthdays', also: [], home: 1, besides: 0 },
    { name: 'coffee', also: [], home: 2, besides: 0 },
  ]);
});

test('every sheet with a purpose has exactly one home; words said and split again stay the same', () => {
  const word = fc.constantFrom('coffee', 'tea', 'Tea', 'harvest moon', 'b');
  fc.assert(
    fc.property(fc.array(fc.array(word, { minLength: 1, maxLength: 4 })), (sheets) => {
      const items = sheets.map((words) => ({ facts: facts(words.join(', ')) }));
      const homes = purposeSections(items, []).reduce((sum, { home }) => sum + home, 0);
      expect(homes).toBe(sheets.length);
      for (const { facts: each } of items)
        expect(splitWords(purposesOf(each).join('; '))).toEqual(purposesOf(each));
    }),
  );
});
