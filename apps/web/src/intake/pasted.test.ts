import fc from 'fast-check';
import { colourWords, readPasted } from './pasted';

test.each([
  ['Fern Gate, #4c9a52, 418', { name: 'Fern Gate', hex: '#4c9a52', code: '418', refusal: null }],
  ['418; Fern Gate; teal', { name: 'Fern Gate', hex: '#029386', code: '418', refusal: null }],
  ['Fern Gate\trgb(76 154 82)', { name: 'Fern Gate', hex: '#4c9a52', refusal: null }],
  ['Red, Barn Door, #a02020', { name: 'Red, Barn Door', hex: '#a02020', refusal: null }],
  ['Teal', { name: 'Teal', hex: '', refusal: expect.stringMatching(/no colour/) }],
  ['#a02020, 12', { name: '', refusal: 'has no name' }],
])('reads “%s”', (line, expected) => expect(readPasted(line)[0]).toMatchObject(expected));

test('names of colours are looked up, but never the name of the thing itself', () => {
  const list = '71, Fernlight, Dusty Heath\nMoss\nMoss, 72\nBarn, #a02020\nSky\tskyblue\nBank, sky blue';
  expect(colourWords(list)).toEqual(['Fernlight', 'Dusty Heath']);
  const called = new Map([
    ['dusty heath', '#c0737a'],
    ['moss', '#8a9a5b'],
    ['fernlight', '#548d44'],
  ]);
  expect(readPasted(list, called).map(({ name, hex, code }) => [name, hex, code])).toEqual([
    ['Fernlight', '#c0737a', '71'],
    ['Moss', '', ''],
    ['Moss', '', '72'],
    ['Barn', '#a02020', ''],
    ['Sky', '#87ceeb', ''],
    ['Bank', expect.stringMatching(/^#/), ''],
  ]);
});

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
