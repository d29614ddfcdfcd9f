import fc from 'fast-check';
import { parseColour } from './parse';

test('no text makes reading a colour trip, however strange, and what is read is a hex', () => {
  expect(parseColour('/0a')).toEqual({ ok: false, code: 'colour_unknown', given: '/0a' });
  const pieces = fc.constantFrom(
    '/',
    '0',
    'a',
    '#',
    '(',
    ')',
    ',',
    '%',
    '+',
    '-',
    '.',
    ' ',
    'rgb',
    'hsl',
    'lab',
    'oklch',
    'none',
    '1e999',
    'NaN',
    '255',
    'deg',
    '∞',
  );
  const odd = fc.array(pieces, { maxLength: 9 }).map((parts) => parts.join(''));
  fc.assert(
    fc.property(odd, (text) => {
      const read = parseColour(text);
      if (read.ok) expect(read.hex).toMatch(/^#[0-9a-f]{6}$/);
      else expect(read.given).toBe(text.trim());
    }),
    { numRuns: 5000 },
  );
});
