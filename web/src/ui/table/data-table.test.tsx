// @vitest-environment happy-dom
import { cleanup, fireEvent, render, screen, within } from '@testing-library/react';
import { useState } from 'react';
import { afterEach, describe, expect, it } from 'vitest';
import type { Column } from './column.ts';
import { DataTable } from './DataTable.tsx';

interface Row {
  readonly id: string;
  readonly name: string;
  readonly weight: number | undefined;
}
const ROWS: readonly Row[] = [
  { id: 'a', name: 'Ash', weight: 2 },
  { id: 'b', name: 'Birch', weight: undefined },
  { id: 'c', name: 'Cedar', weight: 5 },
  { id: 'd', name: 'Dogwood', weight: 1 },
];
const COLUMNS: [Column<Row>, ...Column<Row>[]] = [
  { id: 'name', header: 'Name', sort: (row) => row.name, cell: (row) => row.name },
  { id: 'weight', header: 'Weight', isNumber: true, sort: (row) => row.weight, cell: (row) => row.weight },
  { id: 'note', header: 'Note', cell: () => 'n' },
  { id: 'more', header: 'More', isExtra: true, cell: () => 'm' },
];

function Table() {
  const [ticked, onTick] = useState<ReadonlySet<string>>(new Set());
  return (
    <DataTable
      name="test"
      label="Trees"
      rows={ROWS}
      columns={COLUMNS}
      idOf={(row) => row.id}
      ticking={{ ticked, onTick, nameOf: (row) => row.name }}
    />
  );
}

const names = () =>
  within(screen.getByRole('region', { name: 'Trees' }))
    .getAllByRole('row')
    .slice(1)
    .map((row) => within(row).getAllByRole('cell')[1]?.textContent);
const heads = () => screen.getAllByRole('columnheader', { hidden: true }).map((head) => head.textContent);
const isTicked = (name: string) => (screen.getByLabelText(`Tick ${name}`) as HTMLInputElement).checked;

afterEach(() => {
  cleanup();
  localStorage.clear();
});

describe('a table', () => {
  it('is sorted by a heading, the heaviest first, and what has no value comes last either way', () => {
    render(<Table />);
    const weight = screen.getByRole('button', { name: 'Weight' });
    fireEvent.click(weight);
    expect(names()).toEqual(['Cedar', 'Ash', 'Dogwood', 'Birch']);
    expect(screen.getByRole('columnheader', { name: 'Weight' }).getAttribute('aria-sort')).toBe('descending');
    fireEvent.click(weight);
    expect(names()).toEqual(['Dogwood', 'Ash', 'Cedar', 'Birch']);
    fireEvent.click(weight);
    expect(names()).toEqual(['Ash', 'Birch', 'Cedar', 'Dogwood']);
  });

  it('shows the columns that are chosen, and remembers them; the first stays', () => {
    const { unmount } = render(<Table />);
    expect(heads()).toEqual(['', 'Name', 'Weight', 'Note']);
    fireEvent.click(screen.getByRole('button', { name: 'Columns' }));
    expect(screen.queryByRole('menuitemcheckbox', { name: 'Name' })).toBeNull();
    fireEvent.click(screen.getByRole('menuitemcheckbox', { name: 'Weight' }));
    fireEvent.click(screen.getByRole('menuitemcheckbox', { name: 'More' }));
    expect(heads()).toEqual(['', 'Name', 'Note', 'More']);
    unmount();
    render(<Table />);
    expect(heads()).toEqual(['', 'Name', 'Note', 'More']);
  });

  it('ticks a span with shift, in the order that is shown', () => {
    render(<Table />);
    fireEvent.click(screen.getByRole('button', { name: 'Weight' }));
    fireEvent.click(screen.getByLabelText('Tick Cedar'));
    fireEvent.click(screen.getByLabelText('Tick Dogwood'), { shiftKey: true });
    expect(['Ash', 'Birch', 'Cedar', 'Dogwood'].map(isTicked)).toEqual([true, false, true, true]);
    fireEvent.click(screen.getByLabelText('Tick all: trees'));
    expect(isTicked('Birch')).toBe(true);
  });
});
