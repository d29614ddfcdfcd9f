import { makeMatcher, searchText } from './match';

const text = searchText(['Marsh Lantern', '418', 'Green', 'Inks', 'full pad', 'A3·02 A302', 'Brûlé']);

test.each(['green', 'marsh lan', '418', 'GREEN ink', 'brule', 'a3·02', 'a302', 'inks', ''])(
  '“%s” finds it',
  (query) => expect(makeMatcher(query)(text)).toBe(true),
);
test.each(['teal', 'green marker', 'arsh'])('“%s” does not', (query) =>
  expect(makeMatcher(query)(text)).toBe(false),
);
