import { Link } from 'react-router';
import type { CropYear, DaySpan } from '@rundel/core/season';
import { shortDay } from '../../text/text.ts';
import { DataTable, type Column } from '../../ui/table/index.ts';
import type { FeedTick, YearRow } from './use-years.ts';

interface Row {
  readonly year: CropYear;
  readonly row: YearRow;
}

const span = ({ from, to }: DaySpan) =>
  from === to ? shortDay(from) : `${shortDay(from)} – ${shortDay(to)}`;

const clearOf = ({ bands, dates }: CropYear) => bands.find((b) => b.kind === 'clear')?.from ?? dates.clear;

/** The stages of a crop's year, in their order. */
const COLUMNS: [Column<Row>, ...Column<Row>[]] = [
  {
    id: 'crop',
    header: 'Bag and crop',
    sort: ({ row }) => row.bag.container.label,
    cell: ({ year, row }) => (
      <span>
        <Link to={`/bags/${row.bag.container.id}`} style={{ color: 'inherit' }}>
          {row.bag.container.label}
        </Link>{' '}
        {year.name}
        {year.status === 'planned' ? ' (planned)' : ''}
      </span>
    ),
  },
  {
    id: 'sow',
    header: 'Sow',
    sort: ({ year }) => year.dates.sow.from,
    cell: ({ year }) => span(year.dates.sow),
  },
  {
    id: 'harden',
    header: 'Harden',
    isExtra: true,
    sort: ({ year }) => year.dates.harden?.from,
    cell: ({ year }) => year.dates.harden && span(year.dates.harden),
  },
  {
    id: 'plant',
    header: 'Plant',
    sort: ({ year }) => year.plantOn,
    cell: ({ year }) => shortDay(year.plantOn),
  },
  {
    id: 'support',
    header: 'Support',
    isExtra: true,
    sort: ({ year }) => year.supportOn ?? year.dates.support.from,
    cell: ({ year }) => (year.supportOn ? shortDay(year.supportOn) : span(year.dates.support)),
  },
  {
    id: 'flowers',
    header: 'First flowers',
    sort: ({ year }) => year.dates.firstFlowers.from,
    cell: ({ year }) => span(year.dates.firstFlowers),
  },
  {
    id: 'picking',
    header: 'First picking',
    sort: ({ year }) => year.dates.firstPicking.from,
    cell: ({ year }) => span(year.dates.firstPicking),
  },
  {
    id: 'last-set',
    header: 'Last useful set',
    isExtra: true,
    sort: ({ year }) => year.dates.lastSet,
    cell: ({ year }) => shortDay(year.dates.lastSet),
  },
  {
    id: 'clear',
    header: 'Clear',
    sort: ({ year }) => clearOf(year),
    cell: ({ year }) => shortDay(clearOf(year)),
  },
  {
    id: 'fed',
    header: 'Fed',
    isNumber: true,
    sort: ({ row }) => row.feeds.filter((f) => f.isGiven).length,
    cell: ({ year, row }) =>
      year.status === 'planted' && timesWords(row.feeds.filter((f) => f.isGiven).length),
  },
  {
    id: 'next-feed',
    header: 'Next feed',
    sort: ({ row }) => row.feeds.find((f) => !f.isGiven)?.day,
    cell: ({ year, row }) => year.status === 'planted' && nextFeed(row.feeds),
  },
];

/** The same year as a table. */
export function YearTable({ rows }: { readonly rows: readonly YearRow[] }) {
  return (
    <DataTable
      name="year"
      label="The year as a table"
      rows={rows.flatMap((row) => row.years.map((year) => ({ year, row })))}
      columns={COLUMNS}
      idOf={({ year }) => year.id}
    />
  );
}

const timesWords = (times: number) => (times === 0 ? '' : times === 1 ? 'once' : `${times} times`);

function nextFeed(feeds: readonly FeedTick[]): string {
  const next = feeds.find(({ isGiven }) => !isGiven);
  return next ? shortDay(next.day) : '';
}
