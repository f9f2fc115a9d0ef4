import type { Entry } from './diary/entry.ts';
import type { Records } from './records.ts';
import type { Settings } from './settings.ts';

/** Everything that a grower has entered: the input of every computation about a garden. */
export interface Garden extends Records {
  readonly settings: Settings;
  /** the diary as stored, tombstones and corrections included */
  readonly entries: readonly Entry[];
}
