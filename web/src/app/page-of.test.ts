import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { pageOf } from './page-of.ts';

describe('the page of an address', () => {
  it.each([
    ['/', undefined],
    ['/round', undefined],
    ['/round/con_96m4x0re9jv3', undefined],
    ['/bags', 'bags'],
    ['/bags/', 'bags'],
    ['/bags/new', 'addBag'],
    ['/bags/con_96m4x0re9jv3', 'bag'],
    ['/season/away', 'season'],
    ['/bench/size', 'bench'],
    ['/tally', 'tally'],
  ])('%s', (pathname, page) => {
    expect(pageOf(pathname)).toBe(page);
  });

  it('is read by a name that the routes have', () => {
    const routes = readFileSync(new URL('routes.tsx', import.meta.url), 'utf8');
    for (const page of ['bags', 'addBag', 'bag', 'season', 'bench', 'tally', 'settings', 'files', 'help'])
      expect(routes).toContain(`  ${page}: () => import('../pages/`);
  });

  it('stands alone, so that it can run before any module is there', () => {
    const alone = new Function(`return ${String(pageOf)}`)() as typeof pageOf;
    expect(alone('/bags/new')).toBe('addBag');
  });
});
