import { writeFileSync } from 'node:fs';
import { readGardenFile, writeGardenFile } from '../src/garden-file/index.ts';
import { MANY_NOW, manyBags } from './many.ts';

/** Writes a garden's file: how many bags, how many seasons, where to. Prints one line of JSON: its entries and bytes, and the processor's time for writing and reading it. */
const [bags, seasons, path] = process.argv.slice(2);
const garden = manyBags(Number(bags), Number(seasons));

const [text, writeMs] = cpuOf(() => writeGardenFile(garden, MANY_NOW));
const [, readMs] = cpuOf(() => readGardenFile(text));
writeFileSync(String(path), text);
console.log(JSON.stringify({ entries: garden.entries.length, bytes: text.length, writeMs, readMs }));

function cpuOf<T>(work: () => T): readonly [T, number] {
  const before = process.cpuUsage();
  const product = work();
  const { user, system } = process.cpuUsage(before);
  return [product, (user + system) / 1000];
}
