import { expect, type Locator, type Page } from '@playwright/test';
import { openDemo, openFewBags, test, visit } from './garden.ts';

const TWELVE = ['5', '6', '7', '8', '9', '14'];
const OTHER_SIX = ['1', '2', '3', '4', '13', '22'];

/** Ticks one bag of a chooser, whose choice stands in the address. */
async function tick(where: Page | Locator, label: string): Promise<void> {
  const box = where.getByRole('checkbox', { name: `Bag ${label}`, exact: true });
  await box.click();
  await expect(box).toBeChecked();
}

/** Ticks bags on the regimes' page and has them fed by the regime that is chosen there. */
async function assign(page: Page, regime: string, bags: readonly string[]): Promise<void> {
  await visit(page, '/bench/regimes');
  await page
    .getByRole('navigation', { name: 'Ways of feeding' })
    .getByRole('button', { name: new RegExp(`^${regime}`) })
    .click();
  await page.getByRole('button', { name: /^Bags to feed by it: .*Change$/ }).click();
  const chooser = page.getByRole('group', { name: 'Bags to feed by it' });
  await chooser.getByRole('button', { name: 'None' }).click();
  for (const label of bags) await tick(chooser, label);
  await page.getByRole('button', { name: `These ${bags.length} bags` }).click();
  await page.getByRole('button', { name: `Feed ${bags.length} bags by it` }).click();
  await expect(page.getByText(`${bags.length} bags fed by ${regime}`)).toBeVisible();
}

const dates = (page: Page) => page.getByRole('list', { name: 'Dates to come' });

test('two regimes for twelve bags, a walk with feeds, and a regime that is changed moves its dates', async ({
  page,
}) => {
  test.setTimeout(150_000);
  await openDemo(page);
  await assign(page, 'Leaf first, then fruit', TWELVE);
  await assign(page, 'Soluble feed throughout', OTHER_SIX);
  const plantingMethods = page.getByRole('navigation', { name: 'Ways of feeding' });
  await expect(plantingMethods.getByRole('button', { name: /^Leaf first, then fruit/ })).toContainText(
    '6, 7, 8, 9',
    {
      timeout: 45_000,
    },
  );
  await expect(plantingMethods.getByRole('button', { name: /^Soluble feed throughout/ })).toContainText(
    '1, 2, 3, 4',
  );

  // the walk: a dry bag gets its watering with feed in one tap
  await visit(page, '/round');
  const stops = page.getByRole('navigation', { name: 'Stops of this round' });
  const fed = stops.getByRole('link', { name: /check, feed/ });
  await expect(fed.first()).toBeVisible({ timeout: 45_000 });
  await expect(page.getByRole('note', { name: 'To carry' })).toContainText(/tomato liquid/);
  const label = (await fed.first().innerText()).match(/^\d+/)?.[0] ?? '';
  await stops.getByRole('link', { name: new RegExp(`^${label} `) }).click();
  await expect(page.locator('#stop-head')).toContainText(label);
  await expect(page.getByRole('note', { name: 'Feed' }).first()).toContainText(/is due/);
  await page.getByRole('button', { name: /^dry / }).click();
  // felt dry it is watered now, and its feed waits for the next stop
  await expect(page.getByText(/too dry to feed: roots would scorch\. Water first/).first()).toBeVisible();
  await expect(page.getByRole('switch', { name: /With its feed/ })).toHaveCount(0);
  await page.getByRole('button', { name: 'Given' }).click();
  await expect(page.getByText(`Watering at ${label}`)).toBeVisible();
  await expect(stops.getByRole('link', { name: new RegExp(`^${label} `) })).toContainText('had');

  // a moist one is fed by itself
  const second = stops.getByRole('link', { name: /check, feed/ }).first();
  const next = (await second.innerText()).match(/^\d+/)?.[0] ?? '';
  await second.click();
  await expect(page.locator('#stop-head')).toContainText(next);
  await page.getByRole('button', { name: /^moist/ }).click();
  const proposal = page.getByRole('region', { name: 'Proposed feed' });
  const joined = page.getByRole('switch', { name: /With its feed/ });
  await expect(proposal.or(joined).first()).toBeVisible({ timeout: 45_000 });
  if (await proposal.isVisible()) {
    await proposal.getByRole('button', { name: 'Fed' }).click();
    await expect(page.getByText(`Feed at ${next}`)).toBeVisible();
  } else {
    await page.getByRole('button', { name: 'Given' }).click();
  }

  // its diary has both
  await visit(page, '/bags');
  await page
    .getByRole('link', { name: new RegExp(`^${next} `) })
    .first()
    .click();
  await expect(page.getByText(/Fed: .*(liquid|soluble)/).first()).toBeVisible({ timeout: 45_000 });

  // a regime of one’s own, twice as often: its dates move while it is edited, and stay moved
  await visit(page, '/bench/regimes?regime=leaf-then-fruit');
  await expect(dates(page)).toContainText('Tomato liquid', { timeout: 45_000 });
  const before = await dates(page).innerText();
  await page.getByRole('button', { name: 'Make my own of it' }).click();
  const fruit = page.getByRole('group', { name: 'Step 2' });
  await fruit.getByLabel('At the least, days').fill('3');
  await fruit.getByLabel('At the most, days').fill('4');
  await expect(fruit.getByText('The label asks for 7 days between two feeds; this is closer.')).toBeVisible();
  await expect(fruit).toContainText('every 3 to 4 days');
  const after = await dates(page).innerText();
  expect(after.split(',').length).toBeGreaterThan(before.split(',').length + 5);
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByRole('heading', { name: /^My leaf first/ })).toBeVisible();
  await expect(plantingMethods.getByRole('button', { name: /^My leaf first/ })).toContainText('my own');
});

test('the ledger of a bag shows where a nutrient went', async ({ page }) => {
  await openFewBags(page);
  await visit(page, '/bags');
  await page.getByRole('link', { name: /^17 / }).first().click();
  await page.getByRole('button', { name: 'Its ledger, day by day' }).click();
  await page.getByRole('button', { name: 'potassium' }).click();
  await expect(page.getByRole('img', { name: /Where the potassium of bag 17 went/ })).toBeVisible();
});
