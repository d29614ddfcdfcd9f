import { readFileSync } from 'node:fs';
import { resolve } from 'node:path';

type LeftOut = readonly [file: string, asked: string, instead: string | { readonly type: 'empty' }];
const { insteadOf, LEFT_OUT } = jest.requireActual<{
  insteadOf: (origin: string, name: string) => LeftOut[2] | undefined;
  LEFT_OUT: readonly LeftOut[];
}>('../../leftOut.cjs');

const MODULES = resolve(__dirname, '../../../../node_modules');

/** What is left out of the framework is there in the framework as it is installed: else a line leaves out nothing any more. */
test.each(LEFT_OUT)('%s still asks for %s', (file, asked) => {
  expect(readFileSync(resolve(MODULES, file), 'utf8')).toMatch(
    new RegExp(`['"]${asked.replace(/[./]/g, '\\$&')}['"]`),
  );
});

test('only the file that is named gets something else, and what it gets is said', () => {
  const [file, asked, instead] = LEFT_OUT[0] as LeftOut;
  expect(insteadOf(`/anywhere/node_modules/${file}`, asked)).toBe(instead);
  expect(insteadOf(`C:/anywhere/${file}`, asked)).toBe(instead);
  expect(insteadOf('/anywhere/src/frame/Frame.tsx', asked)).toBeUndefined();
  expect(insteadOf(`/anywhere/node_modules/${file}`, 'react')).toBeUndefined();
});
