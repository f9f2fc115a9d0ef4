import { readFileSync } from 'node:fs';
import { relative, resolve } from 'node:path';
import { describe, expect, it } from 'vitest';
import { DEFAULT_ASSUMED } from '../src/assumed/index.ts';
import { scoopsOf } from '../src/products/index.ts';
import { boxSolid } from '../src/bags/index.ts';
import { defaultNormals } from '../src/climate/index.ts';
import { cropOf, habitOf } from '../src/plants/index.ts';
import { mixOf } from '../src/mixes/index.ts';
import { allExamples, examplesIn, sourcesBelow, type DocExample } from './docblock-examples.ts';

const SOURCES = resolve(import.meta.dirname, '../src');

/** Things that examples may name without making them. */
const FIXTURES = {
  DEFAULT_ASSUMED,
  metricScoops: scoopsOf({ settings: { units: 'metric', assumptions: {} }, measures: [] }),
  solid300: boxSolid({ lengthMillimetres: 350, widthMillimetres: 350, heightMillimetres: 300 }),
  flatBox: boxSolid({ lengthMillimetres: 600, widthMillimetres: 400, heightMillimetres: 100 }),
  pepperBush: habitOf('pepper', 'bush'),
  tallTomato: habitOf('tomato', 'tall'),
  boughtMix: mixOf('bought'),
  tomato: cropOf('tomato'),
  site51: { latitudeDegrees: 51, normals: defaultNormals(51) },
  check: {
    id: 'ent_original',
    kind: 'check',
    at: '2026-07-16T18:00:00.000+01:00',
    recordedAt: '2026-07-16T18:00:00.000+01:00',
    containerId: 'con_fixture',
    check: { method: 'finger', grade: 2 },
  },
};

async function run(example: DocExample): Promise<unknown> {
  const module: Record<string, unknown> = (await import(example.file)) as Record<string, unknown>;
  const scope = { ...FIXTURES, ...module };
  const evaluate = new Function(...Object.keys(scope), `return (${example.expression});`);
  return evaluate(...Object.values(scope)) as unknown;
}

/** Numbers anywhere in a value, compared loosely; everything else exactly. */
function expectClose(actual: unknown, expected: unknown): void {
  if (typeof expected === 'number') {
    const digits = String(expected).split('.')[1]?.length ?? 0;
    const tolerance = Math.max(Math.abs(expected) * 1e-3, 0.5 * 10 ** -digits);
    expect(Math.abs((actual as number) - expected)).toBeLessThanOrEqual(tolerance);
  } else if (expected !== null && typeof expected === 'object') {
    expect(Object.keys(actual as object).sort()).toEqual(Object.keys(expected).sort());
    for (const [key, value] of Object.entries(expected)) {
      expectClose((actual as Record<string, unknown>)[key], value);
    }
  } else expect(actual).toEqual(expected);
}

describe('examples in docblocks', () => {
  const examples = allExamples(SOURCES);

  it.each(examples.map((e) => [`${relative(SOURCES, e.file)}:${e.line}`, e] as const))(
    '%s',
    async (_, example) => {
      const expected: unknown = new Function(`return (${example.expected});`)();
      const actual = await run(example);
      if (example.isExact) expect(actual).toEqual(expected);
      else expectClose(actual, expected);
    },
  );

  it('are all found: every @example ends in an expectation', () => {
    const written = sourcesBelow(SOURCES)
      .map((file) => readFileSync(file, 'utf8').match(/@example/g)?.length ?? 0)
      .reduce((a, b) => a + b, 0);
    expect(examples).toHaveLength(written);
    expect(written).toBeGreaterThan(25);
  });

  it('the collector reads several lines as one expression', () => {
    const source = ['/**', ' * @example', ' * add(', ' *   1, 2)', ' * // => 3', ' */'].join('\n');
    expect(examplesIn('x.ts', source)).toMatchObject([{ expression: 'add(\n1, 2)', expected: '3', line: 5 }]);
  });
});

describe('what docblocks cite of the model', () => {
  const text = readFileSync(resolve(SOURCES, '../../docs/model.md'), 'utf8');
  const sections = new Set([...text.matchAll(/^## (\d+\. .+)$/gm)].map(([, heading]) => heading));
  const cited = sourcesBelow(SOURCES).flatMap((file) =>
    [...readFileSync(file, 'utf8').matchAll(/@see docs\/model\.md, (.+)$/gm)].map(
      ([, section]) => [relative(SOURCES, file), section] as const,
    ),
  );

  it('is a section that is there', () => {
    expect(cited.length).toBeGreaterThan(40);
    expect(cited.filter(([, section]) => !sections.has(section ?? ''))).toEqual([]);
  });

  it('is every section but what is left out', () => {
    const named = new Set(cited.map(([, section]) => section));
    const uncited = [...sections].filter((section) => !named.has(section ?? ''));
    expect(uncited.filter((section) => !/leaves out/.test(section ?? ''))).toEqual([]);
  });
});
