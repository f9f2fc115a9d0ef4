import { mkdirSync, writeFileSync } from 'node:fs';
import { DEMO_EVENING, gannetSlip } from '@rundel/core/demo';
import { readGardenFile, writeGardenFile } from '../src/store/garden-file.ts';

/** Writes the demo garden as a file of the app's own format, and reads it back before anyone else does. */
const text = await writeGardenFile(gannetSlip(20260716), DEMO_EVENING);
const reading = await readGardenFile(text);
if (reading.kind === 'refused') throw new Error(reading.problem);
if (reading.setAside.length > 0) throw new Error(JSON.stringify(reading.setAside[0]));
mkdirSync('public/demo', { recursive: true });
writeFileSync('public/demo/gannet-slip.json', text);
console.log(`demo: ${reading.garden.containers.length} bags, ${reading.garden.entries.length} entries`);
