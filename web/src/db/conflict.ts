import type { RecordOf, TableName } from '@rundel/core/records';
import { StorageError } from './storage-error.ts';

/** A record that two tabs have changed from the same beginning, each in its own way. */
export interface Conflict<T extends TableName = TableName> {
  readonly table: T;
  readonly before: RecordOf<T>;
  /** what was to be written */
  readonly after: RecordOf<T>;
  /** what is stored */
  readonly current: RecordOf<T>;
  readonly disputed: readonly string[];
}

/** What was entered is still on the screen; which of the two counts is for the grower to say. */
export class ConflictError extends StorageError {
  constructor(readonly conflict: Conflict) {
    super('This was changed in another tab meanwhile. Nothing was changed here.');
  }
}
