import fc from 'fast-check';
import { printLength } from './length';
import { parseSize } from './size';

const mm = (text: string, sides = 2): unknown => {
  const size = parseSize(text, sides);
  return size.ok ? size.um.map((um) => um / 1000) : `${size.code}: ${size.given}`;
};

test('a side without a unit takes the one after it', () => {
  expect(mm('20 × 30 cm')).toEqual([200, 300]);
  expect(mm('8 1/2 x 11 in')).toEqual([215.9, 279.4]);
  expect(mm('8.5"x11"')).toEqual([215.9, 279.4]);
  expect(mm('4 in by 15 cm')).toEqual([101.6, 150]);
  expect(mm('98 × 20 × 66', 3)).toEqual([98, 20, 66]);
  expect(mm('98x20x66 mm', 3)).toEqual([98, 20, 66]);
});

test('what is no size says which side, or how many there are', () => {
  expect(mm('20 cm')).toBe('sides: 20 cm');
  expect(mm('20 × wide')).toBe('side: wide');
  expect(mm('1 × 2 × 3 mm')).toBe('sides: 1 × 2 × 3 mm');
});

test('printing then reading is the identity, whatever the unit', () => {
  const side = fc.integer({ min: 1, max: 3000 });
  const unit = fc.constantFrom('mm' as const, 'cm' as const, 'in' as const);
  fc.assert(
    fc.property(side, side, unit, unit, (w, h, p, q) => {
      const um = (n: number, each: string): number => (each === 'in' ? n * 25_400 : n * 10_000);
      const said = `${printLength(um(w, p), p)} × ${printLength(um(h, q), q)}`;
      expect(parseSize(said, 2)).toEqual({ ok: true, um: [um(w, p), um(h, q)] });
    }),
  );
});
