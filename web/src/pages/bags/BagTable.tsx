import { Box, Button, Typography } from '@mui/material';
import { useMemo, useState } from 'react';
import { Link } from 'react-router';
import { gradeSpan, kindWords, nextCheckWords } from '../../text/bag-text.ts';
import { useGarden, useUnitFormat, type Bag, type UnitFormat } from '../../store/index.ts';
import { DataTable, type Column } from '../../ui/DataTable.tsx';
import { BulkDialog } from './BulkDialog.tsx';

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

/** All bags as rows; several can be ticked and changed together. */
export function BagTable({ bags }: { readonly bags: readonly Bag[] }) {
  const { clock } = useGarden();
  const unitFormat = useUnitFormat();
  const [ticked, setTicked] = useState<ReadonlySet<string>>(new Set());
  const [isChanging, setChanging] = useState(false);
  const chosen = bags.filter((b) => ticked.has(b.container.id));
  const columns = useMemo(() => columnsOf(unitFormat, clock.now()), [clock, unitFormat]);
  return (
    <Box>
      <Box
        sx={{ display: 'flex', alignItems: 'center', flexWrap: 'wrap', gap: 1, minHeight: 52 }}
        aria-live="polite"
      >
        {chosen.length === 0 ? (
          <Typography sx={{ color: 'text.secondary' }}>Tick several bags to change them together.</Typography>
        ) : (
          <>
            <Typography>
              {chosen.length} {chosen.length === 1 ? 'bag' : 'bags'} ticked.
            </Typography>
            <Button variant="contained" onClick={() => setChanging(true)}>
              Change them
            </Button>
            <Button
              variant="outlined"
              component={Link}
              to={`/bench/fill?bags=${chosen.map((b) => b.container.id).join(',')}`}
            >
              Fill them
            </Button>
            <Button onClick={() => setTicked(new Set())}>Untick all</Button>
          </>
        )}
      </Box>
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
          ticking={{ ticked, onTick: setTicked, nameOf: (bag) => `bag ${bag.container.label}` }}
        />
      </Box>
      {isChanging && (
        <BulkDialog
          bags={chosen}
          onClose={() => setChanging(false)}
          onDone={() => {
            setChanging(false);
            setTicked(new Set());
          }}
        />
      )}
    </Box>
  );
}
