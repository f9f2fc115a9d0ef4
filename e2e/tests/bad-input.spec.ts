import { expect, test, type Page } from '@playwright/test';
import { addTomatoBag, startOwnGarden, visit } from './garden.ts';

async function entriesAndBags(page: Page): Promise<string> {
  await visit(page, '/files');
  return page.getByText(/bags and .* diary entries in/).innerText();
}

test('a planting in the future, a graft above the plant, a label taken: each is said', async ({ page }) => {
  await startOwnGarden(page);
  await addTomatoBag(page);
  await visit(page, '/stands/new');
  await page.getByLabel('Size on the label').fill('30');
  await page.getByLabel('Its number or name').fill('1');
  await page.getByLabel('Height of the plant').fill('20');
  await page.getByLabel('Graft above the ball').fill('25');
  await page.getByRole('group', { name: 'Planted on' }).click();
  await page.keyboard.press('Control+a');
  await page.keyboard.type('01072026');
  await page.getByRole('button', { name: 'Add the bag' }).click();
  await expect(page.getByText('There is a bag "1" already.')).toBeVisible();
  await expect(page.getByText('The graft cannot be higher than the plant.')).toBeVisible();
  await expect(page.getByText('That is in the future.', { exact: false })).toBeVisible();
  expect(await entriesAndBags(page)).toContain('1 bags and 1 diary entries');
});

test('a correction to before the planting or to the future is refused, and the entry stays as it was', async ({
  page,
}) => {
  await startOwnGarden(page);
  await addTomatoBag(page);
  await page.getByRole('button', { name: 'Drink', exact: true }).click();
  await page.getByLabel('How much').fill('2 L');
  await page.getByRole('button', { name: 'Given' }).click();
  for (const [day, said] of [
    ['01052026', 'before anything was planted'],
    ['11062026', 'in the future'],
  ] as const) {
    await page.getByRole('button', { name: /^Correct: Drink/ }).click();
    await page.getByRole('group', { name: 'Day' }).click();
    await page.keyboard.press('Control+a');
    await page.keyboard.type(day);
    await page.getByRole('button', { name: 'Correct it' }).click();
    await expect(page.getByRole('dialog').getByText(said, { exact: false })).toBeVisible();
    await page.getByRole('button', { name: 'Cancel' }).click();
  }
  await expect(page.getByText('Drink: 2')).toBeVisible();
});
