import { expect, type Page } from '@playwright/test';
import { JUNE_MORNING, startOwnGarden, test, visit } from './garden.ts';

/** The garden so many days on. */
async function passDays(page: Page, days: number): Promise<void> {
  await page.clock.setFixedTime(new Date(Date.parse(JUNE_MORNING) + days * 86_400_000));
}

/** Puts down what was found in the tank, and what went in. */
async function seeTo(page: Page, said: Readonly<Record<string, string>>): Promise<void> {
  await page.getByRole('button', { name: 'Level, top up or measure' }).click();
  const form = page.getByRole('dialog');
  for (const [label, text] of Object.entries(said)) await form.getByLabel(label, { exact: true }).fill(text);
  await form.getByRole('button', { name: 'Put in the diary' }).click();
}

test('a drum for four bags over four weeks: one level, litres a day seen, days to empty, one job', async ({
  page,
}) => {
  await startOwnGarden(page);
  await visit(
    page,
    '/bags/new?kind=round-fabric&litres=38&count=4&crop=tomato&habit=bush&varietyName=Keel%20Plum',
  );
  await page.getByRole('button', { name: 'Add 4 bags' }).click();
  await expect(page.getByText('4 bags added')).toBeVisible();

  await visit(page, '/bench/tanks');
  await page.getByRole('button', { name: 'Add a tank' }).click();
  const form = page.getByRole('dialog');
  await form.getByLabel('What you call it').fill('Blue drum');
  await form.getByLabel('Holds, when full').fill('120 L');
  await form.getByLabel('Topped up when down to').fill('200');
  for (const label of ['1', '2', '3', '4'])
    await form.getByRole('checkbox', { name: `Bag ${label}` }).click();
  await form.getByRole('button', { name: 'Save' }).click();
  await expect(form.getByText(/it would always want topping up/)).toBeVisible();
  await form.getByLabel('Topped up when down to').fill('40 L');
  await form.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText('For bags 1, 2, 3, 4.')).toBeVisible();

  // fuller than full cannot be, and nothing of it is lost
  await seeTo(page, { 'Found in it': '150 L', EC: '2.0' });
  await expect(page.getByRole('dialog').getByText(/cannot be right here/)).toBeVisible();
  await page.getByRole('dialog').getByLabel('Found in it').fill('120 L');
  await page.getByRole('button', { name: 'Put in the diary' }).click();
  await expect(page.getByText(/^About 120.L of 120.L in it/)).toBeVisible();

  await passDays(page, 4);
  await seeTo(page, { 'Found in it': '100 L', 'Went in': '20 L', EC: '2.2' });
  await expect(
    page.getByText(/it loses 5.L a day by its levels\. That is 24 days until it is empty/),
  ).toBeVisible();

  // three weeks on it is down to its mark: one job for all of them
  await passDays(page, 21);
  await seeTo(page, { 'Found in it': '40 L', EC: '2.9' });
  await expect(page.getByText(/it is down to its mark of 40.L/)).toBeVisible();
  await expect(page.getByText(/EC rises: .* Top up with plain water/)).toBeVisible();
  await passDays(page, 21.05);
  await visit(page, '/round');
  await expect(page.getByText(/^Top up: Blue drum, about 80(\.\d)?.L$/)).toHaveCount(1);
  await expect(page.getByText(/^for 1, 2, 3, 4; empty in \d+ days\.$/)).toBeVisible();

  // seen to there, it is no job any more, and the bag's page says what the bench says
  await page.getByRole('button', { name: 'See to it' }).click();
  await page.getByRole('dialog').getByLabel('Went in').fill('80 L');
  await page.getByRole('button', { name: 'Put in the diary' }).click();
  await expect(page.getByText(/^Top up: Blue drum/)).toHaveCount(0);
  await passDays(page, 28);
  await visit(page, '/bags');
  await page.getByRole('link', { name: /^1\b/ }).first().click();
  await expect(page.getByText('Blue drum, shared with 2, 3, 4')).toBeVisible();
  await expect(page.getByText(/^About \d+(\.\d)?.L of 120.L in it/)).toBeVisible();
});
