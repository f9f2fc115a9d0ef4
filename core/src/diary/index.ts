export { entrySchema, type Draft, type Entry, type EntryKind, type EntryOf } from './entry.ts';
export { byTime, liveEntries } from './live.ts';
