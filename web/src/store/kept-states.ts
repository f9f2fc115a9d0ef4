import { BUILD } from '../db/index.ts';
import type { StoreInWorker } from '../workers/store.ts';
import type { LastStates } from './last-states.ts';

const NOTE = 'lastStates';

/** As it is kept: a database gives back one long text sooner than the thousands of small values in it. */
interface Kept {
  /** a newer app may work out otherwise, or keep a state in another shape */
  readonly build: string;
  readonly text: string;
}

/** What this device kept of an earlier visit; undefined where there is nothing, or an app before this one kept it. */
export async function readLastStates(store: StoreInWorker): Promise<LastStates | undefined> {
  // what cannot be read is worked out anew; the garden beside it tells what is wrong
  const note = (await store.readNote(NOTE).catch(() => undefined)) as Kept | undefined;
  return note?.build === BUILD ? (JSON.parse(note.text) as LastStates) : undefined;
}

export async function keepLastStates(store: StoreInWorker, last: LastStates): Promise<void> {
  await store.writeNote(NOTE, { build: BUILD, text: JSON.stringify(last) } satisfies Kept);
}
