const { transformSync } = require('esbuild');

/** Makes one module small, with the tool that bundles the server: in a tenth of the time the usual one takes. */
module.exports = ({ code, map, filename }) => {
  const small = transformSync(code, {
    minify: true,
    target: 'es2022',
    charset: 'utf8',
    legalComments: 'none',
    sourcefile: filename,
    sourcemap: map ? 'external' : false,
  });
  return { code: small.code, map: small.map ? JSON.parse(small.map) : map };
};
