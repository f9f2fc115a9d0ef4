import { createTypeScriptImportResolver } from 'eslint-import-resolver-typescript';
import importX from 'eslint-plugin-import-x';
import reactHooks from 'eslint-plugin-react-hooks';
import globals from 'globals';
import tseslint from 'typescript-eslint';

/** What core may not touch: it gets its clock, its chance and its data as arguments. */
const IMPURE = [
  { name: 'fetch', message: 'core takes data as arguments.' },
  { name: 'window', message: 'core has no interface.' },
  { name: 'document', message: 'core has no interface.' },
  { name: 'indexedDB', message: 'core does not store.' },
];

/** What the app may not touch: it runs in a browser. */
const ONLY_IN_NODE = ['process', 'Buffer', 'global', 'require', 'setImmediate', '__dirname'].map((name) => ({
  name,
  message: 'there is no Node in a browser.',
}));

/**
 * Imports go one way: core ← workers ← store ← section ← places ← app. Places do not import one another.
 * Each line: a folder, and the folders that may import it.
 */
const PLACES = ['round', 'stands', 'season', 'bench', 'tally', 'files'];
const LAYERS = [
  'core',
  'web/src/workers',
  'web/src/store',
  'web/src/section',
  'web/src/parts',
  'places',
  'web/src/app',
];
const foldersOf = (layer) =>
  layer === 'places' ? PLACES.map((p) => `web/src/${p}`) : layer === 'core' ? ['core/src'] : [layer];

const zones = [
  ...LAYERS.flatMap((layer, i) =>
    foldersOf(layer).map((target) => ({
      target: `./${target}`,
      from: LAYERS.slice(i + 1).flatMap((above) => foldersOf(above).map((folder) => `./${folder}`)),
      message: 'Imports go one way: core ← workers ← store ← section ← parts ← places ← app.',
    })),
  ).filter((zone) => zone.from.length > 0),
  ...PLACES.map((place) => ({
    target: `./web/src/${place}`,
    from: PLACES.filter((other) => other !== place).map((other) => `./web/src/${other}`),
    message:
      'Places do not import one another: what two of them need belongs in parts, section, store or core.',
  })),
  { target: './core', from: ['./web', './server'], message: 'core imports nothing of the application.' },
];

export default tseslint.config(
  { ignores: ['**/dist/**', '**/node_modules/**', 'test-results/**', 'playwright-report/**'] },
  ...tseslint.configs.strict,
  {
    files: ['**/*.{ts,tsx,js,mjs}'],
    plugins: { 'import-x': importX, 'react-hooks': reactHooks },
    settings: {
      // without a parser of its own it reads no TypeScript, and finds no circle
      'import-x/parsers': { '@typescript-eslint/parser': ['.ts', '.tsx'] },
      'import-x/resolver-next': [
        createTypeScriptImportResolver({
          project: ['core', 'web', 'server', 'e2e'],
          noWarnOnMultipleProjects: true,
        }),
      ],
    },
    languageOptions: { globals: { ...globals.node, ...globals.browser } },
    rules: {
      'import-x/no-restricted-paths': ['error', { zones }],
      'import-x/no-cycle': ['error', { ignoreExternal: true }],

      '@typescript-eslint/consistent-type-imports': 'error',
      '@typescript-eslint/no-unused-vars': ['error', { ignoreRestSiblings: true, varsIgnorePattern: '^_' }],
      'no-console': 'error',
      eqeqeq: 'error',
    },
  },
  {
    files: ['core/src/**/*.ts'],
    ignores: ['**/*.test.ts', 'core/src/schema/**'],
    rules: {
      'no-restricted-globals': ['error', ...IMPURE],
      'no-restricted-imports': [
        'error',
        {
          paths: [{ name: 'zod', message: 'Take z from core/src/schema, which sets it up.' }],
          patterns: ['react*', '@mui/*', 'dexie*', '@tanstack/*', 'express*', 'apexcharts*', 'node:*'],
        },
      ],
      'no-restricted-properties': [
        'error',
        { object: 'Math', property: 'random', message: 'core takes its random source as an argument.' },
        { object: 'Date', property: 'now', message: 'core takes the time as an argument.' },
      ],
      'no-restricted-syntax': [
        'error',
        {
          selector: "NewExpression[callee.name='Date'][arguments.length=0]",
          message: 'core takes the time as an argument.',
        },
      ],
    },
  },
  {
    files: ['scripts/**', 'web/scripts/**', 'core/bench/**', 'server/**', 'e2e/**'],
    rules: { 'no-console': 'off' },
  },
  {
    files: ['web/**/*.{ts,tsx}'],
    rules: { 'react-hooks/rules-of-hooks': 'error', 'react-hooks/exhaustive-deps': 'error' },
  },
  {
    // app and tests are checked for their types in one go, where Node's are known
    files: ['web/src/**/*.{ts,tsx}'],
    ignores: ['**/*.test.ts', '**/*.test.tsx'],
    rules: {
      'no-restricted-globals': ['error', ...ONLY_IN_NODE],
      'no-restricted-imports': ['error', { patterns: ['node:*'] }],
    },
  },
  { files: ['core/test/**'], rules: { '@typescript-eslint/no-implied-eval': 'off' } },
);
