import type { Garden } from '@rundel/core/records';
import { readGardenFile } from './garden-file.ts';

/** The demo is a garden file like any other, made by `npm run demo` from a seeded script and shipped beside the app. */
export async function fetchDemo(): Promise<{ readonly garden: Garden; readonly savedAt: string }> {
  const answer = await fetch(`${import.meta.env.BASE_URL}demo/gannet-slip.json`);
  if (!answer.ok) throw new Error(`The demo garden could not be fetched (${answer.status}).`);
  const reading = await readGardenFile(await answer.text());
  if (reading.kind === 'refused') throw new Error(`The demo garden does not read. ${reading.problem}`);
  return reading;
}

/** The moment the demo's clock is set to: its own evening, or later if something was recorded or time moved on. */
export function demoMoment(savedAt: string, movedTo: string | undefined, garden: Garden): string {
  let latest = savedAt;
  let time = Date.parse(savedAt);
  const moments = [...(movedTo ? [movedTo] : []), ...garden.entries.map((entry) => entry.recordedAt)];
  for (const moment of moments) {
    const other = Date.parse(moment);
    if (other > time) [latest, time] = [moment, other];
  }
  return latest;
}
