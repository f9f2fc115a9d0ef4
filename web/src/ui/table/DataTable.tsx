import {
  Box,
  Button,
  ButtonBase,
  Checkbox,
  Table,
  TableBody,
  TableCell,
  TableFooter,
  TableHead,
  TableRow,
  useMediaQuery,
} from '@mui/material';
import { IconArrowDown, IconArrowUp } from '@tabler/icons-react';
import {
  getCoreRowModel,
  getSortedRowModel,
  useReactTable,
  type ColumnDef,
  type SortingState,
} from '@tanstack/react-table';
import { useMemo, useRef, useState } from 'react';
import { Card, FootCard } from './Cards.tsx';
import type { Column, Ticking, TickRow } from './column.ts';
import { ColumnMenu, SortMenu } from './Menus.tsx';
import { Tick } from './Tick.tsx';

const KEPT = 'rundel.columns.';

/** More rows than this are drawn when they are asked for: a screen that has hundreds of them answers slowly. */
const ROWS_A_TIME = 50;

/** The columns that were chosen on this device; undefined: none were ever. */
function keptColumns(name: string): readonly string[] | undefined {
  try {
    const kept: unknown = JSON.parse(localStorage.getItem(KEPT + name) ?? 'null');
    return Array.isArray(kept) ? kept.filter((id) => typeof id === 'string') : undefined;
  } catch {
    return undefined;
  }
}

/**
 * Rows that are compared. Each column can be sorted by and left out; the first, which says what a row is, stays in its place
 * and in sight. On a phone each row is a card of what is not empty.
 */
export function DataTable<T>({
  name,
  label,
  rows,
  columns,
  idOf,
  ticking,
}: {
  /** by which the chosen columns are remembered */
  readonly name: string;
  readonly label: string;
  readonly rows: readonly T[];
  readonly columns: readonly [Column<T>, ...Column<T>[]];
  idOf(row: T): string;
  readonly ticking?: Ticking<T>;
}) {
  const isPhone = useMediaQuery('(max-width: 699px)');
  const [kept, setKept] = useState(() => keptColumns(name));
  const [sorting, setSorting] = useState<SortingState>([]);
  const [key, ...others] = columns;
  const shown = others.filter((c) => (kept ? kept.includes(c.id) : !c.isExtra));
  const definitions = useMemo(
    () =>
      columns.map((column): ColumnDef<T> => ({
        id: column.id,
        accessorFn: (row) => column.sort?.(row),
        enableSorting: column.sort !== undefined,
        sortUndefined: 'last',
        sortDescFirst: column.isNumber ?? false,
      })),
    [columns],
  );
  const table = useReactTable<T>({
    data: rows as T[],
    columns: definitions,
    state: { sorting },
    onSortingChange: setSorting,
    getRowId: idOf,
    getCoreRowModel: getCoreRowModel(),
    getSortedRowModel: getSortedRowModel(),
  });
  const all = table.getRowModel().rows.map(({ original }) => original);
  const [most, setMost] = useState(ROWS_A_TIME);
  const sorted = all.length > most ? all.slice(0, most) : all;
  const choose = (id: string, on: boolean) => {
    const next = others
      .map((c) => c.id)
      .filter((each) => (each === id ? on : shown.some((c) => c.id === each)));
    setKept(next);
    localStorage.setItem(KEPT + name, JSON.stringify(next));
  };
  const tick = useTick(all, idOf, ticking);
  const sortBy = (id: string) => table.getColumn(id)?.toggleSorting(undefined);
  const direction = (id: string) => {
    const [by] = sorting;
    return by?.id === id ? (by.desc ? 'descending' : 'ascending') : undefined;
  };
  return (
    <Box>
      <Box sx={{ display: 'flex', justifyContent: 'flex-end', gap: 1, '@media print': { display: 'none' } }}>
        {isPhone && <SortMenu columns={columns} directionOf={direction} onSort={sortBy} />}
        {others.length > 2 && <ColumnMenu columns={others} shown={shown} onChoose={choose} />}
      </Box>
      {isPhone ? (
        <Box role="list" aria-label={label} sx={{ display: 'grid', gap: 1 }}>
          {sorted.map((row) => (
            <Card
              key={idOf(row)}
              row={row}
              id={idOf(row)}
              head={key}
              columns={shown}
              tick={tick}
              ticking={ticking}
            />
          ))}
          {columns.some((c) => c.foot !== undefined) && <FootCard columns={[key, ...shown]} />}
        </Box>
      ) : (
        <Box sx={{ overflowX: 'auto' }} tabIndex={0} role="region" aria-label={label}>
          <Table size="small" sx={{ '& td, & th': { paddingInline: 1 } }}>
            <TableHead>
              <TableRow>
                {ticking && (
                  <TableCell padding="checkbox">
                    <Checkbox
                      checked={rows.length > 0 && ticking.ticked.size === rows.length}
                      indeterminate={ticking.ticked.size > 0 && ticking.ticked.size < rows.length}
                      onChange={(_, on) => ticking.onTick(new Set(on ? rows.map(idOf) : []))}
                      slotProps={{ input: { 'aria-label': `Tick all: ${label.toLowerCase()}` } }}
                    />
                  </TableCell>
                )}
                {[key, ...shown].map((column) => (
                  <TableCell
                    key={column.id}
                    align={column.isNumber ? 'right' : 'left'}
                    aria-sort={direction(column.id)}
                    sx={cellOf(column, column === key)}
                  >
                    {column.sort ? (
                      <ButtonBase
                        onClick={() => sortBy(column.id)}
                        sx={{ font: 'inherit', fontWeight: 'fontWeightMedium', minHeight: 32, gap: 0.25 }}
                      >
                        {column.header}
                        <Arrow direction={direction(column.id)} />
                      </ButtonBase>
                    ) : (
                      <Box component="span" sx={{ fontWeight: 'fontWeightMedium' }}>
                        {column.header}
                      </Box>
                    )}
                  </TableCell>
                ))}
              </TableRow>
            </TableHead>
            <TableBody>
              {sorted.map((row) => (
                <TableRow key={idOf(row)} selected={ticking?.ticked.has(idOf(row)) ?? false}>
                  {ticking && (
                    <TableCell padding="checkbox">
                      <Tick row={row} id={idOf(row)} ticking={ticking} tick={tick} />
                    </TableCell>
                  )}
                  {[key, ...shown].map((column) => (
                    <TableCell
                      key={column.id}
                      align={column.isNumber ? 'right' : 'left'}
                      sx={cellOf(column, column === key)}
                    >
                      {column.cell(row)}
                    </TableCell>
                  ))}
                </TableRow>
              ))}
            </TableBody>
            {columns.some((c) => c.foot !== undefined) && (
              <TableFooter>
                <TableRow sx={{ '& td': { fontWeight: 700, color: 'text.primary', fontSize: '0.9rem' } }}>
                  {ticking && <TableCell />}
                  {[key, ...shown].map((column) => (
                    <TableCell
                      key={column.id}
                      align={column.isNumber ? 'right' : 'left'}
                      sx={cellOf(column, column === key)}
                    >
                      {column.foot}
                    </TableCell>
                  ))}
                </TableRow>
              </TableFooter>
            )}
          </Table>
        </Box>
      )}
      {all.length > sorted.length && (
        <Button onClick={() => setMost(most + 4 * ROWS_A_TIME)} sx={{ marginBlockStart: 1 }}>
          {sorted.length} of {all.length} are shown: show more
        </Button>
      )}
    </Box>
  );
}

/** The first column stays while the others move under it. */
function cellOf(column: Pick<Column<never>, 'isNumber' | 'isScreenOnly'>, isKey: boolean) {
  return {
    ...(isKey && {
      position: 'sticky',
      insetInlineStart: 0,
      zIndex: 1,
      backgroundColor: 'var(--surface)',
      '.Mui-selected &': { backgroundColor: 'var(--action-wash)' },
    }),
    ...(column.isNumber && { whiteSpace: 'nowrap' }),
    ...(column.isScreenOnly && { '@media print': { display: 'none' } }),
  };
}

function Arrow({ direction }: { readonly direction: 'ascending' | 'descending' | undefined }) {
  const Icon = direction === 'descending' ? IconArrowDown : IconArrowUp;
  // its place is kept: a heading does not move its neighbours when it is sorted by
  return <Icon size={14} aria-hidden style={{ visibility: direction ? 'visible' : 'hidden' }} />;
}

/** Ticks one row, or with shift all from the one that was ticked last. */
function useTick<T>(rows: readonly T[], idOf: (row: T) => string, ticking: Ticking<T> | undefined): TickRow {
  const last = useRef<string>(undefined);
  return (id, on, isSpan) => {
    if (!ticking) return;
    const ids = rows.map(idOf);
    const [from, to] = [ids.indexOf(last.current ?? id), ids.indexOf(id)].sort((a, b) => a - b) as [
      number,
      number,
    ];
    const meant = isSpan && from >= 0 ? ids.slice(from, to + 1) : [id];
    last.current = id;
    ticking.onTick(
      new Set(
        on ? [...ticking.ticked, ...meant] : [...ticking.ticked].filter((each) => !meant.includes(each)),
      ),
    );
  };
}
