import fc from 'fast-check';
import { parseLength, printLength, type LengthUnit } from './length';

const um = (text: string): number => {
  const length = parseLength(text);
  if (!length.ok) throw new Error(`${text}: ${length.code}`);
  return length.um;
};

test.each([
  ['5 1/8 in', 130_175],
  ['5⅛ in', 130_175],
  ['5/8"', 15_875],
  ['13cm', 130_000],
  ['2.4 m', 2_400_000],
  ['2,4 m', 2_400_000],
  ['3 yd', 2_743_200],
  ['42', 42_000],
  ['5 ft 2 1/2 in', 1_587_500],
  [`5'2"`, 1_574_800],
  ['1 yd, 6 in', 1_066_800],
  ['0,125 in', 3_175],
])('%s is %d µm', (text, expected) => expect(um(text)).toBe(expected));

test.each([
  ['', 'length_missing'],
  ['five', 'length_unclear'],
  ['3 1/0 in', 'length_unclear'],
  ['3 parsecs', 'length_unclear'],
  ['1,200 mm', 'length_unclear'],
  ['2 in 5 ft', 'length_unclear'],
  ['2 ft 3', 'length_unclear'],
  ['-2 m', 'length_negative'],
  ['99999999 m', 'length_too_long'],
])('refuses “%s” as %s', (text, code) => expect(parseLength(text)).toMatchObject({ ok: false, code }));

test('a length in two units is the two of them together', () => {
  const part = fc.tuple(fc.nat(40), fc.nat(191)).map(([feet, parts]) => ({ feet, inches: parts / 16 }));
  fc.assert(
    fc.property(part, fc.constantFrom(' ', ', ', ' and '), ({ feet, inches }, between) => {
      const said = `${feet} ft${between}${printLength(Math.round(inches * 25_400), 'in')}`;
      expect(um(said)).toBe(Math.round(feet * 304_800 + inches * 25_400));
    }),
  );
});

test('every sixty-fourth of an inch survives printing and reading', () => {
  fc.assert(
    fc.property(fc.integer({ min: 0, max: 64 * 400 }), (parts) => {
      const length = Math.round((parts * 25_400) / 64);
      expect(um(printLength(length, 'in'))).toBe(length);
    }),
  );
});

test('what metric units print, they read back', () => {
  const units = fc.constantFrom<LengthUnit>('mm', 'cm', 'm');
  fc.assert(
    fc.property(units, fc.integer({ min: 0, max: 1_000_000 }), (unit, n) => {
      const length = n * 1000;
      expect(um(printLength(length, unit))).toBe(length);
    }),
  );
});
