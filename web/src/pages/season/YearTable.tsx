import { Box, Table, TableBody, TableCell, TableHead, TableRow } from '@mui/material';
import { Link } from 'react-router';
import { shortDay } from '../../text/text.ts';
import type { YearRow } from './use-years.ts';

/** The same year as a table. */
export function YearTable({ rows }: { readonly rows: readonly YearRow[] }) {
  const span = ({ from, to }: { readonly from: string; readonly to: string }) =>
    `${shortDay(from)} – ${shortDay(to)}`;
  return (
    <Box sx={{ overflowX: 'auto' }} tabIndex={0} role="region" aria-label="The year as a table">
      <Table size="small" sx={{ '& td, & th': { whiteSpace: 'nowrap' } }}>
        <TableHead>
          <TableRow>
            {[
              'Bag',
              'Crop',
              'Sow',
              'Harden',
              'Plant',
              'Support',
              'First flowers',
              'First picking',
              'Clear',
              'Fed',
              'Next feed',
            ].map((head) => (
              <TableCell key={head}>{head}</TableCell>
            ))}
          </TableRow>
        </TableHead>
        <TableBody>
          {rows.flatMap(({ bag, years, feeds }) =>
            years.map((year) => (
              <TableRow key={year.id}>
                <TableCell>
                  <Link to={`/bags/${bag.container.id}`} style={{ color: 'inherit' }}>
                    {bag.container.label}
                  </Link>
                </TableCell>
                <TableCell>
                  {year.name}
                  {year.status === 'planned' ? ' (planned)' : ''}
                </TableCell>
                <TableCell>{span(year.dates.sow)}</TableCell>
                <TableCell>{year.dates.harden ? span(year.dates.harden) : ''}</TableCell>
                <TableCell>{shortDay(year.plantOn)}</TableCell>
                <TableCell>{year.supportOn ? shortDay(year.supportOn) : span(year.dates.support)}</TableCell>
                <TableCell>{span(year.dates.firstFlowers)}</TableCell>
                <TableCell>{span(year.dates.firstPicking)}</TableCell>
                <TableCell>
                  {shortDay(year.bands.find((b) => b.kind === 'clear')?.from ?? year.dates.clear)}
                </TableCell>
                <TableCell>
                  {year.status === 'planted' ? timesWords(feeds.filter((f) => f.isGiven).length) : ''}
                </TableCell>
                <TableCell>{year.status === 'planted' ? nextFeed(feeds) : ''}</TableCell>
              </TableRow>
            )),
          )}
        </TableBody>
      </Table>
    </Box>
  );
}

const timesWords = (times: number) => (times === 0 ? '' : times === 1 ? 'once' : `${times} times`);

function nextFeed(feeds: YearRow['feeds']): string {
  const next = feeds.find(({ isGiven }) => !isGiven);
  return next ? shortDay(next.day) : '';
}
