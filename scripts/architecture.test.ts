import { ASSUMPTIONS } from '@rundel/core/assumed';
import { ESLint } from 'eslint';
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';

const ROOT = join(import.meta.dirname, '..');
const eslint = new ESLint({ cwd: ROOT });

/** Lints a text as if it stood at a place in the tree. */
async function complaints(at: string, code: string): Promise<(string | null)[]> {
  const [result] = await eslint.lintText(code, { filePath: join(ROOT, at) });
  return result?.messages.map((m) => m.ruleId) ?? [];
}

describe('the lint rules that keep the layers apart', () => {
  it.each([
    ['web/src/pages/round/x.ts', "import '../bags/BagPage.tsx';", 'a page imports a page'],
    ['web/src/store/x.ts', "import '../pages/round/walk.ts';", 'the store imports a page'],
    ['web/src/section/x.ts', "import '../text/text.ts';", 'the section imports wording'],
    ['core/src/water/x.ts', "import '../feeding/index.ts';", 'core takes from a later folder'],
    ['core/src/water/x.ts', "import '../../../web/src/store/ids.ts';", 'core imports the app'],
  ])('%s: %s is an error, since %s', async (at, code) => {
    expect(await complaints(at, code)).toContain('import-x/no-restricted-paths');
  });

  it.each([
    ['core/src/water/x.ts', "import 'react';", 'no-restricted-imports'],
    ['core/src/water/x.ts', "import Dexie from 'dexie'; export default Dexie;", 'no-restricted-imports'],
    ['core/src/water/x.ts', 'export const now = Date.now();', 'no-restricted-properties'],
    ['core/src/water/x.ts', 'export const now = new Date();', 'no-restricted-syntax'],
    ['core/src/water/x.ts', 'export const draw = Math.random();', 'no-restricted-properties'],
    ['core/src/water/x.ts', "import '../calendar/moments.ts';", 'no-restricted-imports'],
    ['web/src/store/x.ts', 'export const where = process.env;', 'no-restricted-globals'],
    ['web/src/store/x.ts', "import 'node:fs';", 'no-restricted-imports'],
  ])('%s: %s is an error', async (at, code, rule) => {
    expect(await complaints(at, code)).toContain(rule);
  });

  it('a circle of imports is an error', async () => {
    // the loops and the plain filter each take nothing from the belief that is built on them
    const circle = "import { Belief } from '../belief.ts'; export const loop = () => Belief;";
    expect(await complaints('core/src/water/cells/column.ts', circle)).toContain('import-x/no-cycle');
  });

  it('the right direction is no error', async () => {
    expect(await complaints('web/src/pages/round/x.ts', "import '../../store/index.ts';")).toEqual([]);
    expect(await complaints('web/src/app/x.ts', "import '../pages/round/walk.ts';")).toEqual([]);
  });
}, 60_000);

/** The sources below a folder, by their paths from the root. */
function sourcesIn(root: string): readonly (readonly [string, string])[] {
  return readdirSync(join(ROOT, root), { recursive: true, encoding: 'utf8' })
    .map((path) => join(root, path))
    .filter((path) => /(?<!\.test)\.tsx?$/.test(path))
    .map((path) => [path, readFileSync(join(ROOT, path), 'utf8')]);
}

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
