import { DEMO_EVENING } from '@rundel/core/demo';
import { readGardenFile, writeGardenFile } from '@rundel/core/garden-file';
import { it } from 'vitest';
import { absurd, randomFrom } from '../../core/test/fuzz.ts';
import { demoWith } from './gardens.ts';
import { answered, opened, screen } from './screen.tsx';
const garden = demoWith('7', '12', '3');
it('x', async () => {
  for (const seed of (process.env['SEEDS'] ?? '0').split(',').map(Number)) {
    const odd = absurd(garden, randomFrom(seed * 104_729 + 5));
    const reading = readGardenFile(writeGardenFile(odd, DEMO_EVENING));
    if (reading.kind === 'refused') throw new Error(reading.problem);
    const open = opened(reading.garden, DEMO_EVENING);
    const client = answered(open);
    for (const path of ['/round', '/bags', `/bags/${garden.containers[0]?.id ?? ''}`, '/season','/bench/costs', '/tally','/files','/bags/new', '/season/weather', '/bench/shed', '/bench/feeds', '/bench/regimes', '/bench/varieties', '/bench/fill', '/settings', '/files/calendar', '/files/paper', `/bags/${garden.containers[1]?.id ?? ''}/edit`]) {
      const t = performance.now();
      const r = await Promise.race([screen(path, open, client).then(() => 'ok', (e) => 'THROWS ' + String(e instanceof Error ? e.stack : e).slice(0, 600)), new Promise((res) => setTimeout(() => res('HANGS'), 9000))]);
      if (r !== 'ok' || performance.now() - t > 3000) console.log('seed', seed, path, Math.round(performance.now() - t), r);
    }
  }
}, 900000);
