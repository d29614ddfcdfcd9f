const { EDITION } = require('./barrels.cjs');

module.exports = (api) => {
  api.cache(true);
  return {
    presets: [
      // React Native's web face passes on all it has: what is not asked for need not run.
      ['babel-preset-expo', { lazyImports: (name) => name.startsWith('./exports/') }],
    ],
    // The faces of packages, and Paper's, name all they have; these ask for what is used, each at its own place.
    // The edition is told so that tests, too, keep nothing translated by faces that have changed since.
    plugins: ['react-native-paper/babel', [require.resolve('./barrels.cjs'), { edition: EDITION }]],
  };
};
