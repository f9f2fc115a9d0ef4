import { LATEST_VERSION } from '@rundel/core/garden-file';
import type { Garden } from '@rundel/core/records';
import type { LastStates } from './last-states.ts';

/** The stamp of the demo as it ships, before it is in a database. */
export const SHIPPED = 'shipped';

/** What is fetched of the demo: its garden, and how its bags stand on its first evening. */
interface Fetched {
  readonly garden: Promise<Response>;
  readonly states: Promise<Response>;
}

/** `early.js` asks for it before the app is there, on a first visit to the demo. */
const early = (globalThis as { readonly rundelDemo?: Fetched }).rundelDemo;

const fetched = (): Fetched => ({
  garden: fetch(`${import.meta.env.BASE_URL}demo/gannet-slip.json`),
  states: fetch(`${import.meta.env.BASE_URL}demo/gannet-slip-states.json`),
});

/** Marks on this device that the demo has been stored here, and need not be fetched (`early.js` reads it). */
const STORED = 'rundel.demoStored';

export function noteDemoStored(): void {
  localStorage.setItem(STORED, '');
}

/**
 * The demo: a garden file like any other, made by a seeded script and shipped beside the app. It was read through the schemas
 * when it was made, by the same version of them, and is not checked row by row again.
 */
export async function fetchDemo(): Promise<{ readonly garden: Garden; readonly savedAt: string }> {
  const answer = await (early ?? fetched()).garden;
  if (!answer.ok) throw new Error(`The demo garden could not be fetched (${answer.status}).`);
  const {
    savedAt,
    format,
    version,
    minor: _,
    checksum: __,
    ...garden
  } = (await answer.clone().json()) as DemoFile;
  if (format !== 'rundel-garden' || version !== LATEST_VERSION)
    throw new Error('The demo garden is not of this version of Rundel. Load the page again.');
  return { garden, savedAt };
}

type DemoFile = Garden & {
  readonly savedAt: string;
  readonly format: string;
  readonly version: number;
  readonly minor: number;
  readonly checksum: string;
};

/**
 * The states of the demo's first evening, which ship beside it: a first visit shows its round before anything is worked out.
 * Without them the demo opens all the same.
 */
export async function fetchDemoStates(): Promise<LastStates | undefined> {
  try {
    const answer = await (early ?? fetched()).states;
    return answer.ok ? ((await answer.clone().json()) as LastStates) : undefined;
  } catch {
    return undefined;
  }
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
