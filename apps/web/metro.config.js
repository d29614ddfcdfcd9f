const { getDefaultConfig } = require('expo/metro-config');

const config = getDefaultConfig(__dirname);
// A module runs when something of it is first used, not when it is first named: the first screen comes sooner.
config.transformer.getTransformOptions = () =>
  Promise.resolve({ transform: { experimentalImportSupport: false, inlineRequires: true } });

module.exports = config;
