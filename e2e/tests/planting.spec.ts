import { expect, type Page } from '@playwright/test';
import { openDemo, openFewBags, say, startOwnGarden, test, visit } from './garden.ts';

/** Adds empty bags of a kind, by the address that other screens send to. */
async function addBags(page: Page, query: string, first: string): Promise<void> {
  await visit(page, `/bags/new?${query}`);
  await say(page, 'Number or name', first);
  await page.getByRole('button', { name: /^Add (the bag|\d+ bags)$/ }).click();
  await expect(page.getByRole('heading', { level: 1 })).not.toHaveText('Add a bag');
}

test.describe('a planting on a phone', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true });

  test('six bags of four kinds, step by step, left in the middle and taken up again', async ({ page }) => {
    await startOwnGarden(page);
    await addBags(page, 'kind=round-fabric&litres=57&count=2', '1');
    await addBags(page, 'kind=pillow&litres=50', '3');
    await addBags(page, 'kind=bucket&litres=20', '4');
    await addBags(page, 'kind=ring-pillow&litres=60&count=2', '5');
    await visit(page, '/round/planting');
    await page.getByRole('button', { name: 'Add it to the planting' }).click();
    await page.getByLabel('Height of the plant').fill('30 cm');
    await page.getByRole('button', { name: 'Add it to the planting' }).click();
    await expect(page.getByText('Choose at least one bag with room in it.')).toBeVisible();
    await page.getByLabel('Variety').fill('Lantern Drop');
    await page.getByRole('button', { name: /^Into which bags: .*Change$/ }).click();
    await page.getByRole('button', { name: 'All', exact: true }).click();
    await page.getByRole('button', { name: 'These 6 bags' }).click();
    await page.getByRole('button', { name: 'Add these 6 bags' }).click();
    await expect(page.getByText('3 Lantern Drop, 30 cm tall: laid in a trench')).toBeVisible();
    await expect(page.getByText('5 Lantern Drop, 30 cm tall: in a ring, filled a third first')).toBeVisible();
    await page.getByRole('button', { name: 'Begin planting' }).click();

    // pillow bags come pressed flat and closed: only they are loosened, and the one without rings is cut open
    await page.getByRole('button', { name: 'Done at all 3' }).click();
    await page.getByRole('checkbox', { name: 'Cut it open: bag 3' }).click();
    await page.getByRole('button', { name: 'Done at all 6' }).click();
    // one bag alone, then the other five; and back again
    await page.getByRole('checkbox', { name: 'Soak: bag 1' }).click();
    await expect(page.getByRole('checkbox', { name: 'Soak: bag 1' })).toBeChecked();
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(page.getByRole('checkbox', { name: 'Soak: bag 1' })).not.toBeChecked();
    await page.getByRole('button', { name: 'Done at all 6' }).click();
    await page.getByRole('button', { name: 'Done at all 4' }).click();

    // something is changed in the middle: what was ticked stays ticked
    await page.getByRole('button', { name: 'Change what is planted' }).click();
    await page.getByRole('button', { name: 'Begin planting' }).click();
    await expect(page.getByText(/^6 bags, (?!0 )\d+ of/)).toBeVisible();

    // an interruption: the page is gone, and what was done is not
    await page.goto('/round');
    await expect(page.getByText('Planting is under way:', { exact: false })).toBeVisible();
    await page.getByRole('link', { name: 'Go on planting' }).click();
    await expect(page.getByRole('checkbox', { name: 'Plant: bag 1' })).not.toBeChecked();
    await page.getByRole('button', { name: 'See it in section' }).nth(2).click();
    await expect(page.getByRole('img', { name: 'Bag 3 in section' })).toBeVisible();
    await page.getByRole('button', { name: 'Done at all 6' }).click();
    for (const step of ['Firm', 'Label', 'First watering', 'Shade']) {
      await expect(page.getByRole('checkbox', { name: `${step}: bag 1` })).toBeVisible();
      await page.getByRole('button', { name: 'Done at all 6' }).click();
    }
    await expect(page.getByText('All planted')).toBeVisible();
    await page.getByRole('button', { name: 'To the round' }).click();
    await expect(page).toHaveURL(/\/round(\/con_\w+)?(\?|$)/);
    await expect(page.getByText('Planting is under way:', { exact: false })).toHaveCount(0);

    await visit(page, '/bags');
    await page.getByRole('link', { name: /^3 Lantern Drop/ }).click();
    for (const done of [
      'Mix loosened',
      'Root ball soaked',
      'Leaves stripped',
      'Planted plant 1, 30 cm tall',
      'Shaded',
    ])
      await expect(page.getByText(done).first()).toBeVisible();
    // all six are of one variety, whose record was made once
    await visit(page, '/bags');
    await expect(page.getByRole('link', { name: /Lantern Drop/ })).toHaveCount(6);
  });
});

test.describe('ways to plant', () => {
  test('the lines in the section are moved by keys and by dragging, and the numbers follow', async ({
    page,
  }) => {
    await openDemo(page);
    await visit(page, '/bench/depth');
    await page.getByLabel('Bag', { exact: true }).click();
    await page.getByRole('option', { name: '6 · Lantern Drop' }).click();
    await page.getByLabel('Height of the plant').fill('20 cm');
    const advice = page.getByTestId('planting-advice');
    await expect(advice).toContainText('bury 10 cm of the stem');
    const line = page.getByRole('slider', { name: /Planting line/ });
    await line.focus();
    await page.keyboard.press('Shift+ArrowDown');
    await expect(advice).toContainText('bury 12 cm of the stem');
    await page.getByRole('button', { name: 'Back to what was worked out' }).click();
    await expect(advice).toContainText('bury 10 cm of the stem');
    await line.scrollIntoViewIfNeeded();
    const box = await line.boundingBox();
    if (!box) throw new Error('the grip has no place');
    const at = { x: box.x + box.width / 2, y: box.y + box.height / 2 };
    await page.mouse.move(at.x, at.y);
    await page.mouse.down();
    await page.mouse.move(at.x, at.y + 40, { steps: 4 });
    await page.mouse.up();
    await expect(advice).not.toContainText('bury 10 cm of the stem');
    await expect(line).toHaveAttribute('aria-valuetext', /of the stem under/);
  });
});

test.describe('the year', () => {
  test('a crop is planned, moved by keys and by dragging, and says what follows', async ({ page }) => {
    await openFewBags(page);
    await visit(page, '/season');
    await page.getByRole('button', { name: 'Next year' }).click();
    await page.getByRole('button', { name: 'Plan a crop' }).click();
    const dialog = page.getByRole('dialog');
    await dialog.getByLabel('Variety').fill('Lantern Drop');
    await dialog.getByRole('button', { name: 'Add to the plan' }).click();
    const bar = page.getByRole('slider', { name: 'Planting day of Lantern Drop' });
    await bar.focus();
    const said = page.getByTestId('consequence');
    await expect(said).toContainText('The day suits it.');
    // one run: a machine that rests between two keys would make two moves of it
    await page.keyboard.down('Shift');
    await Promise.all(Array.from({ length: 6 }, () => page.keyboard.press('ArrowLeft')));
    await page.keyboard.up('Shift');
    await expect(said).toContainText('Earlier than your practice would');
    await expect(said).toContainText('Chance of frost after it:');
    await expect(page.getByText('Planting of Lantern Drop moved', { exact: false })).toBeVisible();
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(said).toContainText('The day suits it.');

    const box = await bar.boundingBox();
    if (!box) throw new Error('the bar has no place');
    await page.mouse.move(box.x + box.width / 2, box.y + 10);
    await page.mouse.down();
    await page.mouse.move(box.x + box.width / 2 + 280, box.y + 10, { steps: 5 });
    await page.mouse.up();
    await expect(said).toContainText('Late:');
    await page.getByRole('button', { name: 'Table', exact: true }).click();
    await expect(page.getByRole('row', { name: /Lantern Drop \(planned\)/ })).toBeVisible();
  });
});
