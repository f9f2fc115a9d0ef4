import { Box } from '@mui/material';
import { useMemo } from 'react';
import { Link } from 'react-router';
import { gradeSpan, kindWords, nextCheckWords } from '../../text/bag-text.ts';
import { useGarden, useUnitFormat, type Bag, type UnitFormat } from '../../store/index.ts';
import { DataTable, type Column } from '../../ui/table/index.ts';

/** What is said of each bag; of an empty one little. */
function columnsOf(unitFormat: UnitFormat, now: string): [Column<Bag>, ...Column<Bag>[]] {
  const planted = (bag: Bag) => (bag.occupants.length > 0 ? bag.water : undefined);
  return [
    {
      id: 'bag',
      header: 'Bag',
      // 10 comes after 9
      sort: ({ container }) => container.label.replace(/\d+/g, (digits) => digits.padStart(6, '0')),
      cell: ({ container }) => (
        <Link to={`/bags/${container.id}`} style={{ color: 'inherit', fontWeight: 700 }}>
          {container.label}
        </Link>
      ),
    },
    { id: 'what', header: 'What', sort: (bag) => bag.name, cell: (bag) => bag.name },
    {
      id: 'kind',
      header: 'Kind',
      sort: (bag) => bag.properties.real.litres.likely,
      cell: (bag) => kindWords(bag, unitFormat),
    },
    { id: 'place', header: 'Place', sort: (bag) => bag.place?.name, cell: (bag) => bag.place?.name },
    {
      id: 'water',
      header: 'Water left',
      isNumber: true,
      sort: (bag) => planted(bag)?.estimate.litres.likely,
      cell: (bag) => {
        const litres = planted(bag)?.estimate.litres;
        return litres && unitFormat.range(litres.low, litres.high, 'water');
      },
    },
    {
      id: 'expect',
      header: 'I expect',
      sort: (bag) => planted(bag)?.estimate.share.likely,
      cell: (bag) => {
        const share = planted(bag)?.estimate.share;
        return share && gradeSpan(share);
      },
    },
    {
      id: 'hours',
      header: 'Wants water in',
      isNumber: true,
      sort: (bag) => planted(bag)?.ahead.hoursToRefill?.low,
      cell: (bag) => {
        const hours = planted(bag)?.ahead.hoursToRefill;
        return (
          hours &&
          `${Math.round(hours.low ?? 0)} to ${hours.high === undefined ? 'over 200' : Math.round(hours.high)} h`
        );
      },
    },
    {
      id: 'next',
      header: 'Next check',
      sort: (bag) => {
        const next = planted(bag)?.ahead.nextCheck;
        return next && (next.kind === 'now' ? '' : next.kind === 'at' ? next.at : '9');
      },
      cell: (bag) => {
        const water = planted(bag);
        return water && nextCheckWords(water, now);
      },
    },
  ];
}

/** All bags as rows; several can be ticked and taken together. */
export function BagTable({
  bags,
  ticked,
  onTick,
}: {
  readonly bags: readonly Bag[];
  readonly ticked: ReadonlySet<string>;
  onTick(ids: ReadonlySet<string>): void;
}) {
  const { clock } = useGarden();
  const unitFormat = useUnitFormat();
  const columns = useMemo(() => columnsOf(unitFormat, clock.now()), [clock, unitFormat]);
  return (
    <Box
      sx={{
        backgroundColor: 'var(--surface)',
        border: '1px solid var(--line)',
        borderRadius: '12px',
        padding: 1,
      }}
    >
      <DataTable
        name="bags"
        label="All bags"
        rows={bags}
        columns={columns}
        idOf={(bag) => bag.container.id}
        ticking={{ ticked, onTick, nameOf: (bag) => `bag ${bag.container.label}` }}
      />
    </Box>
  );
}
