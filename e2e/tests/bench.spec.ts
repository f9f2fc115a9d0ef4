import { readFileSync } from 'node:fs';
import { expect, type Page } from '@playwright/test';
import { startOwnGarden, test, visit } from './garden.ts';

/** Sets up so many bags of a kind, not planted yet. */
async function setUp(page: Page, kind: string, count: number, litres: string): Promise<void> {
  await visit(page, '/bags/new');
  await page.getByRole('radio', { name: kind }).check({ force: true });
  await page.getByLabel('Size on the label').fill(litres);
  await page.getByLabel('How many of these').fill(String(count));
  await page.getByRole('button', { name: count > 1 ? `Add ${count} bags` : 'Add the bag' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(count > 1 ? 'Bags' : /empty/);
}

/** Types the packs of a product into its dialog. */
async function packs(
  page: Page,
  product: string,
  list: readonly (readonly [string, string])[],
): Promise<void> {
  await page
    .getByRole('row', { name: new RegExp(`^${product}`) })
    .getByRole('button', { name: 'Packs and prices' })
    .click();
  const dialog = page.getByRole('dialog');
  for (const [i, [amount, price]] of list.entries()) {
    if (i > 0) await dialog.getByRole('button', { name: 'Another pack' }).click();
    await dialog.getByLabel(`Pack ${i + 1} holds`).fill(amount);
    await dialog.getByLabel(`Pack ${i + 1} costs`).fill(price);
  }
  await dialog.getByRole('button', { name: 'Save' }).click();
  await expect(dialog).toBeHidden();
}

test('ten bags of four kinds, from nothing to a printed shopping list', async ({ page }) => {
  test.setTimeout(90_000);
  await startOwnGarden(page);
  await visit(page, '/bench/shop');
  await expect(page.getByText('Add the bags that you want to fill')).toBeVisible();
  await setUp(page, 'Round fabric bag', 4, '38 L');
  await setUp(page, 'Bucket with holes', 3, '15 L');
  await setUp(page, 'Pillow bag, lying flat', 2, '45 L');
  await setUp(page, 'Trough', 1, '60 L');
  await visit(page, '/bench/shop');
  const list = page.getByRole('region', { name: 'Line by line' });
  await expect(page.getByText('All 10 bags')).toBeVisible();
  // nothing is priced yet: it is planned by litres, and says so
  await expect(page.getByText('No price is known yet, so everything is by the amount.')).toBeVisible();
  await expect(page.getByTestId('shopping-price')).toHaveCount(0);
  const row = list.getByRole('row', { name: /^Bought potting mix/ });
  await expect(row).toContainText(/\d+\sL, loose or in any pack/);
  await packs(page, 'Bought potting mix', [
    ['60 L', '9.50'],
    ['20 L', '4.20'],
  ]);
  // what a person could check by hand: sixties and twenties for the litres in the row
  const text = (await row.innerText()).replaceAll('\u00a0', ' ');
  const need = Number(/(\d+) L/.exec(text)?.[1]);
  const sixties = Number(/(\d+) × 60 L/.exec(text)?.[1] ?? 0);
  const twenties = Number(/(\d+) × 20 L/.exec(text)?.[1] ?? 0);
  expect(need).toBeGreaterThan(250);
  expect(sixties * 60 + twenties * 20).toBeGreaterThanOrEqual(need - 0.5);
  expect(twenties).toBeLessThanOrEqual(2);
  await expect(page.getByTestId('shopping-price')).toHaveText(
    `£${(sixties * 9.5 + twenties * 4.2).toFixed(2)}`,
  );
  await page.evaluate(() => {
    (window as unknown as { printed: number }).printed = 0;
    window.print = () => {
      (window as unknown as { printed: number }).printed += 1;
    };
  });
  await page.getByRole('button', { name: 'Print the list' }).click();
  expect(await page.evaluate(() => (window as unknown as { printed: number }).printed)).toBe(1);
  // on paper there is the list, and neither places nor buttons
  await page.emulateMedia({ media: 'print' });
  await expect(row).toBeVisible();
  await expect(page.getByRole('navigation', { name: 'Pages' })).toBeHidden();
  await expect(page.getByText('All 10 bags')).toBeHidden();
  await expect(page.getByRole('button', { name: 'As CSV' })).toBeHidden();
  await page.emulateMedia({ media: 'screen' });
  const waiting = page.waitForEvent('download');
  await page.getByRole('button', { name: 'As CSV' }).click();
  const csv = readFileSync(await (await waiting).path(), 'utf8');
  expect(csv.split('\n')[0]?.trim()).toBe('product,unit,need,from_shed,to_buy,packs,price,left_over');
  expect(csv).toContain('Bought potting mix,litre');
});
