/**
 * Gives the built page its fonts: files with a hash in their name, each for the letters it has, and text that shows in
 * another font until they are there.
 */
import { createHash } from 'node:crypto';
import { mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { basename, dirname, join } from 'node:path';
import { at } from './lib.mjs';

/** The families as the app names them (theme/tokens.ts). */
const FONTS = {
  AtkinsonHyperlegibleNext_400Regular: '@fontsource/atkinson-hyperlegible-next/400.css',
  AtkinsonHyperlegibleNext_700Bold: '@fontsource/atkinson-hyperlegible-next/700.css',
  BarlowCondensed_600SemiBold: '@fontsource/barlow-condensed/600.css',
};

/** Puts them into a built app; the answer is what its page says of them. */
export function addFonts(dist) {
  const folder = join(dist, 'fonts');
  mkdirSync(folder, { recursive: true });
  const kept = (file) => {
    const bytes = readFileSync(file);
    const hash = createHash('md5').update(bytes).digest('hex');
    const name = `${basename(file, '.woff2')}.${hash}.woff2`;
    writeFileSync(join(folder, name), bytes);
    return `/fonts/${name}`;
  };
  const faces = Object.entries(FONTS).flatMap(([family, source]) => {
    const sheet = at('node_modules', source);
    const all = readFileSync(sheet, 'utf8').match(/@font-face \{[^}]*\}/g) ?? [];
    return all.map((face) => {
      const [, file = ''] = /url\(([^)]*\.woff2)\)/.exec(face) ?? [];
      const range = /unicode-range: ([^;]*);/.exec(face)?.[1];
      return `@font-face{font-family:${family};font-display:swap;src:url(${kept(join(dirname(sheet), file))}) format('woff2')${range ? `;unicode-range:${range}` : ''}}`;
    });
  });
  return `<style>${faces.join('')}</style>`;
}
