import { expect } from '@playwright/test';
import { addTomatoBag, openDemo, openFewBags, startOwnGarden, test, visit } from './garden.ts';

test('a bag’s water has a course, past and expected, and what would change it', async ({ page }) => {
  await openFewBags(page);
  await visit(page, '/bags');
  await page.getByRole('link', { name: /^7 / }).click();
  await page.getByRole('button', { name: 'What would change it?' }).click();
  await expect(page.getByText(/In a bag half as big again: in (\d+ h|[\d.]+ days)/)).toBeVisible();
  await page.getByRole('button', { name: 'Water: past and forecast' }).click();
  await expect(page.getByRole('img', { name: /^Water of bag 7/ })).toBeVisible();
  await expect(page.locator('.apexcharts-svg')).toBeVisible();
  await page.getByRole('button', { name: 'The same as a table' }).click();
  const table = page.getByRole('region', { name: 'Water by moment' });
  await expect(table.getByRole('row', { name: /expected/ }).first()).toContainText(/L.*to.*L/);
});

test.describe('files and settings', () => {
  test('the demo begins anew after whatever was done in it', async ({ page }) => {
    await openDemo(page);
    await page.getByRole('button', { name: 'To the next morning' }).click();
    await expect(page.getByRole('heading', { level: 1 })).toHaveText('Friday morning');
    await visit(page, '/files');
    await page.getByRole('button', { name: 'Clear everything here' }).click();
    await page.getByRole('button', { name: 'Clear it' }).click();
    await expect(page.getByText('First, a bag')).toBeVisible();
    await page.reload();
    await expect(page.getByText('First, a bag')).toBeVisible();
    await visit(page, '/files');
    await page.getByRole('button', { name: 'Reset the demo' }).click();
    await page.getByRole('link', { name: 'Round', exact: true }).click();
    await expect(page.getByRole('heading', { level: 1 })).toHaveText('Thursday evening');
    await expect(page.getByText(/of 23 bags need you/)).toBeVisible({ timeout: 45_000 });
  });

  test('undo does not reach from one garden into the other', async ({ page }) => {
    await startOwnGarden(page);
    await addTomatoBag(page);
    await page.getByRole('button', { name: /settings, files, help$/ }).click();
    await page.getByRole('menuitem', { name: /Walk round the demo/ }).click();
    await expect(page.getByRole('button', { name: /^barely damp/ })).toBeVisible({ timeout: 45_000 });
    await page.keyboard.press('u');
    await expect(page.getByText('There is nothing more to undo.')).toBeVisible();
    await page.goto('/bags?garden=own');
    await expect(page.getByRole('link', { name: /1 Tomato/ })).toBeVisible();
  });

  test('a second tab hears of what the first one does', async ({ page, context }) => {
    await openFewBags(page);
    const other = await context.newPage();
    await other.goto('/bags?garden=demo');
    await other.getByRole('link', { name: /^7 / }).click();
    await visit(page, '/bags');
    await page.getByRole('link', { name: /^7 / }).click();
    await page.getByRole('button', { name: 'Note', exact: true }).click();
    await page.getByLabel('What you saw or did').fill('Seen from both');
    await page.getByRole('button', { name: 'Put in the diary' }).click();
    await expect(other.getByText('Seen from both')).toBeVisible();
  });

  test('the look that is chosen stays, and nothing is asked of any other server', async ({ page }) => {
    const foreign: string[] = [];
    page.on('request', (request) => {
      if (!/^(http:\/\/127\.0\.0\.1|data:|blob:)/.test(request.url())) foreign.push(request.url());
    });
    await openFewBags(page);
    await visit(page, '/settings');
    await page.getByRole('combobox', { name: 'Theme' }).click();
    await page.getByRole('option', { name: /^Glare/ }).click();
    await expect(page.locator('html')).toHaveAttribute('data-theme', 'glare');
    for (const path of ['/round', '/tally', '/bags/new', '/season']) await page.goto(path);
    await expect(page.locator('html')).toHaveAttribute('data-theme', 'glare');
    expect(foreign).toEqual([]);
  });
});
