import { readFileSync } from 'node:fs';
import { expect, test as base, type Page } from '@playwright/test';

/** A test that fails on whatever the page throws and nobody takes, a promise that is refused among them. */
export const test = base.extend({
  page: async ({ page }, use) => {
    const thrown: string[] = [];
    page.on('pageerror', (error) => thrown.push(error.message));
    await use(page);
    expect(thrown).toEqual([]);
  },
});

/** A June morning, so that the tests do not depend on the season in which they run. */
export const JUNE_MORNING = '2026-06-10T09:30:00+01:00';

/** Opens a new garden of one's own, through the welcome screen. */
export async function startOwnGarden(page: Page, units: 'metric' | 'us' | 'uk' = 'metric'): Promise<void> {
  await page.clock.install({ time: new Date(JUNE_MORNING) });
  await page.goto('/');
  await page.getByRole('button', { name: /^I take you to be .* Change$/ }).click();
  await page.getByLabel('What you call the place').fill('Back step');
  if (units !== 'metric') {
    await page.getByRole('combobox', { name: 'Units' }).click();
    await page.getByRole('option', { name: units === 'us' ? /^US/ : /^UK/ }).click();
  }
  await page.getByRole('button', { name: 'Start with my own bags' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Add a bag');
  await visit(page, '/round');
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Wednesday');
}

/** Adds the bag of the walk-through: a 38 L fabric bag with a tomato of 34 cm, planted today. */
export async function addTomatoBag(page: Page, label = '1'): Promise<void> {
  await visit(page, '/bags/new');
  await page.getByLabel('Size on the label').fill('38 L');
  await say(page, 'Number or name', label);
  await page.getByLabel('Height of the plant').fill('34 cm');
  await page.getByRole('button', { name: 'Add the bag' }).click();
  // the first bag of all leads to the round
  await expect(page.getByRole('heading', { level: 2, name: `${label} · Tomato` })).toBeVisible();
  await page.getByRole('link', { name: `${label} · Tomato`, exact: true }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(`${label} · Tomato`);
}

/** Says more of one part of a bag's form, in the sheet that opens for it. */
export async function say(page: Page, part: string, text: string): Promise<void> {
  await page.getByRole('button', { name: new RegExp(`^${part}`) }).click();
  const sheet = page.getByRole('dialog');
  await sheet.getByLabel(part).fill(text);
  await sheet.getByRole('button', { name: 'Done' }).click();
  await expect(sheet).toBeHidden();
}

/** Opens the demo and waits until its round can be used. */
export async function openDemo(page: Page): Promise<void> {
  await page.goto('/?garden=demo');
  await expect(page.getByRole('button', { name: /barely damp/ })).toBeVisible({ timeout: 45_000 });
}

/** A bag of each way of life in the demo: pillows, pots, fabric, a reservoir, a drip and a scale. */
const FEW = ['1', '3', '5', '7', '12', '13', '17', '18', '23'];

interface DemoFile {
  readonly containers: readonly { readonly id: string; readonly label: string }[];
  readonly entries: readonly { readonly containerId?: string }[];
}

/** Opens the demo with a few of its bags, for tests to which their number does not matter: a third of the work. */
export async function openFewBags(page: Page, few: readonly string[] = FEW): Promise<void> {
  await page.route('**/demo/gannet-slip.json', async (route) => {
    const path = new URL('../../web/public/demo/gannet-slip.json', import.meta.url);
    const demo = JSON.parse(readFileSync(path, 'utf8')) as DemoFile;
    const containers = demo.containers.filter(({ label }) => few.includes(label));
    const kept = new Set(containers.map(({ id }) => id));
    const entries = demo.entries.filter((e) => e.containerId === undefined || kept.has(e.containerId));
    await route.fulfill({ json: { ...demo, containers, entries } });
  });
  await openDemo(page);
}

/** The text of the plain JSON that Files gives. */
export async function savedFile(page: Page): Promise<string> {
  const waiting = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Only the plain JSON' }).click();
  const stream = await (await waiting).createReadStream();
  const chunks: Buffer[] = [];
  for await (const chunk of stream) chunks.push(chunk as Buffer);
  return Buffer.concat(chunks).toString('utf8');
}

/** Goes to an address inside the open app, as a link would, and waits for nothing. */
export async function turnTo(page: Page, path: string): Promise<void> {
  await page.evaluate((to) => {
    history.pushState(null, '', to);
    dispatchEvent(new PopStateEvent('popstate'));
  }, path);
}

/** Goes to an address inside the open app, as a link would, and waits until its screen has taken the old one's place. */
export async function visit(page: Page, path: string): Promise<void> {
  // an address of the screen that is open already changes no heading
  if (new URL(page.url()).pathname === path) return;
  const before = await page.evaluate((to) => {
    const heading = document.querySelector('main h1');
    heading?.setAttribute('data-before', '');
    history.pushState(null, '', to);
    dispatchEvent(new PopStateEvent('popstate'));
    return heading?.textContent;
  }, path);
  await page
    .waitForFunction(
      ([old, to]) => {
        const heading = document.querySelector('main h1');
        const isNew = heading && (!heading.hasAttribute('data-before') || heading.textContent !== old);
        // topics of one page share its heading: there the one that is open is marked
        return isNew || document.querySelector(`main a[aria-current="page"][href="${to}"]`) !== null;
      },
      [before, path] as const,
      // a page that is gone to for the first time is loaded, which a busy machine takes its time for
      { timeout: 15_000 },
    )
    // from one bag or stop to another the heading may read the same
    .catch(() => undefined);
}
