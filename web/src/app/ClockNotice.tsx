import { Box } from '@mui/material';
import { dayOf } from '@rundel/core/calendar';
import { useMemo } from 'react';
import { useGarden } from '../store/index.ts';
import { shortDay, timeOf } from '../text/text.ts';

/** A clock may stand so far behind the newest entry without anybody minding, ms. */
const MINDED_FROM = 10 * 60_000;

/** Says that the device's clock stands before what was written last: entries made now would stand before it. */
export function ClockNotice() {
  const { garden, clock } = useGarden();
  const newest = useMemo(
    () =>
      garden.entries.reduce<{ readonly at: string; readonly time: number } | undefined>(
        (latest, { recordedAt }) => {
          const time = Date.parse(recordedAt);
          return latest && latest.time >= time ? latest : { at: recordedAt, time };
        },
        undefined,
      ),
    [garden.entries],
  );
  const now = clock.now();
  if (!newest || newest.time - Date.parse(now) < MINDED_FROM) return null;
  const words = (at: string) => `${shortDay(dayOf(at), dayOf(now))} ${timeOf(at)}`;
  return (
    <Box
      role="alert"
      sx={{ backgroundColor: 'var(--flower)', color: 'var(--on-flower)', paddingInline: 2, paddingBlock: 1 }}
    >
      This device’s clock says {words(now)}, but the newest entry was written {words(newest.at)}. Put the
      clock right before you go on: what you enter now would stand before that entry. Nothing is lost either
      way.
    </Box>
  );
}
