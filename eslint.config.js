import expo from 'eslint-config-expo/flat.js';

/** Arrows run one way: client and server import core; core knows no screen, no server, no clock, no chance. */
const CORE_KNOWS_NOT = ['react', 'react-native', 'express', 'pg', 'drizzle-orm', '@reduxjs/toolkit', 'expo*', 'node:*', 'fs', 'path'];

export default [
  {
    ignores: [
      '**/dist*/**',
      '**/node_modules/**',
      '.data/**',
      'client/.expo/**',
      'client/.bench*/**',
      'server/migrations/**',
      'docs/**',
      'client/public/**',
    ],
  },
  ...expo,
  {
    rules: {
      'import/no-unresolved': 'off',
      'import/namespace': 'off',
      'import/no-duplicates': 'off',
      'import/no-named-as-default-member': 'off',
      eqeqeq: ['error', 'always'],
      'no-console': 'error',
    },
  },
  {
    files: ['**/*.ts', '**/*.tsx'],
    rules: {
      // A Zod schema and its type share a name on purpose.
      '@typescript-eslint/no-redeclare': 'off',
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
    },
  },
  {
    files: ['core/src/**/*.ts'],
    ignores: ['core/src/**/*.test.ts'],
    rules: {
      'no-restricted-imports': ['error', { patterns: CORE_KNOWS_NOT }],
      'no-restricted-properties': [
        'error',
        { object: 'Math', property: 'random', message: 'The core knows no chance: take a seed.' },
        { object: 'Date', property: 'now', message: 'The core knows no clock: take the time.' },
      ],
      'no-restricted-syntax': [
        'error',
        { selector: "NewExpression[callee.name='Date'][arguments.length=0]", message: 'The core knows no clock: take the time.' },
      ],
    },
  },
  // What is tested is named by the file; the shape of a JSON reply is not.
  { files: ['server/**', 'scripts/**', 'tests/**'], rules: { 'expo/no-dynamic-env-var': 'off' } },
  { files: ['**/*.test.ts', '**/*.test.tsx', 'tests/**'], rules: { '@typescript-eslint/no-explicit-any': 'off', 'import/first': 'off' } },
  {
    files: ['client/jest.setup.ts', '**/*.cjs', 'client/*.config.js'],
    languageOptions: { globals: { jest: 'readonly', module: 'readonly', require: 'readonly', __dirname: 'readonly' } },
    rules: { '@typescript-eslint/no-require-imports': 'off' },
  },
];
