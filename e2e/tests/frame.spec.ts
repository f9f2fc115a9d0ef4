import { expect, type Page } from '@playwright/test';
import { openFewBags, test, visit } from './garden.ts';
import { VIEWS } from './views.ts';

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
      control.scrollIntoView({ block: 'center', inline: 'nearest' });
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

/** Gone to once and looked at in each: going there takes longer than looking. */
const WIDTHS = [360, 768, 1024, 1920];

for (const part of ['places', 'bench'] as const) {
  test(`no control lies under another at ${WIDTHS.join(', ')} px: ${part}`, async ({ page }) => {
    test.setTimeout(240_000);
    await openFewBags(page);
    for (const view of VIEWS[part]) {
      await visit(page, view);
      for (const width of WIDTHS) {
        await page.setViewportSize({ width, height: 800 });
        await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
        await expect(page.getByRole('status')).toHaveCount(0);
        // what is laid out by the width may be drawn a moment later
        await expect.poll(() => covered(page), `${view} at ${width} px`).toEqual([]);
      }
    }
  });
}

test('nothing shifts once a page is first drawn', async ({ page }) => {
  await page.addInitScript(() => {
    const shifts = window as unknown as { shifted: number };
    shifts.shifted = 0;
    new PerformanceObserver((list) => {
      for (const entry of list.getEntries() as unknown as { value: number; hadRecentInput: boolean }[])
        if (!entry.hadRecentInput) shifts.shifted += entry.value;
    }).observe({ type: 'layout-shift', buffered: true });
  });
  await openFewBags(page);
  for (const view of ['/round', '/bags', '/season', '/bench/shop', '/tally']) {
    await page.goto(view);
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
    await page.waitForTimeout(1500);
    const shifted = await page.evaluate(() => (window as unknown as { shifted: number }).shifted);
    expect(shifted, view).toBeLessThanOrEqual(0.05);
  }
});

test('a form that is left by Escape is there as it was left', async ({ page }) => {
  await openFewBags(page);
  await page.getByRole('button', { name: 'Note', exact: true }).click();
  await page.getByLabel('What you saw or did').fill('Leaves curl a litt');
  await page.keyboard.press('Escape');
  await expect(page.getByRole('dialog')).toBeHidden();
  await page.getByRole('button', { name: 'Note', exact: true }).click();
  await expect(page.getByLabel('What you saw or did')).toHaveValue('Leaves curl a litt');
  await page.getByRole('button', { name: 'Begin anew' }).click();
  await expect(page.getByLabel('What you saw or did')).toHaveValue('');
});
