import { guessMapping } from './fields';
import { guessByContent } from './guessContent';

const guess = (headings: readonly string[], rows: readonly (readonly string[])[]) =>
  guessByContent(guessMapping(headings), headings, rows);

test('columns with headings in any language, or none that is known, are told by what stands in them', () => {
  const rows = [
    ['Farnkraut', '4c9a52', 'Hollin & Quay', '2', 'T-418'],
    ['Moosgrün', '3a6b35', 'Hollin & Quay', '1', 'T-419'],
    ['Ziegelrot', 'b3262b', 'Marram', '1', 'T-501'],
    ['Taubenblau', '6f8fb0', 'Marram', '2', 'T-502'],
    ['Sand', 'd9c8a0', 'Marram', '1', 'T-503'],
  ];
  expect(guess(['Farbname', 'Farbwert', 'Hersteller', 'Anzahl', 'Nr'], rows)).toEqual({
    name: 0,
    colour: 1,
    quantity: 3,
    code: 4,
  });
  expect(guess(['名前', '色', 'メーカー', '数', ''], rows)).toMatchObject({
    name: 0,
    colour: 1,
    quantity: 3,
  });
});

test('what a heading says stands, and a column is never two things', () => {
  const rows = [
    ['Teal', 'Fern', '1'],
    ['Navy', 'Moss', '1'],
    ['Olive', 'Reed', '1'],
  ];
  // The second column is called the name; names of colours are the colour.
  expect(guess(['x', 'Name', 'y'], rows)).toEqual({ name: 1, colour: 0, quantity: 2 });
  const guessed = Object.values(guess(['a', 'b', 'c'], rows));
  expect(new Set(guessed).size).toBe(guessed.length);
});

test('nothing is guessed from columns that say nothing', () => {
  expect(
    guess(
      ['a', 'b'],
      [
        ['', ''],
        ['', '–'],
      ],
    ),
  ).toEqual({});
});
