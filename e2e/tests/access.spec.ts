import { expect, type Page } from '@playwright/test';
import { violations } from './axe.ts';
import { openFewBags, test, visit } from './garden.ts';
import { VIEWS } from './views.ts';

/** Views that are laid out in another way on a phone; the others are forms and tables that only grow longer. */
const OWN_LAYOUT = new Set<string>([
  '/round',
  '/bags',
  '/bags/new',
  '/season',
  '/round/planting',
  '/tally',
  '/tally/trials',
  '/tally/shelf',
  ...['size', 'shop', 'depth', 'regimes'].map((topic) => `/bench/${topic}`),
]);

/** Views with colours of their own; those that all share are checked by the theme's unit test. */
const OWN_COLOURS = new Set<string>(['/round', '/bags', '/season', '/bench/size']);

/**
 * What can be pressed and lies under something else at its middle or near a corner, once it is brought into sight. What is
 * fixed at the foot covers what has not been scrolled up from under it, which is no fault: everything is looked at in the
 * middle of the screen.
 */
function covered(page: Page): Promise<readonly string[]> {
  return page.evaluate(() => {
    const found: string[] = [];
    const pressable = 'main button, main a[href], main [role="button"], header button, header a[href]';
    for (const control of document.querySelectorAll<HTMLElement>(pressable)) {
      const style = getComputedStyle(control);
      if (style.visibility === 'hidden' || style.pointerEvents === 'none') continue;
      control.scrollIntoView({ block: 'center', inline: 'center' });
      const { left, top, width, height } = control.getBoundingClientRect();
      if (width < 1 || height < 1 || left < 0 || left + width > innerWidth) continue;
      const inset = Math.min(6, width / 4, height / 4);
      // words that run on over several lines have no corners of their own
      const isRunning = style.display === 'inline';
      const points: (readonly [number, number])[] = isRunning
        ? []
        : [
            [left + width / 2, top + height / 2],
            [left + inset, top + inset],
            [left + width - inset, top + inset],
            // labels end in a point: below its shoulders there is none of it to press
            ...(control.closest('nav[aria-label="Pages"]')
              ? []
              : ([
                  [left + inset, top + height - inset],
                  [left + width - inset, top + height - inset],
                ] as const)),
          ];
      for (const [x, y] of points) {
        const hit = document.elementFromPoint(x, y);
        const isOwn =
          hit && (control.contains(hit) || hit.contains(control) || hit.closest('label') !== null);
        if (hit && !isOwn)
          found.push(
            `${control.textContent?.slice(0, 30) || control.ariaLabel} under ${hit.outerHTML.slice(0, 80)}`,
          );
      }
    }
    return found;
  });
}

/**
 * What is laid out by the width may be drawn a moment later. A browser whose width is set while rules of style come in has
 * been seen to keep the rules of the former width for a part of the page, for good: it is given its width once more.
 */
async function expectNothingCovered(
  page: Page,
  size: { readonly width: number; readonly height: number },
  where: string,
): Promise<void> {
  await expect(async () => {
    const found = await covered(page);
    if (found.length > 0) {
      await page.setViewportSize(DESK);
      await page.setViewportSize(size);
    }
    expect(found, where).toEqual([]);
  }).toPass({ timeout: 15_000 });
}

const DESK = { width: 1280, height: 800 };
const PHONE = { width: 390, height: 844 };
/** Other widths, at which only the layout is looked at. */
const BETWEEN = [360, 768, 1024, 1920].map((width) => ({ width, height: 800 }));

for (const part of ['places', 'bench'] as const) {
  // a view is gone to once and looked at in each width: going there takes longer than looking
  test(`every view of ${part}: no violation, nothing too wide, no control under another`, async ({
    page,
  }) => {
    test.setTimeout(240_000);
    await page.setViewportSize(DESK);
    // a bag of each way of life; what holds for one of a kind holds for twenty
    await openFewBags(page);
    const stops = page.getByRole('navigation', { name: 'Stops of this round' });
    const stop = (await stops.getByRole('link').first().getAttribute('href')) ?? '';
    const ofOneBag = part === 'places' ? [stop.replace('/round/', '/bags/'), stop] : [];
    for (const view of [...VIEWS[part], ...ofOneBag]) {
      await visit(page, view);
      for (const size of [DESK, PHONE, ...BETWEEN]) {
        const where = `${view} at ${size.width} px`;
        await page.setViewportSize(size);
        await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
        await expect(page.getByRole('status')).toHaveCount(0);
        // what is drawn by its width takes the new one a moment later
        await expect
          .poll(() => page.evaluate(() => document.documentElement.scrollWidth - innerWidth), {
            message: `${where} scrolls sideways`,
          })
          .toBeLessThanOrEqual(0);
        if (size === DESK) expect(await violations(page), where).toEqual([]);
        // colours are the same at every width
        else if (size === PHONE && (OWN_LAYOUT.has(view) || ofOneBag.includes(view)))
          expect(await violations(page, { without: ['color-contrast'] }), where).toEqual([]);
        else if (size !== PHONE) await expectNothingCovered(page, size, where);
      }
    }
  });
}

for (const [themeName, size] of [
  ['dusk', DESK],
  ['glare', PHONE],
] as const)
  test(`contrast in ${themeName}`, async ({ page }) => {
    await page.addInitScript((chosen) => localStorage.setItem('rundel.theme', chosen), themeName);
    await page.setViewportSize(size);
    await openFewBags(page);
    for (const view of OWN_COLOURS) {
      await visit(page, view);
      await expect(page.getByRole('status')).toHaveCount(0);
      expect(await violations(page, { only: ['color-contrast'] }), view).toEqual([]);
    }
  });

test('the welcome screen has no violation, and dialogs neither', async ({ page }) => {
  await page.goto('/');
  await expect(page.getByRole('button', { name: 'Walk round the demo' })).toBeVisible();
  expect(await violations(page, { exclude: [] })).toEqual([]);
  await openFewBags(page);
  await page.getByRole('button', { name: 'Pick', exact: true }).click();
  await expect(page.getByRole('dialog')).toBeVisible();
  await page.waitForTimeout(350);
  expect(await violations(page, { exclude: [] })).toEqual([]);
});
