import fc from 'fast-check';
import { FAMILIES, groupOf } from './families';
import { familyOf } from './family';
import { NotAColourError } from './notAColour';
import { parseColour } from './parse';

test.each([
  ['#b3262b', 'red'],
  ['#e07b2a', 'orange'],
  ['#f2d04f', 'yellow'],
  ['#4c9a52', 'green'],
  ['#2f9596', 'teal'],
  ['#3468b0', 'blue'],
  ['#74509c', 'purple'],
  ['#ee9dbb', 'pink'],
  ['#6b4a33', 'brown'],
  ['#111111', 'black'],
  ['#8d8d8b', 'grey'],
  ['#fbfaf6', 'white'],
])('people call %s %s', (hex, family) => expect(familyOf(hex).family).toBe(family));

test('a finish that outranks hue decides, and the hue is next in line', () => {
  expect(familyOf('#b3262b', 'metallic')).toEqual({ family: 'metallic', runnerUp: 'red', confidence: 1 });
  expect(familyOf('#3468b0', 'clear').family).toBe('clear');
  expect(familyOf('#3468b0', 'shimmer').family).toBe('blue');
});

test('every colour gets two different families and a confidence between 0 and 1', () => {
  fc.assert(
    fc.property(fc.integer({ min: 0, max: 0xffffff }), (n) => {
      const { family, runnerUp, confidence } = familyOf(`#${n.toString(16).padStart(6, '0')}`);
      expect(FAMILIES).toContain(family);
      expect(FAMILIES).toContain(runnerUp);
      expect(runnerUp).not.toBe(family);
      expect(confidence).toBeGreaterThan(0);
      expect(confidence).toBeLessThanOrEqual(1);
    }),
    { numRuns: 300 },
  );
});

test('black, grey and white stand together', () => {
  expect(['black', 'grey', 'white'].map((family) => groupOf(family as 'black'))).toEqual([
    'neutral',
    'neutral',
    'neutral',
  ]);
});

test('what is not a colour is an error that names it', () => {
  expect(() => familyOf('beige-ish')).toThrow(NotAColourError);
});

test.each([
  ['#C34', '#cc3344'],
  ['c23b42', '#c23b42'],
  ['rgb(194 59 66)', '#c23b42'],
  [' RebeccaPurple ', '#663399'],
  // Plain words are what people mean by them, not what a screen does.
  [' Teal ', '#029386'],
])('reads %s', (given, hex) => expect(parseColour(given)).toEqual({ ok: true, hex }));

test.each([
  ['', 'colour_missing'],
  ['#12345', 'colour_unknown'],
  ['sort of green', 'colour_unknown'],
  ['rgb(0 0 0 / 40%)', 'colour_see_through'],
])('refuses “%s” as %s', (given, code) => expect(parseColour(given)).toMatchObject({ ok: false, code }));

test('every colour a screen can show is read as it is written', () => {
  fc.assert(
    fc.property(fc.integer({ min: 0, max: 0xffffff }), (n) => {
      const hex = `#${n.toString(16).padStart(6, '0')}`;
      expect(parseColour(hex)).toEqual({ ok: true, hex });
    }),
    { numRuns: 2000 },
  );
  expect(parseColour('#008196')).toEqual({ ok: true, hex: '#008196' });
  expect(parseColour('color(display-p3 0 1 0)').ok).toBe(true);
});

test('a plain word for a colour keeps the family it names', () => {
  const words = 'red orange yellow green teal blue purple pink brown black grey white'.split(' ');
  for (const family of words) {
    const colour = parseColour(family);
    expect(colour.ok && familyOf(colour.hex).family).toBe(family);
  }
  const familyFor = (words: string) => {
    const colour = parseColour(words);
    return colour.ok ? familyOf(colour.hex).family : null;
  };
  expect(['chocolate', 'sky blue', 'Burgundy', 'cream', 'navy', 'dark-green'].map(familyFor)).toEqual([
    ...['brown', 'blue', 'red', 'white', 'blue', 'green'],
  ]);
  // No screen's pure colour.
  expect(parseColour('red')).not.toEqual({ ok: true, hex: '#ff0000' });
});
