import axe from 'axe-core';
import type { Page } from '@playwright/test';

export interface Checks {
  /** what is not looked at, as CSS selectors; a drawing is one picture with a name: what it is drawn of is checked by looking at it */
  readonly exclude?: readonly string[];
  /** rules that alone are asked, or all */
  readonly only?: readonly string[];
  /** rules that are not asked */
  readonly without?: readonly string[];
}

/** Every violation of accessibility in a page as it stands, in words: none is right. */
export async function violations(page: Page, checks: Checks = {}): Promise<readonly string[]> {
  const { exclude = ['svg[role="img"] > *'], only, without = [] } = checks;
  // the checker is read once for all that one page shows
  if (!(await page.evaluate(() => 'axe' in globalThis))) await page.evaluate(axe.source);
  const options: axe.RunOptions = {
    // gathering what is right took most of the time
    resultTypes: ['violations'],
    ...(only ? { runOnly: { type: 'rule', values: [...only] } } : {}),
    rules: Object.fromEntries(without.map((rule) => [rule, { enabled: false }])),
  };
  return page.evaluate(
    async ([left, asked]) => {
      const { axe: checker } = globalThis as unknown as { axe: typeof axe };
      const found = await checker.run({ exclude: [...left] }, asked);
      return found.violations.map((v) => `${v.id}: ${v.nodes.map((n) => n.html.slice(0, 140)).join(' | ')}`);
    },
    [exclude, options] as const,
  );
}
