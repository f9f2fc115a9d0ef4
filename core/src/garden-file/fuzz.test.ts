import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { DEMO_EVENING, gannetSlip } from '../../demo/index.ts';
import { damaged, randomFrom } from '../../test/fuzz.ts';
import { RECORD_TABLES, entrySchema, RECORD_SCHEMAS, settingsSchema } from '../records/index.ts';
import { readGardenFile, writeGardenFile } from './index.ts';

/** All of them with `npm run fuzz`; with each test a part that takes seconds. */
const FILES = process.env['RUNDEL_FUZZ'] === 'whole' ? 3000 : 300;

const demo = gannetSlip(3);
const written = writeGardenFile({ ...demo, entries: demo.entries.slice(-120) }, DEMO_EVENING);
const older = [1, 4, 7, 9].map((version) =>
  readFileSync(join(import.meta.dirname, `fixtures/garden-v${version}.json`), 'utf8'),
);

describe(`${FILES} damaged files`, () => {
  const seeds = Array.from({ length: FILES }, (_, seed) => seed);
  const sources = [written, ...older];

  it('are refused in words, or read with every row that is whole; never anything else', () => {
    const outcomes = { refused: 0, readable: 0, warned: 0 };
    for (const seed of seeds) {
      const random = randomFrom(seed * 7919 + 1);
      const text = damaged(sources[seed % sources.length] ?? written, random);
      const reading = readGardenFile(text);
      outcomes[reading.kind] += 1;
      if (reading.kind === 'refused') {
        expect(reading.problem, `seed ${seed}`).toMatch(/^[A-Z].{10,300}\.$/s);
        continue;
      }
      const { garden, setAside, warnings } = reading;
      if (setAside.length + warnings.length > 0) outcomes.warned += 1;
      for (const table of RECORD_TABLES) {
        const ids = garden[table].map(({ id }) => id as string);
        expect(new Set(ids).size, `seed ${seed} ${table}`).toBe(ids.length);
        for (const row of garden[table]) expect(RECORD_SCHEMAS[table].safeParse(row).success).toBe(true);
      }
      for (const entry of garden.entries) expect(entrySchema.safeParse(entry).success).toBe(true);
      expect(settingsSchema.safeParse(garden.settings).success).toBe(true);
      // what was read is written, and read again the same
      const again = readGardenFile(writeGardenFile(garden, DEMO_EVENING, setAside));
      expect(again.kind === 'readable' && again.garden.entries.length, `seed ${seed}`).toBe(
        garden.entries.length,
      );
    }
    // the damages do what they are for: some cannot be read, most cost a row or a word
    expect(outcomes.refused).toBeGreaterThan(FILES / 100);
    expect(outcomes.warned).toBeGreaterThan(FILES / 4);
  });
});
