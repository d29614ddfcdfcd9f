/** For Node.js only types go and imports become requires: everything else it runs as it is written, and soon. */
const { createHash } = require('node:crypto');
const { readFileSync } = require('node:fs');
const { transformSync, version } = require('esbuild');

const own = createHash('sha256').update(readFileSync(__filename)).update(version).digest('hex');
const keyOf = (source, file) => createHash('sha256').update(own).update(file).update(source).digest('hex');

module.exports = {
  canInstrument: false,
  getCacheKey: keyOf,
  process: (source, file) => {
    const { code, map } = transformSync(source, {
      loader: file.endsWith('x') ? 'tsx' : 'ts',
      format: 'cjs',
      target: `node${process.versions.node}`,
      sourcefile: file,
      sourcemap: 'external',
      sourcesContent: false,
      // Errors keep the names of what they come from.
      keepNames: true,
    });
    return { code, map };
  },
};
