import { readFileSync } from 'node:fs';
import { availableParallelism } from 'node:os';
import { fileURLToPath } from 'node:url';
import { defineConfig } from 'vitest/config';
import { BaseSequencer, type TestSpecification } from 'vitest/node';

// a summer and a winter offset, on any machine: threads cannot change it for themselves
process.env['TZ'] = 'Europe/London';
// what is made for the delivered app: React, and how it is styled, take two thirds of the time that they take while one works on them
process.env['NODE_ENV'] = 'production';

/** A thread goes on with the modules that it has read only from one file to another of the same environment: a third of the time. */
class ByEnvironment extends BaseSequencer {
  override async sort(files: TestSpecification[]): Promise<TestSpecification[]> {
    const sorted = await super.sort(files);
    const isScreen = new Map(
      sorted.map((file) => [file, readFileSync(file.moduleId, 'utf8').startsWith('// @vitest-environment')]),
    );
    return [...sorted.filter((file) => isScreen.get(file)), ...sorted.filter((file) => !isScreen.get(file))];
  }
}

export default defineConfig({
  // React as it is delivered, in which the same tests take two thirds of the time
  oxc: { jsx: { development: false } },
  // a page's tests may read files, whatever a browser may
  environments: { client: { consumer: 'server', resolve: { builtins: [/^node:/] } } },
  test: {
    env: { NODE_ENV: 'production' },
    sequence: { sequencer: ByEnvironment },
    // nothing here leaves anything behind in a module but caches by value: fresh modules for every file doubled the time
    isolate: false,
    // threads share what Node has compiled; nothing here needs a process of its own
    pool: 'threads',
    // by itself it leaves one of two cores to others
    maxWorkers: Math.max(2, availableParallelism()),
    // the store's tests parse hundreds of entries against a database in memory; two busy cores need time
    testTimeout: 60_000,
    include: ['{core,web,server}/**/*.test.{ts,tsx}', 'scripts/**/*.test.ts'],
    exclude: ['**/node_modules/**', '**/dist/**'],
    setupFiles: [fileURLToPath(new URL('./scripts/vitest-setup.ts', import.meta.url))],
  },
});
