import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { expect, type Page } from '@playwright/test';
import { addTomatoBag, openFewBags, startOwnGarden, test, visit } from './garden.ts';

/** A picture with something to see, and with a place written into it as cameras do. */
async function photograph(page: Page, colour: string): Promise<Buffer> {
  const bytes = await page.evaluate(async (fill) => {
    const canvas = document.createElement('canvas');
    canvas.width = 2400;
    canvas.height = 1800;
    const context = canvas.getContext('2d');
    if (!context) return [];
    context.fillStyle = fill;
    context.fillRect(0, 0, 2400, 1800);
    const blob = await new Promise<Blob | null>((done) => canvas.toBlob(done, 'image/jpeg'));
    return blob ? [...new Uint8Array(await blob.arrayBuffer())] : [];
  }, colour);
  const exif = Buffer.from('Exif\0\0II*\0\x08\0\0\0\0\0GPSLatitude 51.48', 'latin1');
  const head = Buffer.from([0xff, 0xe1, 0, exif.length + 2]);
  return Buffer.concat([Buffer.from(bytes.slice(0, 2)), head, exif, Buffer.from(bytes.slice(2))]);
}

const jpeg = (buffer: Buffer, name = 'leaf.jpg') => ({ name, mimeType: 'image/jpeg', buffer });

test('a photograph is shrunk and says nothing of its place; it goes into the file and comes back out of it', async ({
  page,
}) => {
  await startOwnGarden(page);
  await addTomatoBag(page);
  await page.getByRole('button', { name: 'Note' }).click();
  const taken = await photograph(page, '#2e7d32');
  expect(taken.includes('GPSLatitude')).toBe(true);
  const dialog = page.getByRole('dialog');
  await dialog.locator('input[type="file"]').last().setInputFiles(jpeg(taken));
  await expect(dialog.getByAltText('Photograph 1')).toBeVisible();
  await dialog.getByRole('button', { name: 'Put in the diary' }).click();
  await expect(page.getByRole('heading', { name: 'Photographs' })).toBeVisible();

  await visit(page, '/files');
  const waiting = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save to a file' }).click();
  const chunks: Buffer[] = [];
  for await (const chunk of await (await waiting).createReadStream()) chunks.push(chunk as Buffer);
  const file = Buffer.concat(chunks);
  expect(file.includes('photos/pho_')).toBe(true);
  // photographs are not packed any further: what they say would stand there
  expect(file.includes('GPSLatitude')).toBe(false);
  expect(file.length).toBeLessThan(200_000);

  await page.getByRole('button', { name: 'Clear everything here' }).click();
  await page.getByRole('button', { name: 'Clear it' }).click();
  await expect(page.getByText('First, a bag')).toBeVisible();
  await page.evaluate(() => indexedDB.deleteDatabase('rundel-photos'));
  await visit(page, '/files');
  await page
    .locator('input[type="file"]')
    .setInputFiles({ name: 'mine.zip', mimeType: 'application/zip', buffer: file });
  await expect(page.getByText(/1 bag, 1 plant, \d+ diary entries, 1 photograph/)).toBeVisible();
  await page.getByRole('button', { name: 'Open it' }).click();
  await page.getByRole('link', { name: /1 Tomato/ }).click();
  await expect(page.getByRole('heading', { name: 'Photographs' })).toBeVisible();
});

test('a form that is behind another tab says so, shows both, and keeps what the grower chooses', async ({
  page,
  context,
}) => {
  await startOwnGarden(page);
  await visit(page, '/bags');
  const rename = async (tab: Page, name: string) => {
    await tab
      .getByRole('button', { name: /^Change Outside the door|^Outside the door: change|Change this place/i })
      .first()
      .click();
    await tab.getByRole('dialog').getByLabel('Name').fill(name);
  };
  const other = await context.newPage();
  await other.goto('/bags');
  await rename(page, 'Quay');
  await rename(other, 'Wall');
  await other
    .getByRole('dialog')
    .getByRole('button', { name: /^Change it/ })
    .click();
  await expect(other.getByText('Wall').first()).toBeVisible();
  await page
    .getByRole('dialog')
    .getByRole('button', { name: /^Change it/ })
    .click();
  const asked = page.getByRole('dialog', { name: 'Changed in another tab as well' });
  await expect(asked.getByRole('row', { name: /Name.*Quay.*Wall/ })).toBeVisible();
  await asked.getByRole('button', { name: 'Keep what I entered' }).click();
  await expect(page.getByText('Quay').first()).toBeVisible();
  await expect(other.getByText('Quay').first()).toBeVisible();
});

test('a full disk is told in words, and what was typed stays', async ({ page }) => {
  await startOwnGarden(page);
  await addTomatoBag(page);
  const store = page.workers().find((worker) => worker.url().includes('store.worker'));
  await store?.evaluate(() => {
    const add = IDBObjectStore.prototype.add;
    const full = function (this: IDBObjectStore, ...given: Parameters<typeof add>): IDBRequest<IDBValidKey> {
      if (this.name === 'entries') throw new DOMException('The disk is full.', 'QuotaExceededError');
      return add.apply(this, given);
    };
    IDBObjectStore.prototype.add = full;
  });
  await page.getByRole('button', { name: 'Pick' }).click();
  await page.getByLabel('Weight').fill('450 g');
  await page.getByRole('button', { name: 'Put in the diary' }).click();
  await expect(page.getByText(/The browser’s storage is full\. Nothing was changed/)).toBeVisible();
  await expect(page.getByLabel('Weight')).toHaveValue('450 g');
});

test('a clock that stands before the newest entry is told', async ({ page }) => {
  await startOwnGarden(page);
  await addTomatoBag(page);
  await expect(page.getByText(/This device’s clock says/)).toBeHidden();
  await page.clock.setFixedTime(new Date('2026-06-03T09:30:00+01:00'));
  await page.goto('/bags');
  await expect(
    page.getByText(/This device’s clock says 3 Jun 09:30, but the newest entry was written 10 Jun/),
  ).toBeVisible();
});

test('what was done is put down in a line, found, undone, and nothing is done that does not read', async ({
  page,
}) => {
  await startOwnGarden(page);
  await addTomatoBag(page, '7');
  await page.locator('body').press('/');
  const line = page.getByRole('combobox', { name: /Find a bag/ });
  await line.fill('picked 450 g from 9');
  await expect(page.getByText('No bag or place here is called “9”.')).toBeVisible();
  await line.press('Enter');
  await expect(line).toBeVisible();
  await line.fill('picked 450 g from 7 for Anna');
  await expect(page.getByRole('option', { name: /7 · Tomato: Picked: 450 g/ })).toBeVisible();
  await line.press('Enter');
  await expect(line).toBeHidden();
  await expect(page.getByText('Picked: 450 g').first()).toBeVisible();
  await page.locator('body').press('Control+k');
  await line.fill('worth');
  await line.press('Enter');
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Worth it');
});

test('a table is looked through before it is taken, twice is the same as once, and undo takes it back', async ({
  page,
}) => {
  await openFewBags(page);
  await visit(page, '/files/tables');
  const give = async () => {
    await page
      .locator('input[type="file"]')
      .first()
      .setInputFiles({
        name: 'mine.csv',
        mimeType: 'text/csv',
        buffer: Buffer.from('Pot;Tag;Weight (g)\n7;14.07.2026;450,5\n7;15.07.2026;300\n99;15.07.2026;300\n'),
      });
  };
  await give();
  await expect(page.getByText('2 of 3 rows would be put in the diary; 1 cannot be taken.')).toBeVisible();
  await expect(page.getByText('Line 4: There is no bag called “99”.')).toBeVisible();
  await page.getByRole('button', { name: 'Put 2 in the diary' }).click();
  await expect(page.getByText('2 pickings read')).toBeVisible();
  await give();
  await expect(page.getByText(/0 of 3 rows would be put in the diary; 2 are there already/)).toBeVisible();
  await page.getByRole('button', { name: 'Cancel' }).click();
  await page.locator('body').press('Control+z');
  await give();
  await expect(page.getByText(/2 of 3 rows would be put in the diary/)).toBeVisible();
});

test('a chosen file is kept up to date by itself, and says so when it cannot be written', async ({
  page,
}) => {
  // a real file of the browser's own, in place of one that a grower picks in a dialog
  await page.addInitScript(() => {
    Object.assign(globalThis, {
      showSaveFilePicker: async () =>
        (await navigator.storage.getDirectory()).getFileHandle('kept.zip', { create: true }),
    });
  });
  await startOwnGarden(page);
  await addTomatoBag(page);
  await visit(page, '/files');
  const size = () =>
    page.evaluate(async () => {
      const folder = await navigator.storage.getDirectory();
      const file = await folder.getFileHandle('kept.zip').then(
        (handle) => handle.getFile(),
        () => undefined,
      );
      return file?.size ?? 0;
    });
  await page.getByRole('button', { name: 'Keep a file up to date' }).click();
  await expect(page.getByText('“kept.zip” is kept up to date.')).toBeVisible();
  await expect.poll(size).toBeGreaterThan(1000);
  const before = await size();
  await page.locator('body').press('/');
  const line = page.getByRole('combobox', { name: /Find a bag/ });
  await line.fill(
    'note on 1: a note that makes the file longer, by some dozens of letters that do not repeat',
  );
  await expect(page.getByRole('option', { name: /by some dozens of letters/ })).toBeVisible();
  await line.press('Enter');
  await expect(page.getByRole('button', { name: 'Undo' })).toBeVisible();
  await page.clock.runFor(20_000);
  await expect.poll(size).toBeGreaterThan(before);
  // the disk goes away
  await page.evaluate(() => {
    FileSystemFileHandle.prototype.createWritable = () => Promise.reject(new Error('the disk is gone'));
  });
  await page.locator('body').press('Control+z');
  await expect(page.getByText(/^Undone: /)).toBeVisible();
  await page.clock.runFor(20_000);
  await expect(page.getByText(/could not be written: the disk is gone/)).toBeVisible();
});

test('a round that is due is reminded of once, and not in the quiet hours', async ({ page, context }) => {
  await context.grantPermissions(['notifications']);
  await page.addInitScript(() => {
    const shown: string[] = [];
    const permission = { permission: 'granted', requestPermission: () => Promise.resolve('granted') };
    const Shown = Object.assign(function (this: object, title: string) {
      shown.push(title);
    }, permission);
    Object.assign(globalThis, { Notification: Shown, shown });
  });
  const shown = () => page.evaluate(() => (globalThis as unknown as { shown: readonly string[] }).shown);
  await startOwnGarden(page);
  await addTomatoBag(page);
  await visit(page, '/files/calendar');
  await page.getByLabel(/^Remind me when a round is due/).click();
  await expect(page.getByText('Quiet', { exact: true })).toBeVisible();
  // the clock is put on only when the round to come is known: the bags are worked out beside the page
  const round = page
    .getByRole('main')
    .getByRole('listitem')
    .filter({ hasText: /Round: / });
  await expect(round).toContainText('today');
  await page.clock.runFor(10_000);
  expect(await shown()).toEqual([]);
  // due at six in the evening; the machine slept until half past nine, which is quiet: the next round is at eight
  await page.clock.fastForward('12:00:00');
  await expect(round).toContainText('11 Jun');
  await page.clock.runFor(10_000);
  expect(await shown()).toEqual([]);
  await page.clock.fastForward('11:00:00');
  await page.clock.runFor(10_000);
  await expect.poll(shown).toEqual([expect.stringMatching(/^Round: /)]);
});

/** How many sheets of A4 a page comes to. */
async function sheetsOf(page: Page): Promise<number> {
  const pdf = await page.pdf({ format: 'A4' });
  return pdf.toString('latin1').match(/\/Type \/Page\b/g)?.length ?? 0;
}

const SHEETS = [
  { name: 'shopping', path: '/bench/shop', says: 'Shopping list', button: 'Print the list' },
  { name: 'what goes into the cans', path: '/bench/batch', says: /in all, in/, button: 'Print for the walk' },
  { name: 'planting steps', path: '/bench/depth', says: /First watering: /, button: 'Print it' },
  { name: 'the round', path: '/files/paper', says: /^Found: dust-dry/, button: 'Print the sheet' },
  { name: 'the helper’s days', path: '/season/away', says: /^Please come/, button: 'Print this sheet' },
];

test('shopping, cans, planting, round and helper come out on paper without what a finger presses', async ({
  page,
}) => {
  test.setTimeout(180_000);
  await openFewBags(page);
  for (const { name, path, says, button } of SHEETS) {
    await page.emulateMedia({ media: 'screen' });
    await visit(page, path);
    if (path === '/files/paper') await page.getByRole('button', { name: 'The round as a sheet' }).click();
    if (path === '/season/away') await page.getByLabel('Somebody could come and water').click();
    await expect(page.getByRole('button', { name: button }), name).toBeVisible({ timeout: 30_000 });
    await page.emulateMedia({ media: 'print' });
    await expect(page.getByText(says).first(), name).toBeVisible();
    await expect(page.getByRole('button', { name: button }), name).toBeHidden();
    await expect(page.getByRole('navigation'), name).toHaveCount(0);
    expect(await sheetsOf(page), name).toBe(1);
  }
});

test('labels print on their sheets without anything about them, and their codes open their bags', async ({
  page,
}) => {
  await openFewBags(page);
  await visit(page, '/files/paper');
  await expect(page.getByRole('img', { name: 'Code of bag 7' })).toBeVisible();
  const pages = (pdf: Buffer) => pdf.toString('latin1').match(/\/Type \/Page\b/g);
  expect(pages(await page.pdf({ preferCSSPageSize: true, printBackground: true }))).toHaveLength(1);
  const label = await page.getByRole('img', { name: 'Code of bag 7' }).locator('..').screenshot();
  await page.getByRole('combobox', { name: 'Sheet' }).click();
  await page.getByRole('option', { name: /one at a time/ }).click();
  expect(pages(await page.pdf({ preferCSSPageSize: true }))).toHaveLength(9);
  await visit(page, '/scan');
  await page
    .locator('input[type="file"]')
    .setInputFiles({ name: 'label.png', mimeType: 'image/png', buffer: label });
  await expect(page.getByRole('heading', { level: 2, name: /^7 · / })).toBeVisible();
});

test('a phone can follow the calendar until the address is taken away', async ({ page, request }) => {
  await openFewBags(page);
  await visit(page, '/files/calendar');
  await page.getByRole('button', { name: 'Make an address to follow' }).click();
  const address = (await page.locator('code').textContent()) ?? '';
  const answer = await request.get(address);
  expect(answer.headers()['content-type']).toContain('text/calendar');
  expect(await answer.text()).toMatch(/^BEGIN:VCALENDAR[^]*UID:(round|feed|job|plan)-/);
  await page.getByRole('button', { name: 'Take it away' }).click();
  await expect(page.getByRole('button', { name: 'Make an address to follow' })).toBeVisible();
  expect((await request.get(address)).status()).toBe(404);
});

test.describe('with the server stopped', () => {
  test.use({ serviceWorkers: 'allow' });

  test('a whole evening can be walked, and a page that was never fetched says so', async ({ page }) => {
    test.setTimeout(120_000);
    const port = 4700 + test.info().workerIndex;
    const server = spawn(
      process.execPath,
      ['--import', 'tsx', join(import.meta.dirname, '../../server/src/main.ts')],
      {
        env: { ...process.env, RUNDEL_PORT: String(port) },
        cwd: join(import.meta.dirname, '../..'),
      },
    );
    const address = `http://127.0.0.1:${port}`;
    await expect(async () => expect((await fetch(`${address}/api/health`)).ok).toBe(true)).toPass();
    await page.goto(`${address}/?garden=demo`);
    await expect(page.getByRole('button', { name: /barely damp/ })).toBeVisible({ timeout: 45_000 });
    await page.goto(`${address}/files?garden=demo`);
    await expect(page.getByText('All of Rundel is on this device: it works without a network.')).toBeVisible({
      timeout: 60_000,
    });
    server.kill();
    await new Promise((done) => server.on('exit', done));
    await page.goto(`${address}/round?garden=demo`);
    await page.getByRole('button', { name: /^dry / }).click();
    await page.getByRole('button', { name: 'Given' }).click();
    await expect(page.getByText(/^Watering at /)).toBeVisible();
    for (const [path, heading] of [
      ['/bags', 'Bags'],
      ['/season', 'Season'],
      ['/bench/size', 'Which bag'],
      ['/tally', 'Tally'],
      ['/files/calendar', 'Calendar'],
    ] as const) {
      await page.goto(`${address}${path}?garden=demo`);
      await expect(page.getByRole('heading', { level: 1 })).toHaveText(new RegExp(heading), {
        timeout: 45_000,
      });
    }
    await page.getByRole('button', { name: 'Make an address to follow' }).click();
    await expect(page.getByText(/The server cannot be reached/)).toBeVisible();
    // what was done meanwhile is there
    await page.goto(`${address}/round?garden=demo`);
    const stops = page.getByRole('navigation', { name: 'Stops of this round' });
    await expect(stops.getByText(/had/)).toHaveCount(1, { timeout: 45_000 });
  });
});

test('a page that was not fetched before the network went says so in words', async ({ page }) => {
  await openFewBags(page);
  await page.route('**/assets/SettingsPage*', (route) => route.abort());
  await page.route('**/assets/settings*', (route) => route.abort());
  await page.getByRole('button', { name: /settings, files, help$/ }).click();
  await page.getByRole('menuitem', { name: /^Settings/ }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('This page is not on this device yet');
});
