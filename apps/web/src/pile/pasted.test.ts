import fc from 'fast-check';
import { readPasted } from './pasted';

test.each([
  ['Fern Gate, #4c9a52, 418', { name: 'Fern Gate', hex: '#4c9a52', code: '418', refusal: null }],
  ['418; Fern Gate; teal', { name: 'Fern Gate', hex: '#008080', code: '418', refusal: null }],
  ['Fern Gate\trgb(76 154 82)', { name: 'Fern Gate', hex: '#4c9a52', refusal: null }],
  ['Red, Barn Door, #a02020', { name: 'Red, Barn Door', hex: '#a02020', refusal: null }],
  ['Teal', { name: 'Teal', hex: '', refusal: expect.stringMatching(/no colour/) }],
  ['#a02020, 12', { name: '', refusal: 'has no name' }],
])('reads “%s”', (line, expected) => expect(readPasted(line)[0]).toMatchObject(expected));

test('the same thing twice is said once', () => {
  expect(readPasted('A, red\n\na, red\nA, red, 7').map(({ refusal }) => refusal)).toEqual([
    null,
    'is there twice',
    null,
  ]);
});

test('every line that is not empty comes out once, whatever it holds', () => {
  fc.assert(
    fc.property(fc.array(fc.string()), (lines) => {
      const text = lines.join('\n');
      const filled = text.split(/\r?\n/).filter((line) => line.trim() !== '');
      expect(readPasted(text)).toHaveLength(filled.length);
    }),
  );
});
