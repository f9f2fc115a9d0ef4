import { execFileSync } from 'node:child_process';
import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import { benchPage, seasonPage } from './bench-pages.mjs';
import { ensureChromium } from './chromium.mjs';
import { build, installWhenNeeded, ROOT, run } from './install.mjs';
import { openBrowser, serve } from './serve.mjs';
import { timeApp } from './time-app.mjs';
import { timeGardens } from './time-gardens.mjs';

/** So often everything is measured, one thing after another: what a neighbour on the machine slows is not always the same. */
const ROUNDS = 5;

installWhenNeeded();
const chromiumPath = ensureChromium();
build();
run('npx', ['vite', 'build', '-c', '../core/bench/vite.config.ts'], { cwd: join(ROOT, 'web') });

const { address, stop } = await serve(4633);
const browser = await openBrowser(chromiumPath);
const rounds = [];
for (let round = 0; round < ROUNDS; round++)
  rounds.push({
    yardstick: ofProcess('scripts/yardstick.mjs'),
    filter: kernel('filter'),
    ahead: kernel('ahead'),
    shopping: kernel('shopping'),
    feeding: kernel('feeding'),
    tally: kernel('tally'),
    app: await timeApp(browser, address),
  });
const gardens = await timeGardens(browser, address);
await browser.close();
stop();

const text = benchPage(rounds, gardens, firstRouteBytes());
console.log(text);
writeFileSync(join(ROOT, 'docs', 'bench.md'), text);
writeFileSync(join(ROOT, 'docs', 'season-test.md'), seasonPage(kernel('season')));

/** A kernel's timings. */
function kernel(name) {
  return ofProcess(`core/bench/dist/${name}.bench.js`);
}

/** The line of JSON that a script prints; each runs in a process of its own, since another's state would show in it. */
function ofProcess(script) {
  return JSON.parse(execFileSync(process.execPath, [script], { cwd: ROOT, encoding: 'utf8' }));
}

/** Gzipped bytes of JavaScript that the first route loads: the entry, the places, and everything that they import outright. */
function firstRouteBytes() {
  const dist = join(ROOT, 'web', 'dist');
  const manifest = JSON.parse(readFileSync(join(dist, '.vite', 'manifest.json'), 'utf8'));
  const files = new Set();
  const visit = (key) => {
    const chunk = manifest[key];
    if (!chunk || files.has(chunk.file)) return;
    files.add(chunk.file);
    for (const next of chunk.imports ?? []) visit(next);
  };
  for (const start of ['index.html', 'src/app/App.tsx']) visit(start);
  return [...files].reduce((sum, file) => sum + gzipSync(readFileSync(join(dist, file))).length, 0);
}
