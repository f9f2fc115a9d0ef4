/**
 * The rules that a type checker does not know, for `npm run lint`. Circles of imports, and which folder may take from which, stand
 * here too: the folders' names are theirs alone, so that a relative path tells which of them is meant.
 */

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
  group: [...CORE.map((folder) => `**/${folder}/**`), '!**/index.ts'],
  message: 'Take what another folder of core gives from its index.ts.',
};

/** Imports go one way. Each layer may be taken from by those after it. */
const LAYERS = ['db', 'workers', 'store', 'section', 'text', 'ui', 'pages', 'app'];
const PAGES = ['round', 'bags', 'season', 'bench', 'tally', 'files'];
const ONE_WAY = 'Imports go one way: core ← db ← workers ← store ← section ← text ← ui ← pages ← app.';

/** Forbids what lies in one of some folders beside this one, or beside one that holds it. */
const beside = (folders, message) => ({ regex: `^(\\.\\./)+(${folders.join('|')})/`, message });
const APPLICATION = { regex: '(^|/)(web|server)/', message: 'core imports nothing of the application.' };
const NOT_IN_CORE = {
  group: ['react*', '@mui/*', 'dexie*', '@tanstack/*', 'express*', 'apexcharts*', 'node:*'],
  message: 'core runs anywhere, and draws and stores nothing.',
};
const NODE = { group: ['node:*'], message: 'there is no Node in a browser.' };

const TESTS = ['**/*.test.ts', '**/*.test.tsx'];

/** Files of a folder, and what they may not import. */
const imports = (files, patterns, paths = []) => ({
  files,
  excludeFiles: TESTS,
  rules: { 'no-restricted-imports': ['error', { paths, patterns }] },
});

const coreFolders = CORE.map((folder, i) =>
  imports(
    [`core/src/${folder}/**`],
    [
      ...(i + 1 < CORE.length ? [beside(CORE.slice(i + 1), CORE_ORDER)] : []),
      APPLICATION,
      // the schema's own parts are taken one by one: its index is what others see
      ...(folder === 'schema' ? [] : [NOT_IN_CORE, BY_INDEX]),
    ],
    folder === 'schema' ? [] : [{ name: 'zod', message: 'Take z from core/src/schema, which sets it up.' }],
  ),
);

const layers = LAYERS.slice(0, -1).map((layer, i) =>
  imports([`web/src/${layer}/**`], [beside(LAYERS.slice(i + 1), ONE_WAY), NODE]),
);

const pages = PAGES.map((page) =>
  imports(
    [`web/src/pages/${page}/**`],
    [
      beside(['app'], ONE_WAY),
      beside(
        PAGES.filter((other) => other !== page),
        'Pages do not import one another: what two of them need belongs in ui, text, section, store or core.',
      ),
      NODE,
    ],
  ),
);

export default {
  plugins: ['typescript', 'react', 'import'],
  categories: { correctness: 'error' },
  ignorePatterns: ['**/dist/**', '**/dist-static/**', 'test-results/**', 'playwright-report/**'],
  rules: {
    // the rules of a compiler that Rundel is not built with
    'react/immutability': 'off',
    'react/incompatible-library': 'off',
    'react/no-did-update-set-state': 'off',
    'react/preserve-manual-memoization': 'off',
    'react/refs': 'off',
    'react/set-state-in-effect': 'off',

    'import/no-cycle': ['error', { ignoreExternal: true }],
    'no-unused-vars': ['error', { ignoreRestSiblings: true, varsIgnorePattern: '^_' }],
    'no-unused-expressions': 'error',
    'no-array-constructor': 'error',
    'no-useless-constructor': 'error',
    'no-console': 'error',
    'no-var': 'error',
    eqeqeq: 'error',
    'prefer-const': 'error',
    'prefer-rest-params': 'error',
    'prefer-spread': 'error',
    'typescript/ban-ts-comment': ['error', { minimumDescriptionLength: 10 }],
    'typescript/consistent-type-imports': 'error',
    'typescript/no-dynamic-delete': 'error',
    'typescript/no-empty-object-type': 'error',
    'typescript/no-explicit-any': 'error',
    'typescript/no-extraneous-class': 'error',
    'typescript/no-invalid-void-type': 'error',
    'typescript/no-namespace': 'error',
    'typescript/no-non-null-asserted-nullish-coalescing': 'error',
    'typescript/no-non-null-assertion': 'error',
    'typescript/no-require-imports': 'error',
    'typescript/no-unnecessary-type-constraint': 'error',
    'typescript/no-unsafe-function-type': 'error',
    'typescript/prefer-literal-enum-member': 'error',
    'typescript/unified-signatures': 'error',
  },
  overrides: [
    {
      files: ['core/src/**/*.ts'],
      excludeFiles: [...TESTS, 'core/src/schema/**'],
      rules: {
        'no-restricted-globals': ['error', ...IMPURE],
        'no-restricted-properties': [
          'error',
          { object: 'Math', property: 'random', message: 'core takes its random source as an argument.' },
          { object: 'Date', property: 'now', message: 'core takes the time as an argument.' },
        ],
      },
    },
    ...coreFolders,
    {
      files: ['scripts/**', 'web/scripts/**', 'core/bench/**', 'server/**', 'e2e/**'],
      rules: { 'no-console': 'off' },
    },
    {
      files: ['web/**/*.{ts,tsx}'],
      rules: { 'react/rules-of-hooks': 'error', 'react/exhaustive-deps': 'error' },
    },
    {
      // app and tests are checked for their types in one go, where Node's are known
      files: ['web/src/**/*.{ts,tsx}'],
      excludeFiles: TESTS,
      rules: { 'no-restricted-globals': ['error', ...ONLY_IN_NODE] },
    },
    imports(['web/src/**'], [NODE]),
    ...layers,
    ...pages,
  ],
};
