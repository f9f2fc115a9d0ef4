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

const yardsticks = [yardstick()];
const filter = kernel('filter');
const ahead = kernel('ahead');
const shopping = kernel('shopping');
const feeding = kernel('feeding');
const season = kernel('season');
const bytes = firstRouteBytes();
yardsticks.push(yardstick());
const navigation = await timeNavigation();
yardsticks.push(yardstick());
const text = report();
console.log(text);
writeFileSync(join(ROOT, 'docs', 'bench.md'), text);
writeFileSync(join(ROOT, 'docs', 'season-test.md'), seasonPage(season));

/** How fast the machine is just now; in a process of its own, since this one's state would show in it. */
function yardstick() {
  return JSON.parse(
    execFileSync(process.execPath, ['scripts/yardstick.mjs'], { cwd: ROOT, encoding: 'utf8' }),
  );
}

/** A kernel's timings: the line of JSON that its bench prints. */
function kernel(name) {
  const args = ['--import', 'tsx', `core/bench/${name}.bench.ts`];
  return JSON.parse(execFileSync(process.execPath, args, { cwd: ROOT, encoding: 'utf8' }));
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
  for (const start of ['index.html', 'src/app/router.tsx']) visit(start);
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
  const rounds = [];
  const answers = [];
  const starts = [];
  const looks = [];
  for (let i = 0; i < 5; i++) {
    const page = await (await browser.newContext({ viewport: { width: 1280, height: 800 } })).newPage();
    await page.addInitScript(watchRound);
    await page.addInitScript(watchLongTasks);
    cold.push(await usable(page, `${address}/?garden=demo`));
    for (let j = 0; j < 3; j++) {
      warm.push(await usable(page, `${address}/round`));
      rounds.push(await page.evaluate(() => globalThis.roundTook));
      // what stands beside the stop is drawn after it
      await page.waitForTimeout(1500);
      starts.push(await longestTask(page));
    }
    // one look, to the proposal that follows it; then undone
    for (let j = 0; j < 3; j++) {
      answers.push(await timeAnswer(page));
      await page.waitForTimeout(500);
      looks.push(await longestTask(page));
      await page.keyboard.press('u');
      await page.getByRole('button', { name: 'Given' }).waitFor({ state: 'detached' });
      // nobody taps again before the page is at rest
      await page.waitForTimeout(800);
    }
    await page.context().close();
  }
  await browser.close();
  stop();
  const median = (times) => Math.round(times.sort((a, b) => a - b)[Math.floor(times.length / 2)]);
  return {
    cold: median(cold),
    warm: median(warm),
    round: median(rounds),
    answer: median(answers),
    start: median(starts),
    look: median(looks),
  };
}

/** Runs in the page: notes every task of the main thread that takes longer than 50 ms. */
function watchLongTasks() {
  globalThis.longTasks = [];
  new PerformanceObserver((list) => {
    for (const { duration } of list.getEntries()) globalThis.longTasks.push(duration);
  }).observe({ type: 'longtask', buffered: true });
}

/** The longest task since this was last asked, ms; 50 stands for "none is longer". */
function longestTask(page) {
  return page.evaluate(() => Math.max(50, ...globalThis.longTasks.splice(0)));
}

/** Runs in the page: how long from a garden that is read, all its bags still to be worked out, to a stop with its grades. */
function watchRound() {
  let read;
  const watch = new MutationObserver(() => {
    const words = document.getElementById('main')?.textContent ?? '';
    if (read === undefined && words.includes('Working out how the bags stand')) read = performance.now();
    if (read === undefined || !words.includes('barely damp')) return;
    watch.disconnect();
    globalThis.roundTook = performance.now() - read;
  });
  watch.observe(document, { subtree: true, childList: true, characterData: true });
}

/** Milliseconds from the click on "dry" to the frame in which the proposed drink stands, told by the page itself. */
async function timeAnswer(page) {
  const dry = page.getByRole('button', { name: /^dry / });
  const waiting = dry.evaluate(
    (button) =>
      new Promise((resolve) => {
        let started;
        button.addEventListener('click', () => (started = performance.now()), { capture: true, once: true });
        const watch = new MutationObserver(() => {
          if (!document.querySelector('[aria-label="Proposed drink"]')) return;
          watch.disconnect();
          requestAnimationFrame(() => resolve(performance.now() - started));
        });
        watch.observe(document.body, { subtree: true, childList: true });
      }),
  );
  await dry.click();
  return waiting;
}

/** The season test's table (core/bench/season), with what it says in words around it. */
function seasonPage({ seconds, comparisons }) {
  const percent = (share, digits = 0) => `${(share * 100).toFixed(digits)} %`;
  const names = { coolWet: 'A cool wet climate', hot: 'A hot climate' };
  const tables = comparisons.map(({ climate, bags, days, lines, truth }) => {
    const daily = lines[0].looks;
    const rows = lines.map(
      (l) =>
        `| ${l.name} | ${percent(l.looks / daily)} | ${percent(l.dry, 2)} | ${percent(l.walks)} | ${percent(l.waste)} |`,
    );
    return `## ${names[climate]}

${bags} bags over four weather years, ${days} days each.

| who | looks, of daily's | bag-days below a fifth | days with a walk | poured and lost |
| --- | --- | --- | --- | --- |
${rows.join('\n')}

Stated 10 to 90 % ranges held ${percent(truth.coverage, 1)} of evenings. "Hours until it wants water" was off by ${percent(truth.hoursError)} in the median of ${truth.forecasts} forecasts.
`;
  });
  return `# The season test

By \`npm run bench\` on ${new Date().toISOString().slice(0, 10)}, in ${seconds.toFixed(0)} s. The command writes this page anew; the words around the figures stand in \`scripts/bench.mjs\`.

The truth is not the model. Hidden bags (\`core/hidden\`) have two layers, hourly steps, another formula for use and for growth, a use that wanders, water that runs past dry mix, and fingers that are off; their weather hangs together from day to day. A grower sees only what one can see: a day's minimum, maximum and rain afterwards, what the bag is sold as (a tenth off in its water, a fifth off in its leaves), and what the finger says. Everyone goes round once a day, at six in the evening, and pours alike: in parts, with pauses, until it runs through. Rundel expects of the days to come what is usual for the place, no forecast. A bag-day counts as dry when its real water was below a fifth at any hour.

${tables.join('\n')}
## What it shows, and what not

- Fewer *looks*, hardly fewer walks: somewhere a bag is nearly always due. A simple habit by millimetres of reference evapotranspiration saves as many looks and far more walks, at several times the dry-outs.
- Who looks every day and drinks at "barely damp" does about as well as Rundel against dry-outs, and in the cool climate a little better, for two and a half times the looks and as much water.
- The bag's own habitual interval looks least often of all. In a cool summer that is cheap; in a hot one it is not.
- Most dry-outs belong to a few bags that one round a day cannot keep. No rule about looking mends those: a second round, a bigger bag, mulch, shade or a store of water does.
- The error of the hours is larger than a forecast of the weather would make it: the days to come are taken as usual.
- One simulator is one opinion about bags. The numbers that were set by it (spread of a day's use, drift, the finger's offset, the pace of growth) are marked *assumed* and can be changed in Settings.
`;
}

function report() {
  const kilobytes = (bytes / 1000).toFixed(0);
  return `# Measured

By \`npm run bench\` on ${new Date().toISOString().slice(0, 10)}: Node ${process.versions.node}, ${cpus().length} cores (${cpus()[0]?.model.trim() ?? 'unknown'}), headless Chromium.
The command writes this page anew; nothing on it is typed by hand. To compare with another day: before the cores' figures, after them and after the browser's, a fixed loop of twenty million multiply-adds that wait for one another took ${yardsticks.map(({ chained }) => chained).join(', ')} ms, and one of eighty million that need not wait ${yardsticks.map(({ free }) => free).join(', ')} ms. A neighbour on the same core slows only the second, and most of what is measured here.

| what | figure |
| --- | --- |
| water filter, one bag's season (${filter.days} days, ${filter.entries} entries as a simulated bag was felt and drank, 40 × 25 grid), median of ${filter.runs} bags | ${filter.medianMs} ms |
| the same, slowest | ${filter.slowestMs} ms |
| the same with looks that come at random, 300 entries: the belief at its widest | ${filter.randomMs} ms |
| such a bag after one new entry, median of ${filter.runs} | ${filter.newEntryMs} ms |
| ${filter.bags} such bags one after another in one worker | ${filter.allBagsMs} ms |
| the same, shared over ${filter.workers} workers as the app does it, median of 5 | ${filter.sharedMs} ms |
| looking ahead: ${ahead.bags} bags × ${ahead.days} days × ${ahead.draws} draws, in one worker, median of ${ahead.runs} | ${ahead.aheadMs} ms |
| a bag's feeding on the demo: three ledgers of a season, due steps, the mix used up, median of ${feeding.bags} bags | ${feeding.feedingMs} ms |
| a regime's dates for three months, median | ${feeding.previewMs} ms |
| shopping list, ${shopping.bags} bags, 12 ingredients, ${shopping.packs} pack sizes, exact cover, median of ${shopping.runs} different lists | ${shopping.medianMs} ms |
| the same, slowest | ${shopping.slowestMs} ms |
| first route's JavaScript, gzip | ${kilobytes} kB |
| the round of the demo with all its bags worked out anew, from the garden read to a stop that can be used, median of 15 | ${navigation.round} ms |
| a tap on a grade, on a page at rest, to the drink that is proposed, median of 15 | ${navigation.answer} ms |
| navigation to a usable round on the demo, first visit (fetches and stores the demo), median of 5 | ${navigation.cold} ms |
| the same, later visits, median of 15 | ${navigation.warm} ms |
| the longest task of the main thread in such a later visit, median of 15 | ${taskWords(navigation.start)} |
| the longest one from a tap on a grade until all is drawn, median of 15 | ${taskWords(navigation.look)} |
`;
}

function taskWords(longest) {
  return longest > 50 ? `${longest} ms` : 'none over 50 ms';
}
