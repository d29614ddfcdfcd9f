const { transformIgnorePatterns: _, watchPlugins: __, ...webPreset } = require('jest-expo/web/jest-preset');

/** Packages that ship as ES modules and so must be translated for Jest. */
const translated =
  '/node_modules/(?!(.pnpm|culori|uuid|d3-[a-z-]+|internmap|date-fns|@red-shelf|expo[a-z-]*|@expo[a-z-]*|react-native[a-z-]*|@react-native[a-z-]*|react-navigation|@shopify|color-name-list)/)';
const babel = [
  'babel-jest',
  { presets: [require.resolve('babel-preset-expo')], babelrc: false, configFile: false },
];
const node = (folder) => ({
  displayName: folder,
  rootDir: `${__dirname}/${folder}`,
  testEnvironment: 'node',
  testMatch: ['<rootDir>/src/**/*.test.ts'],
  transform: { '\\.[cm]?[jt]sx?$': require.resolve('./scripts/jest/esbuild.cjs') },
  transformIgnorePatterns: [translated],
  // Its CommonJS face exports nothing under Node.
  moduleNameMapper: { '^color-name-list$': require.resolve('color-name-list').replace('umd', 'esm') },
});

module.exports = {
  testTimeout: 30_000,
  testSequencer: require.resolve('./scripts/jest/longestFirst.cjs'),
  projects: [
    node('packages/core'),
    node('packages/contract'),
    node('apps/server'),
    {
      ...webPreset,
      displayName: 'apps/web',
      rootDir: `${__dirname}/apps/web`,
      testMatch: ['<rootDir>/src/**/*.test.{ts,tsx}'],
      setupFiles: [...(webPreset.setupFiles ?? []), '<rootDir>/src/test/setup.ts'],
      transform: { ...webPreset.transform, '\\.mjs$': babel },
      transformIgnorePatterns: [translated],
    },
  ],
};
