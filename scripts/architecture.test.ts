import { ASSUMPTIONS } from '@rundel/core/assumed';
import { spawnSync } from 'node:child_process';
import {
  copyFileSync,
  mkdirSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  rmSync,
  writeFileSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';

const ROOT = join(import.meta.dirname, '..');

/** The sources below a folder, by their paths from the root. */
function sourcesIn(root: string): readonly (readonly [string, string])[] {
  return readdirSync(join(ROOT, root), { recursive: true, encoding: 'utf8' })
    .map((path) => join(root, path))
    .filter((path) => /(?<!\.test)\.tsx?$/.test(path))
    .map((path) => [path, readFileSync(join(ROOT, path), 'utf8')]);
}

/** A text as if it stood at a place in the tree, and the rule that it is to break: none when it is right. */
const TEXTS: readonly (readonly [at: string, code: string, rule: string | undefined, what: string])[] = [
  ['web/src/pages/round', "import '../bags/BagPage.tsx';", 'no-restricted-imports', 'a page imports a page'],
  ['web/src/store', "import '../pages/round/walk.ts';", 'no-restricted-imports', 'the store imports a page'],
  ['web/src/section', "import '../text/text.ts';", 'no-restricted-imports', 'the section imports wording'],
  [
    'core/src/water',
    "import '../feeding/index.ts';",
    'no-restricted-imports',
    'core takes from a later folder',
  ],
  [
    'core/src/water',
    "import '../../../web/src/store/ids.ts';",
    'no-restricted-imports',
    'core imports the app',
  ],
  ['core/src/water', "import '../calendar/moments.ts';", 'no-restricted-imports', 'core takes past an index'],
  ['core/src/water', "import 'react';", 'no-restricted-imports', 'core imports what draws'],
  ['core/src/water', "import 'dexie';", 'no-restricted-imports', 'core imports what stores'],
  ['core/src/water', "import 'zod';", 'no-restricted-imports', 'core imports zod past its schema'],
  ['core/src/water', 'export const now = Date.now();', 'no-restricted-properties', 'core reads the clock'],
  [
    'core/src/water',
    'export const draw = Math.random();',
    'no-restricted-properties',
    'core draws by itself',
  ],
  ['web/src/store', 'export const where = process.env;', 'no-restricted-globals', 'the app asks Node'],
  ['web/src/store', "import 'node:fs';", 'no-restricted-imports', 'the app imports Node'],
  ['core/src/units', "import './circle.ts'; export const unit = 1;", 'no-cycle', 'two import one another'],
  ['web/src/pages/round', "import '../../store/index.ts';", undefined, 'a page imports the store'],
  ['web/src/app', "import '../pages/round/walk.ts';", undefined, 'the app imports a page'],
  ['core/src/water', "import '../calendar/index.ts';", undefined, 'core takes from an earlier folder'],
];

describe('the lint rules that keep the layers apart', () => {
  // a tree of its own, so that no other test comes across what is wrong on purpose
  const tree = mkdtempSync(join(tmpdir(), 'rundel-lint-'));
  const fileOf = (i: number) => join(TEXTS[i]?.[0] ?? '', `x${i}.ts`);
  copyFileSync(join(ROOT, 'oxlint.config.mjs'), join(tree, 'oxlint.config.mjs'));
  for (const [i, [at, code]] of TEXTS.entries()) {
    mkdirSync(join(tree, at), { recursive: true });
    writeFileSync(join(tree, fileOf(i)), code);
    if (code.includes('./circle.ts')) writeFileSync(join(tree, at, 'circle.ts'), `import './x${i}.ts';`);
  }
  const oxlint = join(ROOT, 'node_modules/.bin/oxlint');
  const said = spawnSync(oxlint, ['-c', 'oxlint.config.mjs', '-f', 'json'], { cwd: tree, encoding: 'utf8' });
  rmSync(tree, { recursive: true });
  const { diagnostics } = JSON.parse(said.stdout) as {
    readonly diagnostics: readonly { readonly filename: string; readonly code: string }[];
  };

  it.each(TEXTS.map(([at, code, rule, what], i) => ({ at, code, rule, what, i })))(
    '$at: $code: $what',
    ({ rule, i }) => {
      const broken = diagnostics.filter(({ filename }) => filename === fileOf(i)).map(({ code }) => code);
      expect(broken).toEqual(rule === undefined ? [] : [expect.stringContaining(`(${rule})`)]);
    },
  );

  it('core takes the time as an argument', () => {
    const asking = sourcesIn('core/src').filter(([, text]) => /\bnew Date\(\)/.test(text));
    expect(asking.map(([path]) => path)).toEqual([]);
  });
});

describe('what is sent once', () => {
  it('a form stands only in the frames that send it once, however often it is sent', () => {
    const forms = sourcesIn('web/src').filter(([, text]) => /<form\b|component="form"/.test(text));
    expect(forms.map(([path]) => path)).toEqual([
      'web/src/pages/bags/BagFormLayout.tsx',
      'web/src/ui/form/FormDialog.tsx',
      'web/src/ui/form/InlineForm.tsx',
    ]);
    for (const [path, text] of forms) expect(text, path).toContain('useOnce(');
  });

  it('no button puts entries or records down without one of them', () => {
    const bare = /on(Click|Press)=\{(async )?\(\) => [^}]*\b(record|saveRecords|replaceGarden|moveTo)\(/;
    const found = sourcesIn('web/src').flatMap(([path, text]) =>
      text
        .split(/(?=<[A-Z])/)
        .filter((element) => bare.test(element) && !element.startsWith('<OnceButton'))
        .map((element) => `${path}: ${element.slice(0, 120)}`),
    );
    expect(found).toEqual([]);
  });
});

describe('the table of assumptions', () => {
  const sources = ['core/src', 'web/src']
    .flatMap(sourcesIn)
    .filter(([path]) => !path.startsWith(join('core', 'src', 'assumed')))
    .map(([, text]) => text)
    .join('\n');

  it.each(Object.keys(ASSUMPTIONS))('%s is used: to change it changes something', (name) => {
    // read off the resolved numbers, or taken apart from them
    expect(sources).toMatch(
      new RegExp(`\\.${name}\\b|\\{[^{}]*\\b${name}\\b[^{}]*\\}(: | = )\\S*[aA]ssumed`),
    );
  });
});
