import fc from 'fast-check';
import { parseMass, printMass, type MassUnit } from './mass';
import { parsePaperWeight, PAPER_BASES, printPaperWeight } from './paperWeight';
import { parseVolume, printVolume } from './volume';

const mg = (text: string) => {
  const mass = parseMass(text);
  return mass.ok ? mass.amount : mass.code;
};
const ul = (text: string) => {
  const volume = parseVolume(text);
  return volume.ok ? volume.amount : volume.code;
};
const cgsm = (text: string) => {
  const weight = parsePaperWeight(text);
  return weight.ok ? weight.weight.cgsm : weight.code;
};

test.each([
  ['1/2 oz', 14_175],
  ['½ oz.', 14_175],
  ['14 g', 14_000],
  ['1.2kg', 1_200_000],
  ['12', 12_000],
  ['1 lb 4 oz', 566_990],
  ['', 'missing'],
  ['-3 g', 'negative'],
  ['3 stone', 'unclear'],
  ['5000 kg', 'too_much'],
])('“%s” weighs %s', (text, expected) => expect(mg(text)).toBe(expected));

test.each([
  ['12 ml', 12_000],
  ['1/2 oz', 14_787],
  ['0,5 fl. oz', 14_787],
  ['a drop', 'unclear'],
])('“%s” holds %s', (text, expected) => expect(ul(text)).toBe(expected));

test.each([
  ['216 gsm', 21_600],
  ['216 g/m²', 21_600],
  ['216', 21_600],
  ['110 lb cover', 29_745],
  ['65lb index', 11_752],
  ['80# text', 11_841],
  ['110 lb', 'basis_missing'],
  ['110 lb napkin', 'unclear'],
  ['3000 gsm', 'too_much'],
])('“%s” is %s hundredths of g/m²', (text, expected) => expect(cgsm(text)).toBe(expected));

test('110 lb cover is half as heavy again as 110 lb index', () => {
  const ratio = Number(cgsm('110 lb cover')) / Number(cgsm('110 lb index'));
  expect(ratio).toBeCloseTo((25.5 * 30.5) / (20 * 26), 3);
  expect(ratio).toBeGreaterThan(1.45);
});

test('what is printed is read back the same: paper weights', () => {
  const said = fc.tuple(fc.integer({ min: 1, max: 400 }), fc.constantFrom(null, ...PAPER_BASES));
  fc.assert(
    fc.property(said, ([n, basis]) => {
      const text = basis ? `${n} lb ${basis}` : `${n} gsm`;
      const first = parsePaperWeight(text);
      if (!first.ok) throw new Error(first.code);
      expect(printPaperWeight(first.weight)).toBe(text);
      expect(parsePaperWeight(printPaperWeight(first.weight))).toEqual(first);
    }),
  );
});

test('what is printed is read back the same: masses and volumes', () => {
  fc.assert(
    fc.property(fc.constantFrom<MassUnit>('g', 'kg'), fc.nat(5_000_000), (unit, n) => {
      expect(mg(printMass(n, unit))).toBe(n);
    }),
  );
  fc.assert(
    fc.property(fc.nat(800), (eighths) => {
      const mass = Math.round((eighths * 28_349.523125) / 8);
      expect(mg(printMass(mass, 'oz'))).toBe(mass);
      expect(ul(printVolume(eighths, 'ml'))).toBe(eighths);
      const volume = Math.round((eighths * 29_573.5295625) / 16);
      expect(ul(printVolume(volume, 'fl oz'))).toBe(volume);
    }),
  );
});
