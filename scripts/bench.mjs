import { execFileSync } from 'node:child_process';
import { readFileSync, writeFileSync } from 'node:fs';
import { cpus } from 'node:os';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import { ensureChromium } from './chromium.mjs';
import { build, installWhenNeeded, ROOT } from './install.mjs';
import { openBrowser, serve } from './serve.mjs';

installWhenNeeded();
const chromiumPath = ensureChromium();
build();

const filter = kernel('filter');
const shopping = kernel('shopping');
const bytes = firstRouteBytes();
const navigation = await timeNavigation();
const text = report();
console.log(text);
writeFileSync(join(ROOT, 'docs', 'bench.md'), text);

/** A kernel's timings: the line of JSON that its bench prints. */
function kernel(name) {
  const args = ['--import', 'tsx', `core/bench/${name}.bench.ts`];
  return JSON.parse(execFileSync(process.execPath, args, { cwd: ROOT, encoding: 'utf8' }));
}

/** Gzipped bytes of JavaScript that the first route loads: the entry and everything it imports outright. */
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
  visit('index.html');
  return [...files].reduce((sum, file) => sum + gzipSync(readFileSync(join(dist, file))).length, 0);
}

/** Milliseconds from navigation to a round on the demo that can be used, cold (first load) and warm, medians. */
async function timeNavigation() {
  const { address, stop } = await serve(4633);
  const browser = await openBrowser(chromiumPath);
  const usable = async (page, url) => {
    const started = performance.now();
    await page.goto(url);
    await page.getByRole('button', { name: /^barely damp/ }).waitFor();
    return performance.now() - started;
  };
  const cold = [];
  const warm = [];
  for (let i = 0; i < 5; i++) {
    const page = await (await browser.newContext({ viewport: { width: 1280, height: 800 } })).newPage();
    cold.push(await usable(page, `${address}/?garden=demo`));
    for (let j = 0; j < 3; j++) warm.push(await usable(page, `${address}/round`));
    await page.context().close();
  }
  await browser.close();
  stop();
  const median = (times) => Math.round(times.sort((a, b) => a - b)[Math.floor(times.length / 2)]);
  return { cold: median(cold), warm: median(warm) };
}

function report() {
  const kilobytes = (bytes / 1000).toFixed(0);
  return `# Measured

By \`npm run bench\` on ${new Date().toISOString().slice(0, 10)}: Node ${process.versions.node}, ${cpus().length} cores (${cpus()[0]?.model.trim() ?? 'unknown'}), headless Chromium.
The command writes this page anew; nothing on it is typed by hand.

| what | figure |
| --- | --- |
| water filter, one bag's season (${filter.days} days, ${filter.entries} entries, 40 × 25 grid), median of ${filter.runs} | ${filter.medianMs} ms |
| the same, slowest | ${filter.slowestMs} ms |
| shopping list, ${shopping.bags} bags, 12 ingredients, ${shopping.packs} pack sizes, exact cover, median of ${shopping.runs} different lists | ${shopping.medianMs} ms |
| the same, slowest | ${shopping.slowestMs} ms |
| first route's JavaScript, gzip | ${kilobytes} kB |
| navigation to a usable round on the demo, first visit (fetches and stores the demo), median of 5 | ${navigation.cold} ms |
| the same, later visits, median of 15 | ${navigation.warm} ms |
`;
}
