import { useCallback, useState } from 'react';
import { decided, type Change } from './changes.ts';
import type { AskedConflict } from './open-garden.ts';
import { ConflictError, type Conflict } from '../db/index.ts';
import type { StoreInWorker } from '../workers/store.ts';

/** Writing to a garden; where another tab has changed the same, the grower is asked whose counts, and `conflict` is what is asked. */
export function useWriting(store: StoreInWorker): {
  readonly conflict: AskedConflict | undefined;
  /** gives the change as it was written */
  readonly write: (change: Change) => Promise<Change>;
} {
  const [conflict, setConflict] = useState<AskedConflict>();
  const asked = useCallback(
    (found: Conflict) =>
      new Promise<'mine' | 'theirs'>((resolve) =>
        setConflict({
          ...found,
          choose(whose) {
            setConflict(undefined);
            resolve(whose);
          },
        }),
      ),
    [],
  );
  const write = useCallback(
    async (change: Change): Promise<Change> => {
      if (change.records.length === 0) {
        await store.append(change.entries);
        return change;
      }
      try {
        return { ...change, records: await store.write(change.records, change.entries) };
      } catch (error) {
        if (!(error instanceof ConflictError)) throw error;
        const { conflict: found } = error;
        const settled = decided(found, await asked(found));
        const records = change.records.map((r) => (r.after.id === settled.after.id ? settled : r));
        return write({ ...change, records });
      }
    },
    [asked, store],
  );
  return { conflict, write };
}
