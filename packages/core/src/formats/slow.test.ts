import { parseColour } from '../colour/parse';
import { readCsv } from './csvRead';

const bytes = (text: string): Uint8Array => new TextEncoder().encode(text);
const HEAD = 'Name,Colour\nFern,#4c9a52\n';

/** Texts that once took from seconds to minutes. The bound is generous: what is quadratic is beyond it by far. */
test.each([
  [
    'a hundred thousand blank lines before the end',
    () => readCsv(bytes(`${HEAD}${'\n'.repeat(100_000)}x,#333`)),
  ],
  ['blank lines at the end', () => readCsv(bytes(`${HEAD}${'\r\n'.repeat(100_000)}`))],
  ['eight million commas', () => readCsv(bytes(`${HEAD}${','.repeat(8e6)}`))],
  ['eight million open quotes', () => readCsv(bytes(`${HEAD}${'"'.repeat(8e6)}`))],
  ['open quotes, one a line', () => readCsv(bytes(`${HEAD}${'"a\n'.repeat(200_000)}`))],
  ['quotes that open and close', () => readCsv(bytes(`${HEAD}${'"a""b",'.repeat(12_000)}\n`.repeat(20)))],
  ['a colour of digits', () => parseColour(`rgb(${'1'.repeat(100_000)}`)],
  ['a colour of spaces', () => parseColour(`rgb(1${' '.repeat(100_000)}x`)],
])('%s: an answer soon', (_, read) => {
  const since = Date.now();
  expect(read()).toHaveProperty('ok');
  expect(Date.now() - since).toBeLessThan(5000);
});

test('a row longer than any list has is refused with its line', () => {
  expect(readCsv(bytes(`${HEAD}${'x'.repeat(150_000)}`))).toMatchObject({
    code: 'csv_too_long_line',
    line: 3,
  });
});
