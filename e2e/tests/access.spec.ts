import AxeBuilder from '@axe-core/playwright';
import { expect, type Page } from '@playwright/test';
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
 * Gathers only what is wrong, and in one pass, which is enough where a page has no frames: gathering what is right and asking
 * for frames took most of the time.
 */
const checker = (page: Page) =>
  new AxeBuilder({ page }).options({ resultTypes: ['violations'] }).setLegacyMode();

const DESK = { width: 1280, height: 800 };
const PHONE = { width: 390, height: 844 };

/** Structure depends on the width and not on the check: everything is checked in light, contrast alone in the others. */
const RUNS = [
  { themeName: 'light', sizes: [DESK, PHONE], rules: undefined },
  { themeName: 'dusk', sizes: [DESK], rules: ['color-contrast'] },
  { themeName: 'glare', sizes: [PHONE], rules: ['color-contrast'] },
] as const;

for (const { themeName, sizes, rules } of RUNS) {
  for (const part of ['places', 'bench'] as const) {
    test(`no accessibility violation: ${part}, ${themeName}`, async ({ page }) => {
      test.setTimeout(240_000);
      await page.addInitScript((chosen) => localStorage.setItem('rundel.theme', chosen), themeName);
      await page.setViewportSize(sizes[0]);
      // a bag of each way of life; what holds for one of a kind holds for twenty
      await openFewBags(page);
      const stops = page.getByRole('navigation', { name: 'Stops of this round' });
      const stop = (await stops.getByRole('link').first().getAttribute('href')) ?? '';
      const more = part === 'places' ? [stop.replace('/round/', '/bags/'), stop] : [];
      const known = new Set<string>(VIEWS[part]);
      const views = rules ? VIEWS[part].filter((view) => OWN_COLOURS.has(view)) : VIEWS[part];
      for (const view of [...views, ...more]) {
        await visit(page, view);
        for (const size of sizes) {
          await page.setViewportSize(size);
          await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
          await expect(page.getByRole('status')).toHaveCount(0);
          const overflow = await page.evaluate(() => document.documentElement.scrollWidth - innerWidth);
          expect(overflow, `${view} scrolls sideways at ${size.width} px`).toBeLessThanOrEqual(0);
          if (size !== sizes[0] && known.has(view) && !OWN_LAYOUT.has(view)) continue;
          // a drawing is one picture with a name: what it is drawn of is checked by looking at it
          const axe = checker(page).exclude('svg[role="img"] > *');
          if (rules) axe.withRules([...rules]);
          // colours are the same at every width
          else if (size !== sizes[0]) axe.disableRules(['color-contrast']);
          const { violations } = await axe.analyze();
          expect(
            violations.map(
              (v) => `${view}: ${v.id}: ${v.nodes.map((n) => n.html.slice(0, 140)).join(' | ')}`,
            ),
          ).toEqual([]);
        }
      }
    });
  }
}

test('the welcome screen has no violation, and dialogs neither', async ({ page }) => {
  await page.goto('/');
  await expect(page.getByRole('button', { name: 'Walk round the demo' })).toBeVisible();
  expect((await checker(page).analyze()).violations).toEqual([]);
  await openFewBags(page);
  await page.getByRole('button', { name: 'Pick', exact: true }).click();
  await expect(page.getByRole('dialog')).toBeVisible();
  await page.waitForTimeout(350);
  expect((await checker(page).analyze()).violations.map((v) => `${v.id} ${v.nodes[0]?.html}`)).toEqual([]);
});
