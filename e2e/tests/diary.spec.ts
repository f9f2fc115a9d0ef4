import { expect } from '@playwright/test';
import { openDemo, startOwnGarden, test, visit } from './garden.ts';

test('the demo and my own bags are kept apart', async ({ page }) => {
  await openDemo(page);
  await page.getByRole('button', { name: 'My own bags' }).click();
  await expect(page.getByRole('button', { name: 'Start with my own bags' })).toBeVisible();
  await page.getByRole('button', { name: 'Start with my own bags' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Add a bag');
  await visit(page, '/round');
  await expect(page.getByText('First, a bag')).toBeVisible();
  await page.getByRole('button', { name: /settings, files, help$/ }).click();
  await page.getByRole('menuitem', { name: /Walk round the demo/ }).click();
  await expect(page.getByText(/of 23 bags need you/)).toBeVisible({ timeout: 45_000 });
  await page.goto('/?garden=own');
  await expect(page.getByText('First, a bag')).toBeVisible();
});

test('everything is shown in the units that were chosen, and other units can be typed', async ({ page }) => {
  await startOwnGarden(page, 'us');
  await visit(page, '/bags/new');
  await page.getByLabel('Size on the label').fill('10');
  await expect(page.getByText('It likely holds 8 to 10 gal')).toBeVisible();
  await page.getByLabel('Height of the plant').fill('34 cm');
  await page.getByRole('button', { name: 'Add the bag' }).click();
  await page.getByRole('link', { name: '1 · Tomato', exact: true }).click();
  // the preview beside the form says the same: wait for the bag's own page
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('1 · Tomato');
  await expect(page.getByTestId('planting-advice')).toContainText(' in deep and bury ');
  await visit(page, '/settings');
  await page.getByRole('combobox', { name: 'Units' }).click();
  await page.getByRole('option', { name: /^Metric/ }).click();
  await visit(page, '/bags');
  await page.getByRole('link', { name: /1 Tomato/ }).click();
  await expect(page.getByText('38 L round fabric')).toBeVisible();
});
