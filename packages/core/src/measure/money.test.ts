import fc from 'fast-check';
import { decimalsOf, parseMoney, printMoney, type Money } from './money';

const currency = fc.constantFrom('EUR', 'USD', 'JPY', 'KWD', 'CHF');
const money: fc.Arbitrary<Money> = fc.record({ minor: fc.nat(1_000_000_000), currency });

test('what is printed is read back as it was, in currencies of no, two and three decimals', () => {
  expect(['JPY', 'EUR', 'KWD'].map(decimalsOf)).toEqual([0, 2, 3]);
  fc.assert(
    fc.property(money, (price) => {
      // Seven digits before the point are the most that is typed.
      fc.pre(price.minor / 10 ** decimalsOf(price.currency) < 1e7);
      expect(parseMoney(printMoney(price), 'USD')).toEqual(price);
    }),
  );
});

test('a point and a comma are the same, capitals and space do not matter, and a bare amount is of the usual currency', () => {
  fc.assert(
    fc.property(fc.nat(99_999), fc.nat(99), currency, (whole, cents, usual) => {
      const part = String(cents).padStart(2, '0');
      const read = parseMoney(`${whole}.${part} EUR`, usual);
      expect(read).toEqual({ minor: whole * 100 + cents, currency: 'EUR' });
      expect(parseMoney(`  ${whole},${part}eur `, usual)).toEqual(read);
      expect(parseMoney(`${whole}`, usual)).toEqual({
        minor: whole * 10 ** decimalsOf(usual),
        currency: usual,
      });
    }),
  );
});

test.each(['', 'free', '4.505 EUR', '4.5 JPY', '-3', '12345678', '1.2.3', '4 EURO'])(
  '“%s” is no price, and nothing is guessed from it',
  (text) => expect(parseMoney(text, 'EUR')).toBeNull(),
);
