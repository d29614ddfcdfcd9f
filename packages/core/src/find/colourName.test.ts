import fc from 'fast-check';
import { colourNameOf } from './colourName';

const COLOURS = ['Reed Pond', 'Café Stone', 'Blue', 'Nr 12 Grün'] as const;
const TRADE = [
  'ink',
  'Reinker',
  're-inker',
  'MARKER',
  'full pad',
  'card stock',
  'Cardstock',
  'spool',
] as const;

test('a colour keeps its name whatever it comes as, before it or behind it', () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...COLOURS),
      fc.constantFrom(...TRADE),
      fc.boolean(),
      (colour, trade, before) => {
        // “Card stock” in two words leaves one that is no word of the trade.
        fc.pre(trade !== 'card stock');
        const named = before ? `${trade} ${colour}` : `${colour}, ${trade}`;
        expect(colourNameOf(named)).toBe(colourNameOf(colour));
        expect(colourNameOf(named.toUpperCase())).toBe(colourNameOf(colour));
      },
    ),
  );
});

test('a name that is a name already stays; two colours stay two', () => {
  fc.assert(
    fc.property(fc.string({ maxLength: 30 }), (name) => {
      expect(colourNameOf(colourNameOf(name))).toBe(colourNameOf(name));
    }),
  );
  expect(new Set(COLOURS.map(colourNameOf)).size).toBe(COLOURS.length);
  expect(colourNameOf('Cafe  stone')).toBe(colourNameOf('Café Stone'));
});

test('a name of nothing but such words is not emptied', () => {
  expect(colourNameOf('Paper')).toBe('paper');
  expect(colourNameOf('Brush pen set')).toBe('brush pen set');
  expect(colourNameOf('–')).toBe('');
});
