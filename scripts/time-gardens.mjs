import { mkdtempSync, rmSync } from 'node:fs';
import { execFileSync } from 'node:child_process';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { ROOT } from './install.mjs';

/** Bags × seasons of the gardens that are tried. */
export const SIZES = [24, 100, 500].flatMap((bags) => [1, 3, 10].map((seasons) => ({ bags, seasons })));

/** The moment on which the gardens stand: the page's clock begins there and runs on. */
const NOW = '2026-09-20T22:30:00.000+01:00';

/** Pages that show much at once, by what they are called in docs/bench.md. */
const PAGES = [
  '/bags',
  '/round',
  '/season',
  '/tally',
  '/tally/coming',
  '/bench/feeds',
  '/bench/shed',
  '/files',
];

/**
 * Gardens of many bags and seasons in the browser: what opening their file costs, how soon a round can be used on a later visit,
 * and the longest task of the main thread on the pages that show most.
 *
 * @param visits how often each garden is opened anew
 */
export async function timeGardens(browser, address, sizes = SIZES, visits = 5, pages = PAGES) {
  const folder = mkdtempSync(join(tmpdir(), 'rundel-gardens-'));
  const found = [];
  for (const { bags, seasons } of sizes) {
    const file = join(folder, `${bags}-${seasons}.json`);
    const made = JSON.parse(
      execFileSync(
        process.execPath,
        ['core/bench/dist/gardens.bench.js', String(bags), String(seasons), file],
        {
          cwd: ROOT,
          encoding: 'utf8',
        },
      ),
    );
    found.push({ bags, seasons, ...made, ...(await timeGarden(browser, address, file, visits, pages)) });
  }
  rmSync(folder, { recursive: true });
  return found;
}

async function timeGarden(browser, address, file, visits, pages) {
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
  const page = await context.newPage();
  page.setDefaultTimeout(120_000);
  await page.addInitScript(startClockAt, NOW);
  await page.addInitScript(watchTasks);
  const session = await browser.newBrowserCDPSession();
  await page.goto(`${address}/`);
  await page.locator('input[type="file"]').waitFor({ state: 'attached' });
  await page.waitForTimeout(500);

  const before = await cpuSeconds(session);
  const started = performance.now();
  await page.locator('input[type="file"]').setInputFiles(file);
  await page.getByRole('button', { name: 'Open it' }).click();
  await page.getByRole('heading', { level: 1 }).waitFor();
  const openedMs = performance.now() - started;
  const openedCpuMs = 1000 * ((await cpuSeconds(session)) - before);
  // the first working out of all bags, and what is kept of it for the next visit
  await usable(page, `${address}/round`);
  await page.waitForTimeout(9000);

  const visitsMs = [];
  const visitTasks = [];
  for (let n = 0; n < visits; n++) {
    visitsMs.push(await usable(page, `${address}/round`));
    await page.waitForTimeout(1500);
    visitTasks.push(await longestTask(page));
    await page.waitForTimeout(6000);
  }
  const tasks = {};
  for (const path of pages) {
    await longestTask(page);
    await page.evaluate((to) => {
      history.pushState(null, '', to);
      dispatchEvent(new PopStateEvent('popstate'));
    }, path);
    await page.waitForTimeout(3500);
    tasks[path] = await longestTask(page);
  }
  await context.close();
  return { openedMs, openedCpuMs, visitsMs, visitTasks, tasks };
}

/** Seconds of processor that all of the browser's processes have had. */
async function cpuSeconds(session) {
  const { processInfo } = await session.send('SystemInfo.getProcessInfo');
  return processInfo.reduce((sum, { cpuTime }) => sum + cpuTime, 0);
}

/** Milliseconds until a stop of the round can be used. */
async function usable(page, url) {
  const started = performance.now();
  await page.goto(url);
  await page.getByRole('button', { name: /^barely damp/ }).waitFor();
  return performance.now() - started;
}

/** Runs in the page: its clock begins at a moment and runs on from there. */
function startClockAt(moment) {
  const Real = Date;
  const ahead = Real.parse(moment) - Real.now();
  globalThis.Date = class extends Real {
    constructor(...args) {
      if (args.length === 0) super(Real.now() + ahead);
      else super(...args);
    }
    static now() {
      return Real.now() + ahead;
    }
  };
}

/** Runs in the page: notes every task of the main thread that takes longer than 50 ms. */
function watchTasks() {
  globalThis.longTasks = [];
  new PerformanceObserver((list) => {
    for (const { duration } of list.getEntries()) globalThis.longTasks.push(duration);
  }).observe({ type: 'longtask', buffered: true });
}

/** The longest task since this was last asked, ms; 50 stands for "none is longer". */
function longestTask(page) {
  return page.evaluate(() => Math.max(50, ...globalThis.longTasks.splice(0)));
}
