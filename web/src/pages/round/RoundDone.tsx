import { Box, Typography } from '@mui/material';
import { whenWords } from '../../text/text.ts';
import type { Bag, UnitFormat } from '../../store/index.ts';
import type { WalkStop } from './StopList.tsx';

/** The next moment at which any bag wants a check. */
export function nextRoundOf(bags: readonly Bag[]): string | undefined {
  const times = bags.flatMap((b) =>
    b.water?.ahead.nextCheck.kind === 'at' ? [b.water.ahead.nextCheck.at] : [],
  );
  return times.sort((a, b) => Date.parse(a) - Date.parse(b))[0];
}

/** The end of a walk: what was done, and when the next begins. */
export function RoundDone({
  stops,
  unitFormat,
  next,
  now,
}: {
  readonly stops: readonly WalkStop[];
  readonly unitFormat: UnitFormat;
  readonly next: string | undefined;
  readonly now: string;
}) {
  const litres = stops.reduce((sum, s) => sum + (s.status.kind === 'done' ? s.status.wateredLitres : 0), 0);
  const watered = stops.filter((s) => s.status.kind === 'done' && s.status.wateredLitres > 0).length;
  const skipped = stops.filter((s) => s.status.kind === 'skipped').length;
  return (
    <Box
      sx={{
        gridColumn: { lg: '2 / -1' },
        backgroundColor: 'var(--surface)',
        border: '1px solid var(--line)',
        borderRadius: '14px',
        padding: 3,
      }}
      role="status"
    >
      <Typography variant="h2">
        {stops.length === 0 ? 'No bag needs you now' : 'That is the round'}
      </Typography>
      <Typography sx={{ marginBlock: 1.5, fontSize: '1.1rem' }}>
        {stops.length > 0 &&
          `${stops.length} ${stops.length === 1 ? 'bag' : 'bags'}, ${watered} watered, ${unitFormat.show(litres, 'water')} poured${skipped > 0 ? `, ${skipped} left for later` : ''}. `}
        {next ? `The next check is due ${whenWords(next, now)}.` : ''}
      </Typography>
      <Typography sx={{ color: 'text.secondary' }}>Any bag can be checked at any time from Bags.</Typography>
    </Box>
  );
}
