import { expect } from '@playwright/test';
import { openDemo, openFewBags, test, visit } from './garden.ts';

test('a picking on a phone takes three touches, from the kitchen scale, and is taken back as quickly', async ({
  page,
}) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await openFewBags(page);
  await visit(page, '/tally');
  const total = page.getByTestId('total');
  const before = await total.innerText();
  await page.getByRole('combobox', { name: 'Picked from' }).click();
  await page.getByRole('option', { name: /^7 · / }).click();
  const form = page.getByRole('dialog');
  await form.getByRole('button', { name: 'From the kitchen scale' }).click();
  await expect(form.getByLabel('Weight')).toHaveValue(/\d+ g|\d[\d.]* kg/);
  await form.getByRole('button', { name: 'Ripe', exact: true }).click();
  await form.getByRole('button', { name: 'Put in the diary' }).click();
  await expect(form).toBeHidden();
  await expect(total).not.toHaveText(before);
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(total).toHaveText(before);
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
});

test('one bowl from two bags is split by how many came from each', async ({ page }) => {
  await openFewBags(page);
  await visit(page, '/bags');
  await page.getByRole('button', { name: 'Several at once' }).click();
  for (const label of ['7', '12'])
    await page.getByRole('checkbox', { name: new RegExp(`^${label} `) }).click();
  await page.getByRole('button', { name: 'More', exact: true }).click();
  await page.getByRole('menuitem', { name: 'Pick' }).click();
  const form = page.getByRole('dialog');
  await form.getByLabel('Weight').fill('1.2 kg');
  await form.getByLabel('That is for all of them together').click();
  await form.getByLabel('From 7').fill('2');
  await form.getByLabel('From 12').fill('6');
  await form.getByRole('button', { name: 'Put in the diary' }).click();
  await expect(form).toBeHidden();
  await visit(page, '/tally');
  await page.getByRole('link', { name: /^7 · / }).click();
  await expect(page.getByText(/Picked: 300\sg, 2 fruit/)).toBeVisible();
});

test('a trial is dealt by lot and says no more than its bags bear', async ({ page }) => {
  await openDemo(page);
  await visit(page, '/tally/trials');
  const old = page.getByRole('region', { name: 'Watered every evening or every other', exact: true });
  await expect(old.getByText(/Nine times in ten the true difference lies between/)).toBeVisible();
  await page.getByRole('button', { name: 'New trial' }).click();
  const form = page.getByRole('dialog');
  await form.getByLabel('What is tried').fill('Mulch or none');
  await form.getByLabel('One way').fill('no mulch');
  await form.getByLabel('The other way').fill('mulch');
  await form.getByRole('combobox', { name: 'Show only' }).click();
  await page.getByRole('option', { name: 'Longfinger' }).click();
  await form.getByRole('button', { name: 'Deal by lot' }).click();
  await form.getByRole('button', { name: 'Save' }).click();
  const trial = page.getByRole('region', { name: 'Mulch or none', exact: true });
  await expect(trial.getByRole('img', { name: /most likely/ })).toBeVisible();
  await expect(trial.getByText(/would find a difference of 20 %/)).toBeVisible();
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(trial).toBeHidden();
});

test('what is picked at first blush lies on the shelf until it is eaten', async ({ page }) => {
  await openFewBags(page);
  await visit(page, '/tally/shelf');
  const lot = page.getByRole('region', { name: /^Pier Red, first blush/ });
  await expect(lot.getByText(/^8 left\./)).toBeVisible();
  await lot.getByRole('button', { name: 'Look through' }).click();
  const form = page.getByRole('dialog');
  await form.getByLabel('Taken to eat').fill('3');
  await form.getByLabel('Thrown out', { exact: true }).fill('1');
  await form.getByRole('button', { name: 'Put in the diary' }).click();
  await expect(lot.getByText(/^4 left\./)).toBeVisible();
});

test('a review is one printed page, and says what to keep and what to change', async ({ page }) => {
  await openDemo(page);
  await visit(page, '/tally/review?year=2025');
  const review = page.getByRole('region', { name: 'Gannet Slip, 2025' });
  await expect(review.getByText(/^16 plants in 16 bags gave/)).toBeVisible();
  await expect(review.getByRole('region', { name: 'Bags and mix' })).toBeVisible();
  await page.emulateMedia({ media: 'print' });
  await expect(page.getByRole('button', { name: 'Print' })).toBeHidden();
  await expect(page.getByRole('navigation', { name: 'Tally' })).toBeHidden();
  await expect(review.getByRole('button', { name: /^Begin next season/ })).toBeHidden();
  const pdf = await page.pdf({ format: 'A4' });
  expect(pdf.toString('latin1').match(/\/Type \/Page\b/g)).toHaveLength(1);
});
