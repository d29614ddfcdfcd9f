/** Packs what a built app sends: scripts, styles, fonts and pages, once for all by brotli and gzip. */
import { readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { brotliCompressSync, constants, gzipSync } from 'node:zlib';

/** Smaller than this nothing is gained. */
const LEAST = 1024;
const PACKED = /\.(js|css|html|json|webmanifest|svg|ttf|otf)$/;

export function* filesBelow(folder) {
  for (const name of readdirSync(folder).sort()) {
    const path = join(folder, name);
    if (statSync(path).isDirectory()) yield* filesBelow(path);
    else yield path;
  }
}

export function pack(folder) {
  for (const path of filesBelow(folder)) {
    if (!PACKED.test(path) || statSync(path).size < LEAST) continue;
    const bytes = readFileSync(path);
    const size = { [constants.BROTLI_PARAM_SIZE_HINT]: bytes.length, [constants.BROTLI_PARAM_QUALITY]: 11 };
    writeFileSync(`${path}.br`, brotliCompressSync(bytes, { params: size }));
    writeFileSync(`${path}.gz`, gzipSync(bytes, { level: 9 }));
  }
}
