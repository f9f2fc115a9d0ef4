import { expect } from '@playwright/test';
import { violations } from './axe.ts';
import { addTomatoBag, JUNE_MORNING, startOwnGarden, test, visit } from './garden.ts';

test.use({ viewport: { width: 390, height: 844 }, hasTouch: true });

test('an inspection on a phone: brown edges after cold nights, looked at again a week on', async ({
  page,
}) => {
  await startOwnGarden(page);
  await addTomatoBag(page);

  await visit(page, '/round');
  await page.getByRole('link', { name: 'Trouble?' }).tap();
  await page.getByRole('button', { name: 'Leaves', exact: true }).tap();
  await page.getByRole('button', { name: 'Brown, dry edges' }).tap();
  await expect(page.getByText('I cannot tell yet.', { exact: false }).first()).toBeVisible();

  // what the diary cannot know is said, and counts at once
  await page.getByRole('button', { name: /^What went before/ }).tap();
  await page.getByRole('button', { name: 'Yes: cold nights lately' }).tap();
  const answer = page.locator('#answer');
  await expect(answer.getByText('cold nights', { exact: true })).toBeVisible();
  await expect(answer).toContainText('Do not throw it out');
  const next = page.getByRole('group', { name: 'What to look at next' });
  const question = await next.locator('strong').innerText();
  await next.getByRole('button', { name: 'No' }).tap();
  await expect(next.locator('strong')).not.toHaveText(question);

  expect(await violations(page)).toEqual([]);
  // nothing is wider than the phone
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);

  await page.getByRole('button', { name: 'Put in the diary' }).tap();
  await expect(page.getByText(/^Trouble: cold nights \(brown, dry edges\)/)).toBeVisible();

  await page.clock.setFixedTime(new Date(Date.parse(JUNE_MORNING) + 8 * 86_400_000));
  await visit(page, '/round');
  await page
    .getByRole('link', { name: /^Look again: cold nights/ })
    .first()
    .tap();
  await page.getByRole('button', { name: 'New leaves are clean' }).tap();
  await page.getByRole('button', { name: 'over', exact: true }).tap();
  await page.getByRole('button', { name: 'Put in the diary' }).tap();
  await expect(page.getByText(/over on 18 Jun/)).toBeVisible();
  await visit(page, '/round');
  await expect(page.getByRole('link', { name: /^Look again/ })).toHaveCount(0);
});
