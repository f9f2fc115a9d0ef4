import { Checkbox } from '@mui/material';
import type { Ticking, TickRow } from './column.ts';

/** The box that ticks a row. */
export function Tick<T>({
  row,
  id,
  ticking,
  tick,
}: {
  readonly row: T;
  readonly id: string;
  readonly ticking: Ticking<T>;
  readonly tick: TickRow;
}) {
  return (
    <Checkbox
      checked={ticking.ticked.has(id)}
      onChange={(event, on) => tick(id, on, (event.nativeEvent as MouseEvent).shiftKey)}
      slotProps={{ input: { 'aria-label': `Tick ${ticking.nameOf(row)}` } }}
    />
  );
}
