import type { TallyRow } from '@rundel/core/tally';
import type { Column } from '../../ui/table/index.ts';

/** Makes columns of numbers of the tally: each is sorted by, is left empty where it is nothing, and has what all come to at its foot. */
export function numberColumns(total: TallyRow) {
  return (
    id: string,
    header: string,
    of: (row: TallyRow) => number | undefined,
    show: (value: number) => string,
    isExtra = false,
  ): Column<TallyRow> => {
    const shown = (row: TallyRow) => {
      const value = of(row);
      return value === undefined || value === 0 ? '' : show(value);
    };
    return { id, header, isNumber: true, isExtra, sort: of, cell: shown, foot: shown(total) };
  };
}
