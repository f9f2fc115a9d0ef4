import { Box } from '@mui/material';
import type { ReactNode } from 'react';
import type { Column, Ticking, TickRow } from './column.ts';
import { Tick } from './Tick.tsx';

/** Out of sight, and still read out. */
const ONLY_READ_OUT = {
  position: 'absolute',
  width: 1,
  height: 1,
  overflow: 'hidden',
  clipPath: 'inset(50%)',
} as const;

const isEmpty = (content: ReactNode) => content === undefined || content === null || content === '';

/** A row on a phone: what it is, and what of the rest is not empty. */
export function Card<T>({
  row,
  id,
  head,
  columns,
  ticking,
  tick,
}: {
  readonly row: T;
  readonly id: string;
  readonly head: Column<T>;
  readonly columns: readonly Column<T>[];
  readonly ticking: Ticking<T> | undefined;
  readonly tick: TickRow;
}) {
  return (
    <Box
      role="listitem"
      sx={{
        border: '1px solid var(--line)',
        borderRadius: '10px',
        padding: 1.25,
        backgroundColor: ticking?.ticked.has(id) ? 'var(--action-wash)' : 'var(--raised)',
      }}
    >
      <Box sx={{ display: 'flex', alignItems: 'center', fontWeight: 'fontWeightMedium' }}>
        {ticking && <Tick row={row} id={id} ticking={ticking} tick={tick} />}
        {head.cell(row)}
      </Box>
      <CardLines
        lines={columns.flatMap((column) => {
          const content = column.cell(row);
          return isEmpty(content) ? [] : [[column, content] as const];
        })}
      />
    </Box>
  );
}

/** What the columns come to, under the cards. */
export function FootCard<T>({ columns }: { readonly columns: readonly Column<T>[] }) {
  return (
    <Box role="listitem" sx={{ padding: 1.25, fontWeight: 700 }}>
      <CardLines lines={columns.flatMap((c) => (isEmpty(c.foot) ? [] : [[c, c.foot] as const]))} />
    </Box>
  );
}

function CardLines<T>({ lines }: { readonly lines: readonly (readonly [Column<T>, ReactNode])[] }) {
  return (
    <Box
      component="dl"
      sx={{
        position: 'relative',
        margin: 0,
        marginBlockStart: 0.5,
        display: 'grid',
        gridTemplateColumns: 'auto minmax(0, 1fr)',
        columnGap: 2,
        fontSize: '0.92rem',
      }}
    >
      {lines.map(([column, content]) => (
        <Box key={column.id} sx={{ display: 'contents' }}>
          <Box component="dt" sx={{ color: 'text.secondary', fontWeight: 'fontWeightRegular' }}>
            {/* a button says itself what it does */}
            {column.isScreenOnly ? <Box sx={ONLY_READ_OUT}>{column.header}</Box> : column.header}
          </Box>
          <Box component="dd" sx={{ margin: 0, textAlign: 'end' }}>
            {content}
          </Box>
        </Box>
      ))}
    </Box>
  );
}
