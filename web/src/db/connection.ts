import type Dexie from 'dexie';
import { isConnectionLost, storageError } from './storage-error.ts';

/**
 * Does something with a database, and once more by a new connection where the browser had given up the one that was there: phones
 * do that to what lies in the background.
 *
 * @param letGo of the connection
 * @throws StorageError of the second time
 */
export async function reconnecting<T>(work: () => Promise<T>, letGo: () => void): Promise<T> {
  try {
    return await work();
  } catch (cause) {
    if (!isConnectionLost(cause)) throw storageError(cause);
    letGo();
  }
  try {
    return await work();
  } catch (cause) {
    if (isConnectionLost(cause)) letGo();
    throw storageError(cause);
  }
}

/** A database that is opened when it is first asked for, and anew when its connection is lost. */
export class Connection<D extends Dexie> {
  private db: D | undefined;

  constructor(private readonly made: () => D) {}

  use<T>(work: (db: D) => PromiseLike<T>): Promise<T> {
    return reconnecting(
      async () => work((this.db ??= this.made())),
      () => {
        this.db?.close();
        this.db = undefined;
      },
    );
  }
}
