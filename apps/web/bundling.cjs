const path = require('node:path');
const { getDefaultConfig } = require('expo/metro-config');
const { EDITION } = require('./barrels.cjs');
const { insteadOf } = require('./leftOut.cjs');

// Zod carries its messages in forty languages; the app speaks one (saves 267 KB).
const englishOnly = path.resolve(__dirname, 'src/frame/zodEnglish.js');
// Paper asks for an icon font first; the app brings its own few icons (saves 1.3 MB).
const noIconFont = path.resolve(__dirname, 'src/frame/noIconFont.js');
/** How an app in a folder is bundled. */
function bundling(folder) {
  const config = getDefaultConfig(folder);
  // What was translated by other faces, or in another way, is translated anew.
  config.cacheVersion = EDITION;
  config.resolver.resolveRequest = (context, name, platform) => {
    if (
      /(^|\/)locales\/index\.(js|cjs)$/.test(name) &&
      context.originModulePath.includes(`${path.sep}zod${path.sep}`)
    )
      return { type: 'sourceFile', filePath: englishOnly };
    if (
      /^@(react-native-vector-icons|expo\/vector-icons)\//.test(name) ||
      name === 'react-native-vector-icons/MaterialCommunityIcons'
    )
      return { type: 'sourceFile', filePath: noIconFont };
    const instead = insteadOf(context.originModulePath, name);
    if (instead?.type) return instead;
    if (instead) return context.resolveRequest(context, instead, platform);
    // pdf-lib asks for tslib's CommonJS, which Metro cannot read its names from.
    if (name === 'tslib') return context.resolveRequest(context, 'tslib/tslib.es6.js', platform);
    return context.resolveRequest(context, name, platform);
  };

  config.transformer.minifierPath = require.resolve('./minify.cjs');
  // A module runs when something of it is first used, not when it is first named: the first screen comes sooner.
  config.transformer.getTransformOptions = () =>
    Promise.resolve({ transform: { experimentalImportSupport: false, inlineRequires: true } });
  return config;
}

module.exports = bundling;
