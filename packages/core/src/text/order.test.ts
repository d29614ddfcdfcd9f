import fc from 'fast-check';
import { byText } from './byText';
import { fold } from './fold';
import { naturally } from './natural';

const word = fc.oneof(
  fc.string({ maxLength: 8 }),
  fc.tuple(fc.constantFrom('Rack', 'rack', 'Räck', 'No. '), fc.nat(2000)).map(([name, n]) => `${name}${n}`),
);

test.each([
  ['as people order words', naturally],
  ['as texts', byText],
])('any three words stand in one order %s, whichever are compared first', (_, order) => {
  fc.assert(
    fc.property(word, word, word, (a, b, c) => {
      expect(Math.sign(order(a, b))).toBe(-Math.sign(order(b, a)) + 0);
      expect(order(a, a)).toBe(0);
      if (order(a, b) <= 0 && order(b, c) <= 0) expect(order(a, c)).toBeLessThanOrEqual(0);
    }),
  );
});

test('numbers in words stand by how large they are, and capitals and accents beside their letters', () => {
  fc.assert(
    fc.property(fc.nat(5000), fc.nat(5000), fc.constantFrom('Rack ', 'B', ''), (p, q, name) => {
      expect(Math.sign(naturally(`${name}${p}`, `${name}${q}`))).toBe(Math.sign(p - q));
    }),
  );
  expect(naturally('Écru', 'ecru')).toBe(0);
  expect(['b10', 'B2', 'a3', 'B1'].sort(naturally)).toEqual(['a3', 'B1', 'B2', 'b10']);
});

test('what is folded once is folded, whatever its case, accents and spaces were', () => {
  fc.assert(
    fc.property(fc.string({ unit: 'grapheme', maxLength: 12 }), (text) => {
      const folded = fold(text);
      expect(fold(folded)).toBe(folded);
      expect(fold(`  ${text.replaceAll(' ', ' \t ')} `)).toBe(folded);
      expect(folded).not.toMatch(/\s\s|^\s|\s$|[A-Z]/);
    }),
  );
  expect(fold('  Crème \n BRÛLÉE ')).toBe('creme brulee');
});
