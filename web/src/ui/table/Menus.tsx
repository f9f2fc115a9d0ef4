import { Button, Checkbox, ListItemText, Menu, MenuItem } from '@mui/material';
import { IconColumns3 } from '@tabler/icons-react';
import { useState } from 'react';
import type { Column } from './column.ts';

/** Which columns are shown. */
export function ColumnMenu<T>({
  columns,
  shown,
  onChoose,
}: {
  readonly columns: readonly Column<T>[];
  readonly shown: readonly Column<T>[];
  onChoose(id: string, on: boolean): void;
}) {
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  return (
    <>
      <Button
        size="small"
        startIcon={<IconColumns3 size={18} aria-hidden />}
        aria-haspopup="menu"
        onClick={(event) => setAnchor(event.currentTarget)}
      >
        Columns
      </Button>
      <Menu open={anchor !== null} anchorEl={anchor} onClose={() => setAnchor(null)}>
        {columns.map((column) => {
          const isOn = shown.includes(column);
          return (
            <MenuItem
              key={column.id}
              role="menuitemcheckbox"
              aria-checked={isOn}
              onClick={() => onChoose(column.id, !isOn)}
              dense
            >
              <Checkbox edge="start" checked={isOn} tabIndex={-1} aria-hidden disableRipple />
              <ListItemText primary={column.header} />
            </MenuItem>
          );
        })}
      </Menu>
    </>
  );
}

/** On a phone there are no headings to press. */
export function SortMenu<T>({
  columns,
  directionOf,
  onSort,
}: {
  readonly columns: readonly Column<T>[];
  directionOf(id: string): string | undefined;
  onSort(id: string): void;
}) {
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  return (
    <>
      <Button size="small" aria-haspopup="menu" onClick={(event) => setAnchor(event.currentTarget)}>
        Sort
      </Button>
      <Menu open={anchor !== null} anchorEl={anchor} onClose={() => setAnchor(null)}>
        {columns
          .filter((c) => c.sort)
          .map((column) => (
            <MenuItem
              key={column.id}
              selected={directionOf(column.id) !== undefined}
              onClick={() => {
                onSort(column.id);
                setAnchor(null);
              }}
            >
              {column.header}
              {directionOf(column.id) ? `, ${directionOf(column.id)}` : ''}
            </MenuItem>
          ))}
      </Menu>
    </>
  );
}
