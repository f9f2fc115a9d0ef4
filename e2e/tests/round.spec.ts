import { expect, type Page } from '@playwright/test';
import { openDemo, openFewBags, test } from './garden.ts';

test.describe('the round of the demo', () => {
  test('asks for looks, proposes drinks, and goes on by itself', async ({ page }) => {
    await openDemo(page);
    await expect(page.getByRole('heading', { level: 1 })).toHaveText('Thursday evening');
    const stops = page.getByRole('navigation', { name: 'Stops of this round' }).getByRole('link');
    // bags whose feed is due join the walk when their feeding is worked out
    await expect(stops.filter({ hasText: 'feed' }).first()).toBeVisible({ timeout: 45_000 });
    const count = await stops.count();
    expect(count).toBeGreaterThanOrEqual(4);
    await expect(page.getByText(/I expect it/)).toContainText(/It used about .* since|You were last at it/);
    await expect(page.getByRole('note', { name: 'To carry' })).toContainText(/green can/);

    // the stop that came first is kept to, though a bag before it may have joined for its feed
    const current = page.locator('[aria-current="step"]');
    const label = (await current.innerText()).split('\n')[0] ?? '';
    await page.getByRole('button', { name: /^dry / }).click();
    const given = page.getByRole('button', { name: 'Given' });
    await expect(given).toBeVisible();
    const box = await given.boundingBox();
    expect(box?.height).toBeGreaterThanOrEqual(56);
    await given.click();
    await expect(stops.filter({ hasText: label }).filter({ hasText: 'had' })).toHaveCount(1);
    await expect(current).not.toContainText(label);
    await expect(page.getByText(`${count - 1} of 23 bags need you.`)).toBeVisible();
  });

  test('a wet look needs no drink, and raises the water in the section', async ({ page }) => {
    await openFewBags(page);
    const line = page.locator('[data-part="waterline"]').first();
    const before = Number(await line.getAttribute('y'));
    await page.getByRole('button', { name: /^wet / }).click();
    await expect(page.getByText('It has enough; no watering needed.')).toBeVisible();
    // it rises once the bag has been worked out with what was felt
    await expect.poll(async () => Number(await line.getAttribute('y'))).toBeLessThan(before);
  });

  test('a tap that comes while the next stop is being drawn is not put down to the old one', async ({
    page,
  }) => {
    await openFewBags(page);
    const head = page.locator('#stop-head');
    const first = await head.innerText();
    await page.evaluate(() => {
      for (const key of ['n', '1'])
        document.body.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true }));
    });
    await expect(head).not.toHaveText(first);
    const label = (await head.innerText()).match(/^\d+/)?.[0] ?? '';
    await page.keyboard.press('2');
    // read at once: it goes by itself, and a busy machine may be slow to ask again
    const said = await page.getByText(/^Check of \d+/).innerText();
    expect(said).toMatch(new RegExp(`^Check of ${label}\\b`));
    await page.keyboard.press('u');
    await expect(page.getByText(`Undone: check of ${label}`)).toBeVisible();
    await page.keyboard.press('u');
    await expect(page.getByText('There is nothing more to undo.')).toBeVisible();
  });

  test('is where it was after an interruption', async ({ page }) => {
    await openFewBags(page);
    await page.getByRole('button', { name: /^dry / }).click();
    await expect(page.getByRole('button', { name: 'Given' })).toBeVisible();
    await page.reload();
    await expect(page.getByRole('button', { name: 'Given' })).toBeVisible({ timeout: 45_000 });
    await page.getByRole('button', { name: 'Given' }).click();
    await page.getByRole('button', { name: 'Skip' }).click();
    await page.getByRole('menuitem', { name: 'No time' }).click();
    // it is shown once it is stored; what is not told yet a reload may cut off
    const stops = page.getByRole('navigation', { name: 'Stops of this round' });
    await expect(stops.getByText(/not now/)).toHaveCount(1);
    await page.reload();
    await expect(stops.getByText(/had/)).toHaveCount(1, { timeout: 45_000 });
    await expect(stops.getByText(/not now/)).toHaveCount(1);
  });

  test('works on a phone: five grades in sight, targets large, nothing to scroll sideways', async ({
    page,
  }) => {
    await page.setViewportSize({ width: 390, height: 844 });
    await openFewBags(page);
    for (const name of ['dust-dry', 'dry', 'barely damp', 'moist', 'wet']) {
      const button = page.getByRole('button', { name: new RegExp(`^${name} `) });
      const box = await button.boundingBox();
      expect(box?.height).toBeGreaterThanOrEqual(56);
    }
    const wide = await page.evaluate(() => document.documentElement.scrollWidth);
    expect(wide).toBeLessThanOrEqual(390);
    await page
      .getByRole('button', { name: /^dust-dry / })
      .tap()
      .catch(() => page.getByRole('button', { name: /^dust-dry / }).click());
    await expect(page.getByText('in two goes, ten minutes apart', { exact: false })).toBeVisible();
  });

  test('the demo goes on to the next morning, and more bags want a look', async ({ page }) => {
    await openDemo(page);
    await page.getByRole('button', { name: 'To the next morning' }).click();
    await expect(page.getByRole('heading', { level: 1 })).toHaveText('Friday morning');
    await expect(page.getByText(/of 23 bags need you/)).toBeVisible({ timeout: 45_000 });
  });
});

test.describe('what is under a finger stays there', () => {
  for (const [name, size] of [
    ['at a desk', { width: 1280, height: 800 }],
    ['on a phone', { width: 390, height: 844 }],
  ] as const)
    test(`the grades do not move from when they are first seen until all is in, ${name}`, async ({
      page,
    }) => {
      await page.setViewportSize(size);
      await openFewBags(page);
      await page.addInitScript(() => {
        const tops: number[] = [];
        Object.assign(globalThis, { tops });
        const note = () => {
          const grade = document.querySelector('button[aria-keyshortcuts="3"]');
          if (grade) tops.push(Math.round(grade.getBoundingClientRect().top));
          requestAnimationFrame(note);
        };
        requestAnimationFrame(note);
      });
      await page.goto('/round');
      // the feeds come last of what stands above or beside the grades
      await expect(page.getByRole('note', { name: 'To carry' })).toContainText(/feeds|tomato liquid/, {
        timeout: 45_000,
      });
      const tops = await page.evaluate(() => (globalThis as unknown as { tops: number[] }).tops);
      expect(tops.length).toBeGreaterThan(0);
      expect(Math.max(...tops) - Math.min(...tops)).toBeLessThanOrEqual(2);
    });

  test('what a bag page says of planting does not move when its water comes in', async ({ page }) => {
    await openFewBags(page);
    await page.getByRole('link', { name: 'Bags' }).click();
    await page.getByRole('button', { name: 'Table' }).click();
    await page.getByRole('link', { name: '7', exact: true }).click();
    await expect(page.getByText('Next check:').first()).toBeVisible({ timeout: 45_000 });
    const height = async () =>
      (await page.getByRole('heading', { name: 'Water', exact: true }).locator('..').boundingBox())?.height ??
      0;
    const known = await height();
    // its water may otherwise be in before anybody has looked
    await page.route(/garden\.worker/, async (route) => {
      await new Promise((resolve) => setTimeout(resolve, 12_000));
      await route.continue().catch(() => undefined);
    });
    // what was kept of this visit is shown at once; an app that has kept nothing says that it works it out
    await expect.poll(() => onDevice(page, 'readonly', 'get'), { timeout: 45_000 }).toBeTruthy();
    await page.reload();
    await expect(page.getByText('Next check:').first()).toBeVisible({ timeout: 10_000 });
    expect(Math.abs(known - (await height()))).toBeLessThan(40);
    await onDevice(page, 'readwrite', 'delete');
    await page.reload();
    await expect(page.getByText('Working it out…').first()).toBeVisible();
    expect(Math.abs(known - (await height()))).toBeLessThan(40);
  });
});

/** Looks for how the bags last stood among the notes of this device, or forgets it. */
function onDevice(page: Page, mode: IDBTransactionMode, act: 'get' | 'delete'): Promise<boolean> {
  return page.evaluate(
    ([how, what]) =>
      new Promise<boolean>((done) => {
        const open = indexedDB.open('rundel-demo');
        open.onsuccess = () => {
          const notes = open.result.transaction('device', how).objectStore('device');
          const asked = notes[what]('lastStates');
          asked.onsuccess = () => {
            open.result.close();
            done(asked.result !== undefined);
          };
        };
      }),
    [mode, act] as const,
  );
}
