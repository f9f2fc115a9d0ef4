export { FEED_SKIP_REASONS } from './kinds/feeding.ts';
export { SKIP_REASONS } from './kinds/water.ts';
export { entrySchema, type Draft, type Entry, type EntryKind, type EntryOf } from './entry.ts';
export { byTime, entriesAt, liveEntries } from './live.ts';
