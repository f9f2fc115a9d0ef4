import { expect } from '@playwright/test';
import { openFewBags, test } from './garden.ts';

test('nothing shifts once a page is first drawn', async ({ page }) => {
  await page.addInitScript(() => {
    const shifts = window as unknown as { shifted: number };
    shifts.shifted = 0;
    new PerformanceObserver((list) => {
      for (const entry of list.getEntries() as unknown as { value: number; hadRecentInput: boolean }[])
        if (!entry.hadRecentInput) shifts.shifted += entry.value;
    }).observe({ type: 'layout-shift', buffered: true });
  });
  await openFewBags(page);
  for (const view of ['/round', '/bags', '/season', '/bench/shop', '/tally']) {
    await page.goto(view);
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
    await page.waitForTimeout(1500);
    const shifted = await page.evaluate(() => (window as unknown as { shifted: number }).shifted);
    expect(shifted, view).toBeLessThanOrEqual(0.05);
  }
});

test('a form that is left by Escape is there as it was left', async ({ page }) => {
  await openFewBags(page);
  await page.getByRole('button', { name: 'Note', exact: true }).click();
  await page.getByLabel('What you saw or did').fill('Leaves curl a litt');
  await page.keyboard.press('Escape');
  await expect(page.getByRole('dialog')).toBeHidden();
  await page.getByRole('button', { name: 'Note', exact: true }).click();
  await expect(page.getByLabel('What you saw or did')).toHaveValue('Leaves curl a litt');
  await page.getByRole('button', { name: 'Begin anew' }).click();
  await expect(page.getByLabel('What you saw or did')).toHaveValue('');
});
