export { DataTable } from './DataTable.tsx';
export type { Column } from './column.ts';
