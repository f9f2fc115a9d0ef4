import { execFileSync } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { ROOT } from './install.mjs';
import { longestTask, usable, watchLongTasks } from './time-app.mjs';

/** Bags × seasons of the gardens that are tried. */
const SIZES = [24, 100, 500].flatMap((bags) => [1, 3, 10].map((seasons) => ({ bags, seasons })));

/** The moment at which the gardens stand (core/bench/many.ts): the page's clock begins there and runs on. */
const NOW = '2026-09-20T22:30:00.000+01:00';

/** Pages that show much at once. */
export const PAGES = ['/bags', '/round', '/season', '/tally', '/files'];

/** How often each garden is opened anew. */
const VISITS = 3;
/** So long everything that a page works out for later has had its turn, ms. */
const REST = 8000;

/**
 * Gardens of many bags and seasons in the browser: what opening their file costs, how soon a round can be used on a later visit,
 * and the longest task of the main thread in those visits and on the pages that show most.
 */
export async function timeGardens(browser, address, sizes = SIZES) {
  const folder = mkdtempSync(join(tmpdir(), 'rundel-gardens-'));
  const found = [];
  for (const { bags, seasons } of sizes) {
    const file = join(folder, `${bags}-${seasons}.json`);
    const made = execFileSync(
      process.execPath,
      ['core/bench/dist/gardens.bench.js', String(bags), String(seasons), file],
      { cwd: ROOT, encoding: 'utf8' },
    );
    found.push({ bags, seasons, ...JSON.parse(made), ...(await timeGarden(browser, address, file)) });
  }
  rmSync(folder, { recursive: true });
  return found;
}

async function timeGarden(browser, address, file) {
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
  context.setDefaultTimeout(120_000);
  await context.addInitScript(startClockAt, NOW);
  await context.addInitScript(watchLongTasks);
  const session = await browser.newBrowserCDPSession();
  let page = await context.newPage();
  await page.goto(`${address}/`);
  await page.locator('input[type="file"]').waitFor({ state: 'attached' });
  await page.waitForTimeout(1000);

  const before = await cpuSeconds(session);
  const started = performance.now();
  await page.locator('input[type="file"]').setInputFiles(file);
  await page.getByRole('button', { name: 'Open it' }).click();
  await page.getByRole('heading', { level: 1 }).waitFor();
  const openedMs = performance.now() - started;
  const openedCpuMs = 1000 * ((await cpuSeconds(session)) - before);
  // all bags are worked out once, and kept for the next visit
  await usable(page, `${address}/round`);
  await page.waitForTimeout(2 * REST);

  const visitsMs = [];
  const visitTasks = [];
  for (let n = 0; n < VISITS; n++) {
    // a tab of its own each time: what the one before leaves behind is not swept up at the cost of the next
    await page.close();
    page = await context.newPage();
    visitsMs.push(await usable(page, `${address}/round`));
    visitTasks.push(await longestTask(page));
    await page.waitForTimeout(REST);
  }
  const pageTasks = [];
  for (const path of PAGES) {
    await longestTask(page);
    await page.evaluate((to) => {
      history.pushState(null, '', to);
      dispatchEvent(new PopStateEvent('popstate'));
    }, path);
    await page.waitForTimeout(3000);
    pageTasks.push(await longestTask(page));
  }
  await context.close();
  return { openedMs, openedCpuMs, visitsMs, visitTasks, pageTasks };
}

/** Seconds of processor that all of the browser's processes have had. */
async function cpuSeconds(session) {
  const { processInfo } = await session.send('SystemInfo.getProcessInfo');
  return processInfo.reduce((sum, { cpuTime }) => sum + cpuTime, 0);
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
