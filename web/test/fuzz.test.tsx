import { DEMO_EVENING } from '@rundel/core/demo';
import { readGardenFile, writeGardenFile } from '@rundel/core/garden-file';
import { describe, expect, it } from 'vitest';
import { absurd, randomFrom } from '../../core/test/fuzz.ts';
import { demoWith } from './gardens.ts';
import { answered, opened, screen } from './screen.tsx';

/** All of them with `npm run fuzz`; with each test a part that takes seconds. */
const IS_WHOLE = process.env['RUNDEL_FUZZ'] === 'whole';
const GARDENS = IS_WHOLE ? 64 : 6;

const garden = demoWith('7', '12', '3');
const PAGES = [
  '/round',
  '/bags',
  `/bags/${garden.containers[0]?.id ?? ''}`,
  '/season',
  '/bench/costs',
  '/tally',
  '/files',
  ...(IS_WHOLE
    ? [
        '/bags/new',
        '/season/weather',
        '/bench/shed',
        '/bench/feeds',
        '/bench/regimes',
        '/bench/varieties',
        '/bench/fill',
        '/settings',
        '/files/calendar',
        '/files/paper',
        `/bags/${garden.containers[1]?.id ?? ''}/edit`,
      ]
    : []),
];

describe(`${GARDENS} gardens that every schema lets through and nobody has`, () => {
  it.each(Array.from({ length: GARDENS }, (_, seed) => seed))(
    'garden %d opens, and every page of it',
    async (seed) => {
      const odd = absurd(garden, randomFrom(seed * 104_729 + 5));
      const reading = readGardenFile(writeGardenFile(odd, DEMO_EVENING));
      if (reading.kind === 'refused') throw new Error(reading.problem);
      expect(reading.setAside).toEqual([]);
      const open = opened(reading.garden, DEMO_EVENING);
      const client = answered(open);
      for (const path of PAGES) {
        const began = performance.now();
        const html = await screen(path, open, client);
        expect(html, path).toContain('<h1');
        // centuries are not drawn day by day
        expect(performance.now() - began, path).toBeLessThan(20_000);
      }
    },
  );
});
