import type { ReactNode } from 'react';

/** A column of a table: what stands in it, and what it is sorted by. */
export interface Column<T> {
  readonly id: string;
  readonly header: string;
  cell(row: T): ReactNode;
  /** left out: it cannot be sorted by */
  sort?(row: T): number | string | undefined;
  readonly isNumber?: boolean;
  /** not shown until it is chosen */
  readonly isExtra?: boolean;
  /** what it comes to, at the foot */
  readonly foot?: ReactNode;
  /** stays away from paper: what is pressed and not read */
  readonly isScreenOnly?: boolean;
}

/** What of the rows is ticked. */
export interface Ticking<T> {
  readonly ticked: ReadonlySet<string>;
  onTick(ids: ReadonlySet<string>): void;
  /** "bag 7" */
  nameOf(row: T): string;
}

/** Ticks or unticks a row; with a span, all from the one that was ticked last. */
export type TickRow = (id: string, on: boolean, isSpan: boolean) => void;
