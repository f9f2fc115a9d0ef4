import { expect, test } from '@playwright/test';
import { addTomatoBag, openDemo, openFewBags, startOwnGarden, visit } from './garden.ts';

test.describe('stands', () => {
  test('a place is added, named, put under glass, and goes to the bin when it is empty', async ({ page }) => {
    await startOwnGarden(page);
    await visit(page, '/stands');
    await page.getByRole('button', { name: 'Add a place' }).click();
    await page.getByRole('button', { name: 'Add it' }).click();
    await expect(page.getByText('Give it a name.')).toBeVisible();
    await page.getByLabel('Name').fill('Outside the door');
    await page.getByRole('button', { name: 'Add it' }).click();
    await expect(page.getByText('There is a place of this name already.')).toBeVisible();
    await page.getByLabel('Name').fill('Glasshouse');
    await page.getByLabel('Roof').click();
    await page.getByRole('option', { name: 'Under glass or film', exact: true }).click();
    await page.getByRole('button', { name: 'Add it' }).click();
    await expect(page.getByRole('heading', { name: 'Glasshouse' })).toBeVisible();
    await expect(page.getByText('under glass or film').last()).toBeVisible();
    await page.getByRole('button', { name: 'Change Glasshouse' }).click();
    await page.getByRole('button', { name: 'Put it in the bin' }).click();
    await expect(page.getByRole('heading', { name: 'Glasshouse' })).toBeHidden();
    await page.keyboard.press('Control+z');
    await expect(page.getByRole('heading', { name: 'Glasshouse' })).toBeVisible();
  });

  test('an address that leads nowhere says so and leads back', async ({ page }) => {
    await openFewBags(page);
    await visit(page, '/stands/con_nothing1');
    await expect(page.getByRole('heading', { level: 1 })).toHaveText('No such bag');
    await page.getByRole('link', { name: 'To the stands' }).click();
    await expect(page.getByRole('heading', { level: 1 })).toHaveText('Stands');
    await page.goto('/attic');
    await expect(page.getByRole('heading', { level: 1 })).toHaveText('There is nothing here');
  });
});

test('a bag’s water has a course, past and expected, and what would change it', async ({ page }) => {
  await openFewBags(page);
  await visit(page, '/stands');
  await page.getByRole('link', { name: /^7 / }).click();
  await page.getByRole('button', { name: 'What would change it?' }).click();
  await expect(page.getByText(/In a bag half as big again: in (\d+ h|[\d.]+ days)/)).toBeVisible();
  await page.getByRole('button', { name: 'Its course, past and to come' }).click();
  await expect(page.getByRole('img', { name: /^Water of bag 7/ })).toBeVisible();
  await expect(page.locator('.apexcharts-svg')).toBeVisible();
  await page.getByRole('button', { name: 'The same as a table' }).click();
  const table = page.getByRole('region', { name: 'Water by moment' });
  await expect(table.getByRole('row', { name: /expected/ }).first()).toContainText(/L.*to.*L/);
});

test.describe('bench', () => {
  test('a depth is worked out as it is typed, for another bag, school and graft', async ({ page }) => {
    await openDemo(page);
    await visit(page, '/bench/depth');
    await page.getByLabel('Bag', { exact: true }).click();
    await page.getByRole('option', { name: '6 · Lantern Drop' }).click();
    await page.getByLabel('Height of the plant').fill('20 cm');
    const advice = page.getByTestId('planting-advice');
    await expect(advice).toContainText('bury 10 cm of the stem');
    await page.getByLabel('Graft above the ball').fill('6 cm');
    await expect(advice).toContainText('bury 3.5 cm of the stem');
    await page.getByLabel('Graft above the ball').fill('30 cm');
    await expect(page.getByText('The graft cannot be higher than the plant.')).toBeVisible();
    await page.getByLabel('Graft above the ball').fill('');
    await page.getByLabel('Crop').click();
    await page.getByRole('option', { name: 'Aubergine' }).click();
    await expect(advice).toContainText('Plant it level with its old surface');
  });
});

test.describe('tally', () => {
  test('a picking is put in from here, counted without a weight, and said to be unweighed', async ({
    page,
  }) => {
    await startOwnGarden(page);
    await addTomatoBag(page);
    await visit(page, '/tally');
    await expect(page.getByText('First, a picking')).toBeVisible();
    await page.getByLabel('Picked from').click();
    await page.getByRole('option', { name: '1 · Tomato' }).click();
    await page.getByRole('button', { name: 'Put in the diary' }).click();
    await expect(page.getByText('Give a weight, a count, or both.')).toBeVisible();
    await page.getByLabel('How many').fill('2.5');
    await page.getByRole('button', { name: 'Put in the diary' }).click();
    await expect(page.getByText('A whole number of fruits, please.')).toBeVisible();
    await page.getByLabel('How many').fill('5');
    await page.getByRole('button', { name: 'Put in the diary' }).click();
    await expect(page.getByRole('row', { name: /1 · Tomato/ })).toContainText('1 unweighed');
  });
});

test.describe('tally of two years', () => {
  test('last summer stands beside this one, under the names of what stood there then', async ({ page }) => {
    await openFewBags(page);
    await visit(page, '/tally');
    await expect(
      page.getByText(/In 2025 it was [\d.]+\s\w+ by this day, and [\d.]+\s\w+ in all\./),
    ).toBeVisible();
    await expect(page.getByRole('columnheader', { name: 'In 2025' })).toBeVisible();
    const now = await page.getByTestId('total').innerText();
    await page.getByRole('navigation', { name: 'Years' }).getByRole('button', { name: '2025' }).click();
    await expect(page).toHaveURL(/year=2025/);
    await expect(page.getByTestId('total')).not.toHaveText(now);
    await expect(page.getByRole('row', { name: /12 · Bosun Short/ })).toContainText('Sep');
    await expect(page.getByRole('columnheader', { name: 'Cost a kg' })).toBeHidden();
    await page.reload();
    await expect(page.getByText(/in 2025, from/)).toBeVisible();
  });
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
    await page.getByRole('button', { name: 'Begin the demo anew' }).click();
    await page.getByRole('link', { name: 'Round', exact: true }).click();
    await expect(page.getByRole('heading', { level: 1 })).toHaveText('Thursday evening');
    await expect(page.getByText(/of 23 bags need you/)).toBeVisible({ timeout: 20_000 });
  });

  test('undo does not reach from one garden into the other', async ({ page }) => {
    await startOwnGarden(page);
    await addTomatoBag(page);
    await page.getByRole('button', { name: /Rundel/ }).click();
    await page.getByRole('menuitem', { name: /Walk round the demo/ }).click();
    await expect(page.getByRole('button', { name: /^barely damp/ })).toBeVisible({ timeout: 20_000 });
    await page.keyboard.press('u');
    await expect(page.getByText('There is nothing more to undo.')).toBeVisible();
    await page.goto('/?garden=own');
    await visit(page, '/stands');
    await expect(page.getByRole('link', { name: /1 Tomato/ })).toBeVisible();
  });

  test('a second tab hears of what the first one does', async ({ page, context }) => {
    await openFewBags(page);
    const other = await context.newPage();
    await other.goto('/stands');
    await other.getByRole('link', { name: /^7 / }).click();
    await visit(page, '/stands');
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
    await page.getByRole('combobox', { name: 'Look' }).click();
    await page.getByRole('option', { name: /^Glare/ }).click();
    await expect(page.locator('html')).toHaveAttribute('data-look', 'glare');
    for (const path of ['/round', '/tally', '/stands/new', '/season']) await page.goto(path);
    await expect(page.locator('html')).toHaveAttribute('data-look', 'glare');
    expect(foreign).toEqual([]);
  });
});
