import { expect } from '@playwright/test';
import { addTomatoBag, savedFile, startOwnGarden, test } from './garden.ts';

test('a bag from planting to picking, to a file and back', async ({ page }) => {
  await startOwnGarden(page);
  await page.getByRole('link', { name: 'Add a bag' }).click();
  await page.getByLabel('Size on the label').fill('38');
  await expect(page.getByText('It likely holds 30 to 38 L to the brim')).toBeVisible();
  await page.getByLabel('Height of the plant').fill('34');
  // a third of 34 cm stays: 22.7 cm under and a ball of 9 cm are more than the bag's 27 cm of mix can take
  await expect(page.getByText('"To the first good leaves" does not fit upright.')).toBeVisible();
  await page.getByRole('button', { name: 'Add the bag' }).click();
  await page.getByRole('link', { name: '1 · Tomato', exact: true }).click();

  await expect(page.getByRole('heading', { level: 1 })).toHaveText('1 · Tomato');
  await expect(page.getByTestId('planting-advice')).toContainText(
    'Dig a hole 25 cm deep and bury 16 cm of the stem.',
  );
  await page.getByRole('button', { name: 'How this is worked out' }).click();
  await expect(page.getByText('Mix left below the ball')).toBeVisible();
  await expect(page.getByRole('group', { name: /in section, to scale/ })).toContainText('stem under');

  await page.clock.fastForward('08:30:00');
  await page.getByRole('link', { name: 'Check', exact: true }).click();
  await page.getByRole('button', { name: /^dry / }).click();
  const watering = page.getByRole('group', { name: 'Proposed watering' });
  await expect(watering).toContainText(
    /It should take [\d.]+ to [\d.]+\sL, close to the stem while it roots/,
  );
  await expect(watering).toContainText('can');
  const litres = Number(
    /(\d+(?:\.\d+)?)\s*L\s*[¼½¾\d]+ can/.exec((await watering.innerText()).replace(/\s+/g, ' '))?.[1],
  );
  expect(litres).toBeGreaterThan(1);
  expect(litres).toBeLessThan(9);
  await watering.getByRole('button', { name: 'Given' }).click();
  await expect(page.getByText('Watering at 1')).toBeVisible();

  await page.goto('/bags');
  await page.getByRole('link', { name: /1 Tomato/ }).click();
  await page.getByRole('button', { name: 'Pick' }).click();
  await page.getByLabel('Weight').fill('0.45 kg');
  await page.getByRole('button', { name: 'Put in the diary' }).click();
  await expect(page.getByText('Picked: 450 g')).toBeVisible();

  await page.getByRole('link', { name: 'Tally' }).click();
  await expect(page.getByTestId('total')).toHaveText('450 g');
  await expect(page.getByRole('cell', { name: '1 · Tomato' })).toBeVisible();
  await expect(page.locator('.apexcharts-series path').first()).toBeAttached();

  await page.goto('/files');
  const file = await savedFile(page);
  expect(JSON.parse(file)).toMatchObject({
    format: 'rundel-garden',
    version: 10,
    settings: { gardenName: 'Back step' },
  });
  await page.getByRole('button', { name: 'Clear everything here' }).click();
  await page.getByRole('button', { name: 'Clear it' }).click();
  await expect(page.getByText('First, a bag')).toBeVisible();

  await page.goto('/files');
  await page
    .locator('input[type="file"]')
    .setInputFiles({ name: 'mine.json', mimeType: 'application/json', buffer: Buffer.from(file) });
  await page.getByRole('button', { name: 'Open it' }).click();
  await page.getByRole('link', { name: 'Tally' }).click();
  await expect(page.getByTestId('total')).toHaveText('450 g');

  await page.reload();
  await expect(page.getByTestId('total')).toHaveText('450 g');
  await page.goto('/bags');
  await page.getByRole('link', { name: /1 Tomato/ }).click();
  await expect(page.getByText('Check: dry')).toBeVisible();
  await expect(page.getByText(new RegExp(`^Watered: .*${litres}`))).toBeVisible();
  await expect(page.getByText('Planted, 34 cm tall')).toBeVisible();
  // the file that is saved again holds the same entries
  await page.goto('/files');
  const again = JSON.parse(await savedFile(page)) as { entries: unknown };
  expect(again.entries).toEqual((JSON.parse(file) as { entries: unknown }).entries);
});

test('the same path without a mouse', async ({ page }) => {
  await startOwnGarden(page);
  await addTomatoBag(page);
  await page.clock.fastForward('08:30:00');
  await page.goto('/round');
  await expect(page.getByRole('button', { name: /^dust-dry / })).toBeVisible();
  await page.keyboard.press('2');
  await expect(page.getByRole('group', { name: 'Proposed watering' })).toBeVisible();
  await page.keyboard.press('Enter');
  await expect(page.getByText('That is the round')).toBeVisible();
  await page.keyboard.press('u');
  await expect(page.getByText('Undone: watering at 1')).toBeVisible();
  await expect(page.getByRole('group', { name: 'Proposed watering' })).toBeVisible();
  await page.keyboard.press('Control+z');
  await expect(page.getByText('Undone: check of 1')).toBeVisible();
  await expect(page.getByText(/I expect it/)).toBeVisible();
  await page.keyboard.press('Control+Shift+z');
  await expect(page.getByText('Done again: check of 1')).toBeVisible();
  await page.keyboard.press('?');
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Help and keys');
});

test('every place can be reached by the keyboard alone', async ({ page }) => {
  await startOwnGarden(page);
  await page.locator('body').press('Tab');
  await expect(page.getByRole('link', { name: 'To the content' })).toBeFocused();
  for (const name of ['Round', 'Bags', 'Season', 'Bench', 'Tally']) {
    const place = page.getByRole('link', { name, exact: true });
    await place.focus();
    await page.keyboard.press('Enter');
    await expect(page).toHaveURL(new RegExp(`/${name.toLowerCase()}`));
  }
});
