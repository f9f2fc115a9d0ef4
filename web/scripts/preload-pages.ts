import { appendFileSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { Plugin, Rolldown } from 'vite';
import { pageOf } from '../src/app/page-of.ts';

type Chunk = Pick<Rolldown.OutputChunk, 'fileName' | 'imports'>;

/** Tells of a chunk all the files that come with it: itself and what it imports outright, and so on. */
export function wholeOf(chunks: readonly Chunk[]) {
  const byFile = new Map(chunks.map((chunk) => [chunk.fileName, chunk]));
  return function whole(file: string | undefined, found = new Set<string>()): Set<string> {
    if (file === undefined || found.has(file)) return found;
    found.add(file);
    for (const next of byFile.get(file)?.imports ?? []) whole(next, found);
    return found;
  };
}

/** `name: () => import('../pages/…')`, as the routes have them. */
const LOAD = /(\w+): \(\) => import\('\.\.\/(pages\/[^']+)'\)/g;

/**
 * Starts the worker that reads the garden, and fetches the page of the address along with the app: neither is one journey after
 * it, nor behind all its files. What they are called is known once they are built, so that it is written at the end of `early.js`,
 * the first thing that runs.
 */
export const preloadPages: Plugin = {
  name: 'preload-pages',
  apply: 'build',
  writeBundle({ dir = '' }, bundle) {
    const chunks = Object.values(bundle).filter((file) => file.type === 'chunk');
    const whole = wholeOf(chunks);
    const first = new Set<string>();
    for (const chunk of chunks) if (chunk.isEntry || chunk.name === 'App') whole(chunk.fileName, first);
    const routes = readFileSync(join(import.meta.dirname, '../src/app/routes.tsx'), 'utf8');
    const files: string[] = [];
    const pages: Record<string, number[]> = {};
    for (const [, name = '', source = ''] of routes.matchAll(LOAD)) {
      const page = chunks.find(({ facadeModuleId }) => facadeModuleId?.endsWith(source));
      pages[name] = [...whole(page?.fileName)]
        .filter((file) => !first.has(file))
        .map((file) => (files.includes(file) ? files.indexOf(file) : files.push(file) - 1));
    }
    const store = Object.keys(bundle).find((file) => /store\.worker-[^/]*\.js$/.test(file));
    if (store === undefined) throw new Error('The worker that reads the garden is not among what was built.');
    appendFileSync(
      join(dir, 'early.js'),
      `
globalThis.rundelStore = new Worker(new URL(${JSON.stringify(store)}, document.currentScript.src), {
  type: 'module',
  name: ['store', document.documentElement.dataset.garden || 'own', Date.now()].join(' '),
});
globalThis.rundelStore.onerror = () => (globalThis.rundelStore.hasFailed = true);
for (const at of ${JSON.stringify(pages)}[(${String(pageOf)})(location.hash.slice(1) || location.pathname)] ?? [])
  document.head.append(Object.assign(document.createElement('link'), {
    rel: 'modulepreload',
    crossOrigin: '',
    href: new URL(${JSON.stringify(files)}[at], document.currentScript.src),
  }));
`,
    );
  },
};
