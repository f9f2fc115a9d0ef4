import { Box, Button, Typography } from '@mui/material';
import { useState } from 'react';
import { Link } from 'react-router';
import { Panel } from '../../../ui/Page.tsx';
import { Labels } from './Labels.tsx';
import { RoundSheet } from './RoundSheet.tsx';

const SHEETS = [
  { id: 'labels', name: 'Bag labels' },
  { id: 'round', name: 'The round as a sheet' },
] as const;
type Sheet = (typeof SHEETS)[number]['id'];

/** Sheets that are printed where they are worked out. */
const ELSEWHERE: readonly { readonly to: string; readonly name: string }[] = [
  { to: '/bench/depth', name: 'Planting steps' },
  { to: '/bench/shop', name: 'Shopping list' },
  { to: '/bench/batch', name: 'Feed to mix' },
  { to: '/season/away', name: 'For whoever helps out' },
  { to: '/tally/review', name: 'The season on one page' },
];

/** Bag labels with codes, and the round as a sheet; what is seen here is what is printed. */
export default function Paper() {
  const [sheet, setSheet] = useState<Sheet>('labels');
  return (
    <>
      <Box sx={{ '@media print': { display: 'none' } }}>
        <Box
          role="group"
          aria-label="What to print"
          sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', marginBlockEnd: 2 }}
        >
          {SHEETS.map(({ id, name }) => (
            <Button
              key={id}
              variant={id === sheet ? 'contained' : 'outlined'}
              aria-pressed={id === sheet}
              onClick={() => setSheet(id)}
            >
              {name}
            </Button>
          ))}
        </Box>
      </Box>
      {sheet === 'labels' ? <Labels /> : <RoundSheet />}
      <Box sx={{ '@media print': { display: 'none' } }}>
        <Panel title="Printed elsewhere">
          <Typography component="div" sx={{ display: 'flex', gap: 2, flexWrap: 'wrap' }}>
            {ELSEWHERE.map(({ to, name }) => (
              <Link key={to} to={to} style={{ color: 'inherit', paddingBlock: 10 }}>
                {name}
              </Link>
            ))}
          </Typography>
        </Panel>
      </Box>
    </>
  );
}
