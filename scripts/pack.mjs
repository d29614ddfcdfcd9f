/** Packs what a built app sends: scripts, styles, fonts and pages, once for all by brotli and gzip. */
import { readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { promisify } from 'node:util';
import { brotliCompress, constants, gzip } from 'node:zlib';

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

const brotli = promisify(brotliCompress);
const gzipped = promisify(gzip);

/** All at once, so that every core has its share. */
export async function pack(folder) {
  await Promise.all(
    [...filesBelow(folder)].map(async (path) => {
      if (!PACKED.test(path) || statSync(path).size < LEAST) return;
      const bytes = readFileSync(path);
      const params = {
        [constants.BROTLI_PARAM_SIZE_HINT]: bytes.length,
        [constants.BROTLI_PARAM_QUALITY]: 11,
      };
      const [br, gz] = await Promise.all([brotli(bytes, { params }), gzipped(bytes, { level: 9 })]);
      writeFileSync(`${path}.br`, br);
      writeFileSync(`${path}.gz`, gz);
    }),
  );
}
