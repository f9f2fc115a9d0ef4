/**
 * The app in the browser: one visit of the demo by a new user, later ones, and looks at a page at rest. Milliseconds, a list
 * of each.
 */
export async function timeApp(browser, address) {
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
  const page = await context.newPage();
  await page.addInitScript(watchRound);
  await page.addInitScript(watchLongTasks);
  const times = { cold: [await usable(page, `${address}/?garden=demo`)], warm: [], rounds: [], starts: [] };
  for (let j = 0; j < 3; j++) {
    times.warm.push(await usable(page, `${address}/round`));
    times.rounds.push(await page.evaluate(() => globalThis.roundTook));
    // what stands beside the stop is drawn after it
    await page.waitForTimeout(1500);
    times.starts.push(await longestTask(page));
  }
  // one look, to the proposal that follows it; then undone
  times.answers = [];
  times.checks = [];
  for (let j = 0; j < 3; j++) {
    times.answers.push(await timeAnswer(page));
    await page.waitForTimeout(500);
    times.checks.push(await longestTask(page));
    await page.keyboard.press('u');
    await page.getByRole('button', { name: 'Given' }).waitFor({ state: 'detached' });
    // nobody taps again before the page is at rest
    await page.waitForTimeout(800);
  }
  await context.close();
  return times;
}

/** Milliseconds until a stop of the round can be used. */
export async function usable(page, url) {
  const started = performance.now();
  await page.goto(url);
  await page.getByRole('button', { name: /^barely damp/ }).waitFor();
  return performance.now() - started;
}

/** Runs in the page: notes every task of the main thread that takes longer than 50 ms. */
export function watchLongTasks() {
  globalThis.longTasks = [];
  new PerformanceObserver((list) => {
    for (const { duration } of list.getEntries()) globalThis.longTasks.push(duration);
  }).observe({ type: 'longtask', buffered: true });
}

/** The longest task since this was last asked, ms; 50 stands for "none is longer". */
export function longestTask(page) {
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
          if (!document.querySelector('[aria-label="Proposed watering"]')) return;
          watch.disconnect();
          requestAnimationFrame(() => resolve(performance.now() - started));
        });
        watch.observe(document.body, { subtree: true, childList: true });
      }),
  );
  await dry.click();
  return waiting;
}
