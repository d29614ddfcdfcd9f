/** Bundles the service worker of the built web app, with the names of all its files in it, and packs what is sent. */
import { createHash } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { join, relative } from 'node:path';
import { build } from 'esbuild';
import { at, ROOT } from './lib.mjs';
import { filesBelow, pack } from './pack.mjs';

const dist = at('apps/web/dist');
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

pack(dist);
