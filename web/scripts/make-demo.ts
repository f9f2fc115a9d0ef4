import { mkdirSync, writeFileSync } from 'node:fs';
import { DEMO_EVENING, gannetSlip } from '@rundel/core/demo';
import { GardenEngine } from '@rundel/core/garden-state';
import { readGardenFile, writeGardenFile } from '@rundel/core/garden-file';
import { SHIPPED } from '../src/store/demo.ts';
import { lightened, type LastStates } from '../src/store/last-states.ts';

/**
 * Writes the demo garden as a file of the app's own format, and reads it back before anyone else does; and beside it how its
 * bags stand on its first evening, so that a first visit need not work that out before it shows anything.
 */
const text = await writeGardenFile(gannetSlip(20260716), DEMO_EVENING);
const reading = await readGardenFile(text);
if (reading.kind === 'refused') throw new Error(reading.problem);
if (reading.setAside.length > 0) throw new Error(JSON.stringify(reading.setAside[0]));
mkdirSync('public/demo', { recursive: true });
writeFileSync('public/demo/gannet-slip.json', text);
const ids = reading.garden.containers.map(({ id }) => id);
const answers = new GardenEngine(reading.garden).states(ids, DEMO_EVENING, {});
const last: LastStates = {
  stamp: SHIPPED,
  at: DEMO_EVENING,
  states: lightened(answers.flatMap(({ state }) => state ?? [])),
};
writeFileSync('public/demo/gannet-slip-states.json', JSON.stringify(last));
console.log(`demo: ${reading.garden.containers.length} bags, ${reading.garden.entries.length} entries`);
