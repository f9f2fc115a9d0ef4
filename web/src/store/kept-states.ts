import type { GardenStore } from './garden-store.ts';
import type { LastStates } from './last-states.ts';

const NOTE = 'lastStates';

/** A newer app may work out otherwise, or keep a state in another shape. */
const BUILD: string = import.meta.env['VITE_BUILD_ID'] ?? 'unbuilt';

/** What this device kept of an earlier visit; undefined where there is nothing, or an app before this one kept it. */
export async function readLastStates(store: GardenStore): Promise<LastStates | undefined> {
  const note = (await store.readNote(NOTE)) as (LastStates & { readonly build: string }) | undefined;
  return note?.build === BUILD ? note : undefined;
}

export async function keepLastStates(store: GardenStore, last: LastStates): Promise<void> {
  await store.writeNote(NOTE, { ...last, build: BUILD });
}

/**
 * The states of the demo's first evening, which ship beside it: a first visit shows its round before anything is worked out.
 * Without them the demo opens all the same.
 */
export async function fetchDemoStates(): Promise<LastStates | undefined> {
  try {
    const answer = await fetch(`${import.meta.env.BASE_URL}demo/gannet-slip-states.json`);
    return answer.ok ? ((await answer.json()) as LastStates) : undefined;
  } catch {
    return undefined;
  }
}
