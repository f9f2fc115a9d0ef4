import { BUILD } from '../db/index.ts';
import type { GardenStore } from './garden-store.ts';
import type { LastStates } from './last-states.ts';

const NOTE = 'lastStates';

/** What this device kept of an earlier visit; undefined where there is nothing, or an app before this one kept it. */
export async function readLastStates(store: GardenStore): Promise<LastStates | undefined> {
  const note = (await store.readNote(NOTE)) as (LastStates & { readonly build: string }) | undefined;
  return note?.build === BUILD ? note : undefined;
}

export async function keepLastStates(store: GardenStore, last: LastStates): Promise<void> {
  await store.writeNote(NOTE, { ...last, build: BUILD });
}
