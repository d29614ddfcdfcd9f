/**
 * Bundles the service worker of the built web app, with the names of all its files in it, and packs what is sent: scripts,
 * styles, fonts and pages once for all by brotli and gzip.
 */
import { createHash } from 'node:crypto';
import { readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { join, relative } from 'node:path';
import { brotliCompressSync, constants, gzipSync } from 'node:zlib';
import { build } from 'esbuild';
import { at, ROOT } from './lib.mjs';

const dist = at('apps/web/dist');
/** What the app never asks for. */
const LEFT_OUT = /^(sw\.js|metadata\.json|robots\.txt|\.stamp)$|\.(map|br|gz)$|\/expo-router\/assets\//;

function* filesBelow(folder) {
  for (const name of readdirSync(folder).sort()) {
    const path = join(folder, name);
    if (statSync(path).isDirectory()) yield* filesBelow(path);
    else yield path;
  }
}

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

/** Smaller than this nothing is gained. */
const LEAST = 1024;
const PACKED = /\.(js|css|html|json|webmanifest|svg|ttf|otf)$/;
for (const path of filesBelow(dist)) {
  if (!PACKED.test(path) || statSync(path).size < LEAST) continue;
  const bytes = readFileSync(path);
  const size = { [constants.BROTLI_PARAM_SIZE_HINT]: bytes.length, [constants.BROTLI_PARAM_QUALITY]: 11 };
  writeFileSync(`${path}.br`, brotliCompressSync(bytes, { params: size }));
  writeFileSync(`${path}.gz`, gzipSync(bytes, { level: 9 }));
}
