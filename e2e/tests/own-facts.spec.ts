import { expect, type Page } from '@playwright/test';
import { say, startOwnGarden, test, visit } from './garden.ts';

/** Adds a bag by the address that other screens send to, and comes to its page. */
async function addBag(page: Page, query: string): Promise<void> {
  await visit(page, `/bags/new?${query}`);
  await page.getByRole('button', { name: 'Add the bag' }).click();
  await expect(page.getByRole('heading', { level: 1 })).not.toHaveText('Add a bag');
}

/** What a bag's page says of its plants. */
const plants = (page: Page) =>
  page
    .locator('section, div')
    .filter({ has: page.getByRole('heading', { name: /^(Plants|The plant)$/ }) })
    .last();

test.describe('a trough of different plants', () => {
  test('is planted place by place, each with its name, one of them as seed; one is put right, one seen, one is gone', async ({
    page,
  }) => {
    await startOwnGarden(page);
    await addBag(page, 'kind=trough&litres=60&stations=4');
    await page.getByRole('button', { name: 'Record planting' }).click();
    const form = page.getByRole('dialog');
    await form.getByRole('button', { name: 'Place 3' }).click();
    await form.getByRole('button', { name: 'Place 4' }).click();
    await form.getByLabel('Variety').fill('Keel Plum');
    await form.getByLabel('Name of the plant').fill('Ada, Bet');
    await form.getByRole('button', { name: 'It is planted; the next' }).click();
    await expect(form.getByText('2 are in. What goes into the others?')).toBeVisible();
    // nothing of the first sticks to the next
    await expect(form.getByLabel('Name of the plant')).toHaveValue('');
    await expect(form.getByLabel('Variety')).toHaveValue('');
    await form.getByRole('button', { name: 'Place 4' }).click();
    await form.getByLabel('It goes in as').click();
    await page.getByRole('option', { name: 'seed, sown in place' }).click();
    await form.getByLabel('Crop').click();
    await page.getByRole('option', { name: 'Cucumber' }).click();
    await expect(form.getByLabel('Height of the plant')).toHaveCount(0);
    await form.getByRole('button', { name: 'It is planted; the next' }).click();
    await form.getByRole('button', { name: 'Cancel' }).click();
    await expect(page.getByText('Room for 1 more.')).toBeVisible();
    await expect(page.getByText('Sown plant 3 in place, 2 seeds')).toBeVisible();

    // what was said of one is put right, and its bag's page says so
    await page.getByRole('button', { name: 'Change Bet' }).click();
    await page.getByRole('menuitem', { name: 'Change its details' }).click();
    await page.getByRole('dialog').getByLabel('Variety').fill('Stout Ned');
    await page.getByRole('dialog').getByLabel('Height of the plant').fill('7 in');
    await page.getByRole('button', { name: 'Correct it' }).click();
    await expect(page.getByText(/^Planted Bet, 1[78](\.\d)?.cm tall/)).toBeVisible();
    await expect(page.getByText(/^Bet: Stout Ned, tomato, dwarf; planted today/)).toBeVisible();

    // a stage of one plant, and that it is not there yet
    await page.getByRole('button', { name: 'Another stage of Ada' }).click();
    await page.getByRole('dialog').getByLabel('Which stage').click();
    await page.getByRole('option', { name: 'First flowers' }).click();
    await page.getByRole('button', { name: 'Put in the diary' }).click();
    await expect(page.getByText('Ada: first flowers seen')).toBeVisible();

    // one plant is gone, and its place is free; what it was stays in the diary
    await page.getByRole('button', { name: 'Change Ada' }).click();
    await page.getByRole('menuitem', { name: 'It died, was given away …' }).click();
    await page.getByLabel('What became of it').click();
    await page.getByRole('option', { name: 'Given away' }).click();
    await page.getByRole('button', { name: 'Put in the diary' }).click();
    await expect(page.getByText('Room for 2 more.')).toBeVisible();
    await expect(page.getByText('Ada: left (given away)')).toBeVisible();
    await expect(plants(page)).not.toContainText('Ada:');
  });
});

test.describe('several plantings put down on the wrong day', () => {
  test('are put right in one go, and all that follows with them', async ({ page }) => {
    await startOwnGarden(page);
    await visit(page, '/bags/new?kind=bucket&litres=20&count=3');
    await say(page, 'Variety', 'Thimble');
    await page.getByRole('button', { name: 'Add 3 bags' }).click();
    await expect(page.getByRole('heading', { level: 1 })).not.toHaveText('Add a bag');
    await visit(page, '/bags?several');
    await page.getByRole('button', { name: 'All of Outside the door' }).click();
    await page
      .getByRole('region', { name: 'With the ticked bags' })
      .getByRole('button', { name: 'More' })
      .click();
    await page.getByRole('menuitem', { name: 'Put entries right' }).click();
    const form = page.getByRole('dialog');
    await expect(form.getByText('Planted Thimble, height not measured')).toHaveCount(3);
    await form.getByRole('spinbutton', { name: 'Day' }).first().click();
    await page.keyboard.type('01062026');
    await expect(form.getByRole('spinbutton', { name: 'Month' }).first()).toHaveText('06');
    await form.getByRole('button', { name: 'Correct them' }).click();
    await expect(page.getByText('3 entries corrected')).toBeVisible();
    await page
      .getByRole('link', { name: /^1 Thimble/ })
      .first()
      .click();
    await expect(page.getByText(/planted 1 Jun, 9 days ago/).first()).toBeVisible();
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(page.getByText(/planted today/).first()).toBeVisible();
  });
});

test.describe('what the grower owns and knows', () => {
  test('a variety with its days and a cane that is there count where they matter', async ({ page }) => {
    await startOwnGarden(page);
    await visit(page, '/bench/varieties');
    await page.getByRole('button', { name: 'Add a variety' }).click();
    const form = page.getByRole('dialog');
    await form.getByLabel('Name').fill('Old Meg');
    await form.getByLabel('Days to ripe').fill('5');
    await form.getByRole('button', { name: 'Save' }).click();
    await expect(form.getByText(/From 15 to 365 days/)).toBeVisible();
    await form.getByLabel('Days to ripe').fill('50');
    await form.getByLabel('How tall it gets').fill('5 ft');
    await expect(form.getByText('20 days sooner than is usual for a tall tomato.')).toBeVisible();
    await form.getByRole('button', { name: 'Save' }).click();
    await expect(page.getByRole('row', { name: /Old Meg.*50 from planting.*1\.52/ })).toBeVisible();

    await visit(page, '/season');
    await expect(
      page.getByRole('row', { name: /^Old Meg .*50 days to its first fruit \+ 14 as days shorten/ }),
    ).toBeVisible();

    await visit(page, '/bags/new?kind=round-fabric&litres=57');
    await say(page, 'Variety', 'Old Meg');
    await page.getByLabel('Height of the plant').fill('20 cm');
    await page.getByRole('button', { name: 'Add the bag' }).click();
    await expect(page.getByRole('heading', { level: 1 })).not.toHaveText('Add a bag');
    await visit(page, '/bench/supports');
    await page.getByLabel('How many').fill('3');
    await page.getByLabel('How long').fill('6 ft');
    await page.getByRole('button', { name: 'I have these' }).click();
    await expect(page.getByText(/you have 3 free: canes of 1\.83/).first()).toBeVisible();
    await expect(page.getByRole('button', { name: /^Fits best: (A stake|Three canes)/ })).toBeVisible();
  });
});
