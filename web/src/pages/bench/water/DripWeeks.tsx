import { Box, Table, TableBody, TableCell, TableHead, TableRow, Typography } from '@mui/material';
import { shortDay } from '../../../text/text.ts';
import { useUnitFormat } from '../../../store/index.ts';
import { dripWeeks } from './drip-form.ts';

/** What the bag used and the drip brought, week by week: a bar for each, and the numbers beside it. */
export function DripWeeks({
  days,
  today,
}: {
  readonly days: readonly { readonly day: string; readonly litres: number; readonly dripLitres: number }[];
  readonly today: string;
}) {
  const unitFormat = useUnitFormat();
  const weeks = dripWeeks(days, today);
  const most = Math.max(1, ...weeks.map((week) => Math.max(week.useLitres, week.dripLitres)));
  const last = weeks.at(-1);
  if (!last) return <Typography>There is nothing to compare yet.</Typography>;
  const share = last.useLitres > 0 ? last.dripLitres / last.useLitres : 0;
  const answer =
    last.dripLitres === 0
      ? 'Nothing drips here: all of it comes by hand.'
      : share > 1.2
        ? 'The drip brings more than the bag will use: the rest runs through and takes feed along.'
        : share > 0.85
          ? 'The drip keeps up with what the bag will use.'
          : `The drip brings about ${Math.round(share * 100)} % of what the bag will use; the rest comes by hand.`;
  return (
    <Box>
      <Typography sx={{ marginBlockEnd: 1.5, fontSize: '1.1rem' }}>{answer}</Typography>
      <Table size="small" aria-label="Use and drip by week">
        <TableHead>
          <TableRow>
            <TableCell>Week from</TableCell>
            <TableCell>Used</TableCell>
            <TableCell>Dripped</TableCell>
            <TableCell sx={{ width: '40%' }} aria-hidden />
          </TableRow>
        </TableHead>
        <TableBody>
          {weeks.map((week) => (
            <TableRow key={week.from}>
              <TableCell>
                <Box component="span" sx={{ whiteSpace: 'nowrap' }}>
                  {shortDay(week.from, today)}
                </Box>
                {week.isAhead
                  ? ', to come'
                  : week.days < 7
                    ? `, ${week.days} ${week.days === 1 ? 'day' : 'days'}`
                    : ''}
              </TableCell>
              <TableCell>{unitFormat.show(week.useLitres, 'water')}</TableCell>
              <TableCell>
                {week.dripLitres > 0 ? unitFormat.show(week.dripLitres, 'water') : 'none'}
              </TableCell>
              <TableCell aria-hidden>
                <Bar share={week.useLitres / most} colour="var(--leaf)" isFaint={week.isAhead} />
                <Bar share={week.dripLitres / most} colour="var(--water-4)" isFaint={week.isAhead} />
              </TableCell>
            </TableRow>
          ))}
        </TableBody>
      </Table>
      <Typography variant="body2" sx={{ marginBlockStart: 1, color: 'text.secondary' }}>
        Used: by plant and air, at this bag’s own rate, with a day’s doubt of about a quarter. Dripped: less
        what runs past the roots.
      </Typography>
    </Box>
  );
}

function Bar({
  share,
  colour,
  isFaint,
}: {
  readonly share: number;
  readonly colour: string;
  readonly isFaint: boolean;
}) {
  return (
    <Box
      sx={{
        height: 8,
        marginBlock: '2px',
        width: `${share * 100}%`,
        backgroundColor: isFaint ? 'transparent' : colour,
        border: `2px solid ${colour}`,
      }}
    />
  );
}
