export { asBegun, fieldsChanged, mergeSettings, withChanges } from './settings.ts';
export { mergeGardens, type MergeReport, whatWouldChange } from './gardens.ts';
export { latestMoment, momentAfter } from './moments.ts';
export { mergeRecord, type RecordMerge } from './three-way.ts';
