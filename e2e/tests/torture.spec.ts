import { mkdtempSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium, expect, type BrowserContext, type Locator, type Page } from '@playwright/test';
import { test } from './garden.ts';

/** All of them with `npm run torture`; with each test a few. */
const KILLS = process.env['RUNDEL_TORTURE'] === 'whole' ? 60 : 2;

const DEMO = readFileSync(new URL('../../web/public/demo/gannet-slip.json', import.meta.url));

/** A browser with a profile on the disk, which outlives it. */
async function browserOn(profile: string, executablePath: string | undefined): Promise<BrowserContext> {
  return chromium.launchPersistentContext(profile, {
    ...(executablePath ? { executablePath } : {}),
    args: ['--no-sandbox', '--disable-gpu', '--no-first-run'],
    serviceWorkers: 'block',
    viewport: { width: 1280, height: 800 },
  });
}

/** Ends the browser's processes as a flat battery would: nothing is closed, nothing is flushed. */
async function kill(context: BrowserContext, page: Page): Promise<void> {
  const session = await context.newCDPSession(page);
  await session.send('Browser.crash').catch(() => undefined);
  await context.close().catch(() => undefined);
}

/** The demo's file as a garden of one's own. */
async function openDemoFile(page: Page, base: string): Promise<void> {
  await page.goto(`${base}/`);
  await page
    .locator('input[type="file"]')
    .setInputFiles({ name: 'mine.json', mimeType: 'application/json', buffer: DEMO });
  await page.getByRole('button', { name: 'Open it' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
}

/** Puts a note down; it is stored once the line is closed. */
async function putDownOn7(page: Page, text: string): Promise<Locator> {
  await page.locator('body').press('/');
  const line = page.getByRole('combobox', { name: /Find a bag/ });
  await line.fill(`note on 7: ${text}`);
  await expect(page.getByRole('option', { name: new RegExp(text) })).toBeVisible();
  await line.press('Enter');
  return line;
}

/**
 * Damages the browser's database on the disk, whereupon the browser makes it anew, empty. One that is ended in the midst of a write
 * can do that to itself: it writes on behind a record that was cut short, and cannot read its log at the start after that.
 */
function spoil(profile: string): void {
  const stores = join(profile, 'Default', 'IndexedDB');
  for (const store of readdirSync(stores).filter((name) => name.endsWith('.leveldb')))
    for (const log of readdirSync(join(stores, store)).filter((name) => /^\d+\.log$/.test(name))) {
      const path = join(stores, store, log);
      const bytes = readFileSync(path);
      // the checksum of its first record
      bytes.writeUInt32LE((bytes.readUInt32LE(0) ^ 1) >>> 0, 0);
      writeFileSync(path, bytes);
    }
}

/** What is in the diary's notes, and whether anything was set aside. */
async function notesIn(page: Page, base: string): Promise<{ notes: readonly string[]; isWhole: boolean }> {
  await page.goto(`${base}/files`);
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Files');
  const isWhole = !(await page.getByText(/do(es)? not read/).isVisible());
  const waiting = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Only the plain JSON' }).click();
  const path = await (await waiting).path();
  const file = JSON.parse(readFileSync(path, 'utf8')) as { entries: { kind: string; text?: string }[] };
  return { notes: file.entries.flatMap((e) => (e.kind === 'note' && e.text ? [e.text] : [])), isWhole };
}

test(`${KILLS} times the browser is killed while it writes: what was confirmed is there, nothing by halves, and all of it again when its database is damaged`, async ({
  baseURL,
  launchOptions,
}) => {
  test.setTimeout(KILLS * 60_000);
  const base = baseURL ?? '';
  const profile = mkdtempSync(join(tmpdir(), 'rundel-torture-'));
  const open = () => browserOn(profile, launchOptions.executablePath);
  let context = await open();
  let page = context.pages()[0] ?? (await context.newPage());
  await openDemoFile(page, base);
  const confirmed: string[] = [];
  for (let i = 0; i < KILLS; i++) {
    await page.goto(`${base}/bags`);
    await expect(page.getByText(/24 bags in 3 places/)).toBeVisible({ timeout: 30_000 });
    if (i % 2 === 1) {
      // in the midst of a file being opened
      await page.goto(`${base}/files`);
      await page
        .locator('input[type="file"]')
        .setInputFiles({ name: 'again.json', mimeType: 'application/json', buffer: DEMO });
      await page.getByRole('button', { name: /^Merge/ }).click();
      await page.waitForTimeout(i * 7);
    } else {
      // in the midst of a row of notes, some of which the page has confirmed
      for (let n = 0; n < 3; n++) {
        const text = `note ${i}.${n}`;
        const line = await putDownOn7(page, text);
        if (n === 2) break;
        await expect(line).toBeHidden();
        confirmed.push(text);
      }
      await page.waitForTimeout((i % 5) * 4);
    }
    await kill(context, page);
    context = await open();
    page = context.pages()[0] ?? (await context.newPage());
    const { notes, isWhole } = await notesIn(page, base);
    expect(isWhole, `kill ${i}`).toBe(true);
    for (const text of confirmed) expect(notes, `kill ${i}`).toContain(text);
    expect(new Set(notes).size, `kill ${i}: nothing twice`).toBe(notes.length);
  }
  // and once the browser finds its database damaged
  await expect(page.getByText(/keeps a second copy/)).toBeVisible();
  await expect(await putDownOn7(page, 'after the copy')).toBeHidden();
  await context.close();
  spoil(profile);
  context = await open();
  page = context.pages()[0] ?? (await context.newPage());
  const { notes } = await notesIn(page, base);
  for (const text of [...confirmed, 'after the copy']) expect(notes, 'after the damage').toContain(text);
  await expect(page.getByRole('alert')).toContainText('came back from its second copy: 24 bags');
  await page.getByRole('button', { name: 'I have seen it' }).click();
  await page.reload();
  await expect(page.getByText(/keeps a second copy/)).toBeVisible();
  await expect(page.getByRole('alert')).toHaveCount(0);
  await context.close();
});
