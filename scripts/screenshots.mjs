import { mkdirSync } from 'node:fs';
import { join } from 'node:path';
import { ensureChromium } from './chromium.mjs';
import { build, installWhenNeeded, ROOT } from './install.mjs';
import { openBrowser, serve } from './serve.mjs';

installWhenNeeded();
const chromiumPath = ensureChromium();
build();

const DESK = { width: 1280, height: 800 };
const PHONE = { width: 390, height: 844 };

/** One picture of each main view, from the demo. `steps` brings the view into its state, `from` is what stands at its top. */
const SHOTS = [
  {
    name: 'round',
    path: '/round',
    size: DESK,
    steps: (page) => page.getByRole('button', { name: /^dry / }).click(),
  },
  { name: 'round-phone', path: '/round', size: PHONE },
  {
    name: 'round-phone-watering',
    path: '/round',
    size: PHONE,
    themeName: 'glare',
    steps: (page) => page.getByRole('button', { name: /^dry / }).click(),
  },
  { name: 'bags', path: '/bags', size: DESK },
  {
    name: 'bag',
    path: '/bags',
    size: DESK,
    steps: (page) => page.getByRole('link', { name: /^7 / }).click(),
  },
  {
    name: 'bag-ledger-dusk',
    path: '/bags',
    size: DESK,
    themeName: 'dusk',
    steps: async (page) => {
      await page.getByRole('link', { name: /^7 / }).click();
      await page.getByRole('button', { name: 'Its ledger, day by day' }).click();
      await page.locator('.apexcharts-area').first().waitFor();
    },
    from: 'section[aria-label="Feed"]',
  },
  {
    name: 'away',
    path: '/season/away',
    size: DESK,
    steps: async (page) => {
      await page.getByLabel('Somebody could come and water').click();
      await page.getByText('For the helper').waitFor();
    },
  },
  {
    name: 'season',
    path: '/season',
    size: DESK,
    steps: (page) => page.getByRole('slider', { name: 'Planting day of Salt Snap' }).focus(),
  },
  {
    name: 'planting-phone',
    path: '/bags',
    size: PHONE,
    steps: async (page) => {
      for (const label of ['1', '12']) {
        await page.getByRole('link', { name: new RegExp(`^${label} `) }).click();
        await page.getByRole('button', { name: 'More' }).click();
        await page.getByRole('menuitem', { name: 'Clear its plants out' }).click();
        await page.getByRole('link', { name: 'Bags', exact: true }).click();
      }
      await page.getByRole('link', { name: 'Plant bags' }).click();
      await page.getByRole('button', { name: /^Into which bags: .*Change$/ }).click();
      await page.getByRole('button', { name: 'All', exact: true }).click();
      await page.getByRole('button', { name: /^(These \d+ bags|This bag)$/ }).click();
      await page.getByLabel('Variety').fill('Lantern Drop');
      await page.getByLabel('Height of the plant').fill('30 cm');
      await page.getByRole('button', { name: /^Add these/ }).click();
      await page.getByRole('button', { name: 'Begin planting' }).click();
      await page.getByRole('button', { name: /^\d? ?Plant/ }).click();
    },
  },
  { name: 'bench-size', path: '/bench/size', size: DESK },
  {
    name: 'bench-planting',
    path: '/bench/depth',
    size: DESK,
    steps: async (page) => {
      await page.getByLabel('Height of the plant').fill('40 cm');
      await page.getByLabel('Bag', { exact: true }).click();
      await page.getByRole('option', { name: /^1 · / }).click();
      await page.evaluate(() => scrollTo(0, 0));
    },
  },
  {
    name: 'bench-regimes',
    path: '/bench/regimes?regime=leaf-then-fruit',
    size: DESK,
    steps: (page) => page.getByRole('list', { name: 'Dates to come' }).waitFor(),
  },
  {
    name: 'trouble-phone',
    path: '/bags',
    size: PHONE,
    steps: async (page) => {
      await page.getByRole('link', { name: /^8\b/ }).first().click();
      await page.getByRole('button', { name: 'More', exact: true }).click();
      await page.getByRole('menuitem', { name: 'Look into trouble' }).click();
      await page.getByRole('button', { name: 'Leaves', exact: true }).click();
      await page.getByRole('button', { name: 'Fine pale specks' }).click();
      await page.getByRole('button', { name: 'Fine webs underneath' }).click();
    },
  },
  { name: 'tally', path: '/tally', size: DESK },
  { name: 'tally-trials', path: '/tally/trials', size: DESK },
  { name: 'files', path: '/files', size: DESK },
  { name: 'labels', path: '/files/paper', size: DESK },
  {
    name: 'command',
    path: '/round',
    size: DESK,
    steps: async (page) => {
      await page.keyboard.press('/');
      await page
        .getByRole('combobox', { name: /Find a bag/ })
        .fill('7 felt dry, watered 1 can, picked some from 12');
      await page.getByRole('option').first().waitFor();
    },
  },
  { name: 'tally-review-phone', path: '/tally/review?year=2025', size: PHONE },
];

const folder = join(ROOT, 'docs', 'screenshots');
mkdirSync(folder, { recursive: true });
const { address, stop } = await serve(4632);
const browser = await openBrowser(chromiumPath);
// some by their names, all when none is named
const wanted = process.argv.slice(2);
for (const { name, path, size, themeName = 'light', steps, from } of SHOTS) {
  if (wanted.length > 0 && !wanted.includes(name)) continue;
  const context = await browser.newContext({
    viewport: size,
    locale: 'en-GB',
    timezoneId: 'Europe/London',
    reducedMotion: 'reduce',
  });
  await context.addInitScript((chosen) => localStorage.setItem('rundel.theme', chosen), themeName);
  const page = await context.newPage();
  await page.goto(`${address}/?garden=demo`);
  await page.getByRole('button', { name: /^barely damp/ }).waitFor();
  await page.goto(address + path);
  await page.getByRole('heading', { level: 1 }).waitFor();
  await page.waitForTimeout(1500);
  await steps?.(page);
  await page.waitForTimeout(1200);
  // the word at the foot of the screen passes by itself; a picture should show what is under it
  await page.evaluate(() => document.querySelectorAll('.MuiSnackbar-root').forEach((bar) => bar.remove()));
  await page.evaluate(() => scrollTo(0, 0));
  if (from) await page.locator(from).evaluate((part) => part.scrollIntoView());
  await page.waitForTimeout(200);
  await page.screenshot({ path: join(folder, `${name}.png`) });
  console.log(`docs/screenshots/${name}.png`);
  await context.close();
}
await browser.close();
stop();
