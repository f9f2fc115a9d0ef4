import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium, expect } from '@playwright/test';
import { openFewBags, test, visit } from './garden.ts';

test('a label that is held before the camera opens its bag, and the camera is let go of', async ({
  page,
  baseURL,
  launchOptions,
}) => {
  await openFewBags(page);
  await visit(page, '/files/paper');
  const label = await page.getByRole('img', { name: 'Code of bag 7' }).locator('..').screenshot();
  // what the camera sees: the label on a table, as frames of a film
  await page.setViewportSize({ width: 640, height: 480 });
  await page.setContent(
    `<body style="margin:0;background:#887"><img style="margin:60px 120px;transform:rotate(4deg)" src="data:image/png;base64,${label.toString('base64')}">`,
  );
  const film = join(mkdtempSync(join(tmpdir(), 'rundel-camera-')), 'label.mjpeg');
  writeFileSync(film, await page.screenshot({ type: 'jpeg' }));
  const browser = await chromium.launch({
    ...launchOptions,
    args: [
      ...(launchOptions.args ?? []),
      '--use-fake-device-for-media-stream',
      '--use-fake-ui-for-media-stream',
      `--use-file-for-fake-video-capture=${film}`,
    ],
  });
  const garden = await browser.newPage({ baseURL: baseURL ?? '', serviceWorkers: 'block' });
  await openFewBags(garden);
  await visit(garden, '/scan');
  await expect(garden.getByRole('heading', { level: 2, name: /^7 · / })).toBeVisible();
  await expect(garden.locator('video')).toHaveCount(0);
  await browser.close();
});
