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

/** Core's folders, each of which may take from those before it, by their index alone. */
const CORE = [
  'errors',
  'schema',
  'statistics',
  'assumed',
  'units',
  'calendar',
  'records',
  'merge',
  'garden-file',
  'csv',
  'climate',
  'mixes',
  'products',
  'plants',
  'bags',
  'stock',
  'water',
  'planting',
  'season',
  'feeding',
  'care',
  'trials',
  'pickings',
  'away',
  'round',
  'garden-state',
  'tally',
  'commands',
  'diary-tables',
  'agenda',
];
const CORE_ORDER = `Core's folders take from those before them: ${CORE.join(' ← ')}.`;
const BY_INDEX = {
  regex: `^(\\.\\./)+(${CORE.join('|')})/(?!index\\.ts$)`,
  message: 'Take what another folder of core gives from its index.ts.',
};

/** Imports go one way. Each layer may be taken from by those after it. */
const PAGES = ['round', 'bags', 'season', 'bench', 'tally', 'files'];
const LAYERS = ['db', 'workers', 'store', 'section', 'text', 'ui', 'pages', 'app'].map((l) => `web/src/${l}`);
const ONE_WAY = 'Imports go one way: core ← db ← workers ← store ← section ← text ← ui ← pages ← app.';

/** Zones that keep each folder of a list from those after it. */
const inOrder = (folders, message) =>
  folders.slice(0, -1).map((target, i) => ({
    target: `./${target}`,
    from: folders.slice(i + 1).map((folder) => `./${folder}`),
    message,
  }));

const zones = [
  ...inOrder(
    CORE.map((folder) => `core/src/${folder}`),
    CORE_ORDER,
  ),
  ...inOrder(['core/src', ...LAYERS], ONE_WAY),
  ...PAGES.map((page) => ({
    target: `./web/src/pages/${page}`,
    from: PAGES.filter((other) => other !== page).map((other) => `./web/src/pages/${other}`),
    message:
      'Pages do not import one another: what two of them need belongs in ui, text, section, store or core.',
  })),
  { target: './core', from: ['./web', './server'], message: 'core imports nothing of the application.' },
];

export default tseslint.config(
  {
    ignores: [
      '**/dist/**',
      '**/dist-static/**',
      '**/node_modules/**',
      'test-results/**',
      'playwright-report/**',
    ],
  },
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
          patterns: [
            { group: ['react*', '@mui/*', 'dexie*', '@tanstack/*', 'express*', 'apexcharts*', 'node:*'] },
            BY_INDEX,
          ],
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
  // a test may see what follows from what it tests
  { files: ['core/src/**/*.test.ts'], rules: { 'import-x/no-restricted-paths': 'off' } },
  { files: ['core/test/**'], rules: { '@typescript-eslint/no-implied-eval': 'off' } },
);
