import { DEFAULT_ASSUMED } from '../src/assumed/index.ts';
import { runFilter } from '../src/water/index.ts';
import { feltSeasons, stepsOf } from './season/felt.ts';

/** Of so many bags every so manieth one, each season worked out whole whenever it is told to go. */
const [bags, part, parts] = process.argv.slice(2).map(Number) as [number, number, number];
const mine = feltSeasons(bags).filter((_, n) => n % parts === part);

process.on('message', () => {
  for (const one of mine) runFilter(one.bag, stepsOf(one), DEFAULT_ASSUMED);
  process.send?.('done');
});
process.send?.('ready');
