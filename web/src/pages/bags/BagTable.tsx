import {
  Box,
  Button,
  Checkbox,
  Table,
  TableBody,
  TableCell,
  TableHead,
  TableRow,
  Typography,
} from '@mui/material';
import { useState } from 'react';
import { Link } from 'react-router';
import { gradeSpan, kindWords, nextCheckWords } from '../../text/bag-text.ts';
import { useGarden, useUnitFormat, type Bag } from '../../store/index.ts';
import { BulkDialog } from './BulkDialog.tsx';

const HEADS = ['Bag', 'What', 'Kind', 'Place', 'Water left', 'I expect', 'Wants water in', 'Next check'];

/** All bags as rows; several can be ticked and changed together. */
export function BagTable({ bags }: { readonly bags: readonly Bag[] }) {
  const { clock } = useGarden();
  const unitFormat = useUnitFormat();
  const [ticked, setTicked] = useState<ReadonlySet<string>>(new Set());
  const [isChanging, setChanging] = useState(false);
  const chosen = bags.filter((b) => ticked.has(b.container.id));
  const tick = (id: string, on: boolean) =>
    setTicked((now) => new Set(on ? [...now, id] : [...now].filter((each) => each !== id)));
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
          overflowX: 'auto',
          backgroundColor: 'var(--surface)',
          border: '1px solid var(--line)',
          borderRadius: '12px',
        }}
        tabIndex={0}
        role="region"
        aria-label="All bags"
      >
        <Table size="small">
          <TableHead>
            <TableRow>
              <TableCell padding="checkbox">
                <Checkbox
                  checked={chosen.length === bags.length && bags.length > 0}
                  indeterminate={chosen.length > 0 && chosen.length < bags.length}
                  onChange={(_, on) => setTicked(new Set(on ? bags.map((b) => b.container.id) : []))}
                  slotProps={{ input: { 'aria-label': 'Tick all bags' } }}
                />
              </TableCell>
              {HEADS.map((head) => (
                <TableCell key={head}>{head}</TableCell>
              ))}
            </TableRow>
          </TableHead>
          <TableBody>
            {bags.map((bag) => {
              const { water } = bag;
              const { id, label } = bag.container;
              const isEmpty = bag.occupants.length === 0;
              const next = water && nextCheckWords(water, clock.now());
              const hours = water?.ahead.hoursToRefill;
              return (
                <TableRow key={id} selected={ticked.has(id)}>
                  <TableCell padding="checkbox">
                    <Checkbox
                      checked={ticked.has(id)}
                      onChange={(_, on) => tick(id, on)}
                      slotProps={{ input: { 'aria-label': `Tick bag ${label}` } }}
                    />
                  </TableCell>
                  <TableCell>
                    <Link to={`/bags/${id}`} style={{ color: 'inherit', fontWeight: 700 }}>
                      {label}
                    </Link>
                  </TableCell>
                  <TableCell>{bag.name}</TableCell>
                  <TableCell>{kindWords(bag, unitFormat)}</TableCell>
                  <TableCell>{bag.place?.name}</TableCell>
                  <TableCell>
                    {isEmpty || !water
                      ? ''
                      : unitFormat.range(water.estimate.litres.low, water.estimate.litres.high, 'water')}
                  </TableCell>
                  <TableCell>{isEmpty || !water ? '' : gradeSpan(water.estimate.share)}</TableCell>
                  <TableCell>
                    {isEmpty || !hours
                      ? ''
                      : `${Math.round(hours.low ?? 0)} to ${hours.high === undefined ? 'over 200' : Math.round(hours.high)} h`}
                  </TableCell>
                  <TableCell>{isEmpty || !next ? '' : next}</TableCell>
                </TableRow>
              );
            })}
          </TableBody>
        </Table>
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
