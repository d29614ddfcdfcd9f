/** Finishes the built web app: its fonts, its service worker with the names of all its files in it, and what is sent packed. */
import { createHash } from 'node:crypto';
import { readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join, relative } from 'node:path';
import { build } from 'esbuild';
import { addFonts } from './fonts.mjs';
import { at, ROOT } from './lib.mjs';
import { filesBelow, pack } from './pack.mjs';

const dist = at('apps/web/dist');
/** Where the rest of the app is; the page fetches it when the first screen stands (src/frame/openOffline). */
const scripts = '_expo/static/js/web';
const rest = readdirSync(join(dist, scripts)).find((name) => /^rest-[0-9a-f]+\.js$/.test(name));
// What two later pieces share the bundler puts into a script that every screen waits for: it was once 1.5 MB before anybody saw it.
if (readdirSync(join(dist, scripts)).some((name) => name.startsWith('__common')))
  throw new Error(
    'Two pieces that come later share a module (apps/web/src/draw/printing.ts says how to mend it).',
  );
const named = `<meta name="rest" content="/${scripts}/${rest}" />`;
const page = join(dist, 'index.html');
writeFileSync(page, readFileSync(page, 'utf8').replace('</head>', `${addFonts(dist)}${named}</head>`));
/** What the app never asks for. */
const LEFT_OUT = /^(sw\.js|metadata\.json|robots\.txt|\.stamp)$|\.(map|br|gz)$|\/expo-router\/assets\//;

const files = [...filesBelow(dist)]
  .map((path) => ({ path, name: relative(dist, path) }))
  .filter(({ name }) => !LEFT_OUT.test(name))
  .map(({ path, name }) => ({
    url: `/${name}`,
    // Files with a hash in their name never change under it.
    revision: /[-.][0-9a-f]{32}\./.test(name)
      ? null
      : createHash('sha256').update(readFileSync(path)).digest('hex').slice(0, 16),
  }));

await build({
  absWorkingDir: ROOT,
  entryPoints: [at('apps/web/sw/sw.ts')],
  outfile: join(dist, 'sw.js'),
  bundle: true,
  minify: true,
  platform: 'browser',
  target: 'es2022',
  format: 'iife',
  define: { APP_FILES: JSON.stringify(files), 'process.env.NODE_ENV': '"production"' },
  logLevel: 'warning',
});

await pack(dist);
