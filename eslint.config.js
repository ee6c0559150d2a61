import expo from 'eslint-config-expo/flat.js';
import { readFileSync } from 'node:fs';

/** Arrows run one way: client and server import core; core knows no screen, no server, no clock, no chance. */
const CORE_KNOWS_NOT = ['react', 'react-native', 'express', 'pg', 'drizzle-orm', '@reduxjs/toolkit', 'expo*', 'node:*', 'fs', 'path'];

/** From the ground up: an arrow goes down. */
const FOLDERS = JSON.parse(readFileSync(new URL('core/floors.json', import.meta.url), 'utf8')).floors.flatMap((f) => f.folders);

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
      'import/no-restricted-paths': [
        'error',
        {
          zones: FOLDERS.slice(0, -1).map((folder, i) => ({
            target: `core/src/${folder}`,
            from: FOLDERS.slice(i + 1).map((above) => `core/src/${above}`),
            message: 'An arrow goes down: see core/floors.json, and move what both need to the lower floor.',
          })),
        },
      ],
    },
  },
  {
    // What the first screen loads; all else is one piece that comes after it (client/src/stages/lazy-screens.ts).
    files: [
      'client/app/**/*.tsx',
      'client/src/*.{ts,tsx}',
      'client/src/{kit,section,store}/**/*.{ts,tsx}',
      'client/src/stages/{Notices,PaperButton,keys,money,on-demand,save-file,stage,stages}.{ts,tsx}',
      'client/src/stages/*/stage.ts',
      'client/src/stages/start/StartScreen.tsx',
    ],
    ignores: ['**/*.test.{ts,tsx}', 'client/src/store/{derived,testing}.ts', 'client/src/kit/Why.tsx'],
    rules: {
      '@typescript-eslint/no-restricted-imports': [
        'error',
        {
          patterns: [
            {
              regex: '^@roughsill/core(?!/records$)|/derived$',
              allowTypeImports: true,
              message: 'The first screen takes from the core what @roughsill/core/records shows: nothing derived.',
            },
          ],
        },
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
