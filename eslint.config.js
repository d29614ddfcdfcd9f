import tseslint from 'typescript-eslint';

/** Arrows point downward only: core knows nobody, contract knows core, server and web know both, never each other. */
const forbid = (folder, patterns, message) => ({
  files: [`${folder}/**/*.{ts,tsx}`],
  rules: { 'no-restricted-imports': ['error', { patterns: [{ group: patterns, message }] }] },
});

export default tseslint.config(
  {
    ignores: [
      '**/dist/**',
      '**/node_modules/**',
      '**/.expo/**',
      'apps/server/drizzle/**',
      'data/**',
      'apps/web/types.d.ts',
    ],
  },
  {
    files: ['packages/*/src/**/*.ts', 'apps/server/src/**/*.ts', 'apps/web/**/*.{ts,tsx}'],
    extends: [...tseslint.configs.recommendedTypeChecked],
    languageOptions: { parserOptions: { projectService: true, tsconfigRootDir: import.meta.dirname } },
    rules: {
      '@typescript-eslint/no-explicit-any': 'error',
      '@typescript-eslint/no-non-null-assertion': 'error',
      '@typescript-eslint/consistent-type-imports': 'error',
      '@typescript-eslint/switch-exhaustiveness-check': [
        'error',
        { considerDefaultExhaustiveForUnions: true },
      ],
      '@typescript-eslint/no-unused-vars': [
        'error',
        { argsIgnorePattern: '^_', varsIgnorePattern: '^_', ignoreRestSiblings: true },
      ],
      '@typescript-eslint/require-await': 'off',
      eqeqeq: 'error',
      'no-console': 'off',
    },
  },
  forbid(
    'packages/core',
    [
      '@red-shelf/*',
      'react',
      'react-native',
      'react-native-*',
      'expo*',
      'express',
      'drizzle-orm*',
      '@libsql/*',
      'node:*',
      'fs',
      'path',
    ],
    'The core is pure: no interface, HTTP, database or machine.',
  ),
  forbid(
    'packages/contract',
    ['@red-shelf/server', '@red-shelf/web', 'react*', 'express', 'drizzle-orm*', 'node:*'],
    'The contract knows the core only.',
  ),
  forbid(
    'apps/server',
    ['@red-shelf/web', 'react*', 'expo*', '**/apps/web/**'],
    'The server does not know the web app.',
  ),
  forbid(
    'apps/web',
    ['@red-shelf/server', 'express', 'drizzle-orm*', '@libsql/*', '**/apps/server/**'],
    'The web app knows the server by its contract only.',
  ),
  {
    // What HTTP answers is checked by the tests' own expectations; outside tables are read from files.
    files: ['**/*.test.{ts,tsx}', '**/src/test/**'],
    rules: {
      'no-restricted-imports': 'off',
      '@typescript-eslint/no-non-null-assertion': 'off',
      '@typescript-eslint/no-unsafe-assignment': 'off',
      '@typescript-eslint/no-unsafe-argument': 'off',
      '@typescript-eslint/no-unsafe-call': 'off',
      '@typescript-eslint/no-unsafe-member-access': 'off',
      '@typescript-eslint/no-unsafe-return': 'off',
    },
  },
);
