import type { DiaryTable } from '@rundel/core/diary-tables';

export const TABLE_NAMES: Readonly<Record<DiaryTable, string>> = {
  pickings: 'Pickings',
  checks: 'Checks',
  waterings: 'Waterings',
  feeds: 'Feeds given',
};
