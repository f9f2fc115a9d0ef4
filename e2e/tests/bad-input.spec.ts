import { expect, test, type Page } from '@playwright/test';
import { addTomatoBag, openFewBags, savedFile, startOwnGarden, visit } from './garden.ts';

async function entriesAndBags(page: Page): Promise<string> {
  await visit(page, '/files');
  return page.getByText(/bags and .* diary entries in/).innerText();
}

test('sizes that cannot be are refused beside their field, and nothing is stored', async ({ page }) => {
  await startOwnGarden(page);
  await visit(page, '/stands/new');
  const size = page.getByLabel('Size on the label');
  await page.getByLabel('Height of the plant').fill('34');
  for (const [typed, said] of [
    ['', 'Please give a number.'],
    ['0', 'It must be more than nothing.'],
    ['-5', 'It must be more than nothing.'],
    ['99999', 'cannot be right here'],
    ['big', 'does not read as a number'],
    ['12 kg', 'measures something else'],
    ['12 hogsheads', 'do not know this unit'],
  ] as const) {
    await size.fill(typed);
    await page.getByRole('button', { name: 'Add the bag' }).click();
    await expect(page.getByText(said, { exact: false }).first()).toBeVisible();
    await expect(page.getByRole('alert').filter({ hasText: 'nothing was stored' })).toBeVisible();
  }
  await page.getByRole('button', { name: 'I have measured it' }).click();
  await page.getByLabel('Across the top').fill('20');
  await page.getByLabel('Across the base').fill('40');
  await page.getByLabel('Height', { exact: true }).fill('30');
  await page.getByRole('button', { name: 'Add the bag' }).click();
  await expect(page.getByText('Are the two swapped?')).toBeVisible();
  expect(await entriesAndBags(page)).toContain('0 bags and 0 diary entries');
});

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

test('a damaged file, a foreign one and one of a newer version are refused with the reason', async ({
  page,
}) => {
  await startOwnGarden(page);
  await addTomatoBag(page);
  await visit(page, '/files');
  const good = await savedFile(page);
  const open = (name: string, text: string) =>
    page
      .locator('input[type="file"]')
      .setInputFiles({ name, mimeType: 'application/json', buffer: Buffer.from(text) });
  await open('cut.json', good.slice(0, good.length / 2));
  await expect(
    page.getByText('"cut.json" was not opened. It is not a whole JSON file', { exact: false }),
  ).toBeVisible();
  await open('other.json', '{"hello": 1}');
  await expect(page.getByText('It is not a Rundel garden file.', { exact: false })).toBeVisible();
  await open('newer.json', good.replace(/"version": \d+/, '"version": 7'));
  await expect(page.getByText('saved by a newer Rundel (file version 7', { exact: false })).toBeVisible();
  await expect(page.getByText('Nothing here was changed.', { exact: false })).toBeVisible();
  // one bad row costs one row, and is named before anything is opened
  const hurt = JSON.parse(good) as { entries: { seedling: { stemMillimetres: number } }[] };
  if (hurt.entries[0]) hurt.entries[0].seedling.stemMillimetres = -4;
  await open('hurt.json', JSON.stringify(hurt));
  await expect(page.getByText('1 rows in it do not read', { exact: false })).toBeVisible();
  await page.getByRole('button', { name: 'Cancel' }).click();
  expect(await entriesAndBags(page)).toContain('1 bags and 1 diary entries');
});

test('a CSV with wrong columns or wrong rows is explained, and only what reads is kept', async ({ page }) => {
  await openFewBags(page);
  await visit(page, '/season/weather');
  await page.getByRole('button', { name: 'Read weather from a file' }).click();
  const give = (text: string) =>
    page
      .locator('input[type="file"]')
      .setInputFiles({ name: 'days.csv', mimeType: 'text/csv', buffer: Buffer.from(text) });
  await give('a;b\n1;2\n');
  await expect(
    page.getByText('does not look like a table with a date and two temperatures', { exact: false }),
  ).toBeVisible();
  await give('when,cold,warm\n2026-06-13,9,19\n');
  await expect(page.getByText('Say which columns hold the date', { exact: false })).toBeVisible();
  await page.getByLabel('Date is in').click();
  await page.getByRole('option', { name: 'when' }).click();
  await page.getByLabel('Coldest is in').click();
  await page.getByRole('option', { name: 'cold' }).click();
  await page.getByLabel('Warmest is in').click();
  await page.getByRole('option', { name: 'warm' }).click();
  await expect(page.getByText('1 new day, 0 already here', { exact: false })).toBeVisible();
  await give(
    'when,cold,warm\n2026-06-13,9,19\n2026-06-14,30,12\nsometime,1,2\n2026-06-15,11,21.5\n2027-01-01,1,2\n',
  );
  await expect(
    page.getByText(
      '1 new day, 0 already here, 1 here with other numbers, 1 in the future and left out, 2 rows that do not read.',
      { exact: false },
    ),
  ).toBeVisible();
  await expect(page.getByText('Row 2: the coldest is warmer than the warmest.')).toBeVisible();
  await page.getByRole('button', { name: 'Keep 1 day' }).click();
  await expect(page.getByText('Weather of 1 day read')).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByText('Undone: weather of 1 day read')).toBeVisible();
});

test('weather typed on the round is checked, kept and used', async ({ page }) => {
  await startOwnGarden(page);
  await addTomatoBag(page);
  await visit(page, '/round');
  const card = page.getByRole('form', { name: 'Weather of yesterday' });
  await card.getByLabel('Coldest').fill('20');
  await card.getByLabel('Warmest').fill('12');
  await card.getByRole('button', { name: 'Note it' }).click();
  await expect(card.getByText('The warmest cannot be colder than the coldest.')).toBeVisible();
  await card.getByLabel('Coldest').fill('50 F');
  await card.getByLabel('Warmest').fill('24');
  await card.getByRole('button', { name: 'Note it' }).click();
  await expect(page.getByRole('form', { name: 'Weather of today' })).toBeVisible();
  await visit(page, '/season/weather');
  const row = page.getByRole('row', { name: /^9 Jun/ });
  await expect(row).toContainText('10 °C');
  await expect(row).toContainText('typed');
  await expect(page.getByRole('row', { name: /^8 Jun/ })).toContainText('filled in');
});
