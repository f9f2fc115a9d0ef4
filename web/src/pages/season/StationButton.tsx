import { Button, Typography } from '@mui/material';
import { addDays, dayOf, offsetMinutesOf, momentOf } from '@rundel/core/calendar';
import { useState } from 'react';
import { stationDays } from '../../store/devices.ts';
import { told, useGarden } from '../../store/index.ts';
import { stationDrafts } from './station.ts';

/** How far back gaps are filled, days. */
const BACK_DAYS = 60;

/** Asks the weather station for the days that nobody noted, or noted in part; what was noted stays as it is. */
export function StationButton() {
  const { clock, live, record } = useGarden();
  const [said, setSaid] = useState('');
  const [isAsking, setAsking] = useState(false);
  const fill = async () => {
    setAsking(true);
    try {
      const now = clock.now();
      const yesterday = addDays(dayOf(now), -1);
      const days = await stationDays(addDays(yesterday, -BACK_DAYS), yesterday);
      const drafts = stationDrafts(days, live, dayOf(now), (day) =>
        momentOf(Date.parse(`${day}T20:00:00Z`), offsetMinutesOf(now)),
      );
      if (drafts.length > 0) await record(drafts, `${drafts.length} days from the station`);
      setSaid(
        drafts.length > 0
          ? `${drafts.length} ${drafts.length === 1 ? 'day' : 'days'} filled in; what you had noted stays.`
          : 'No day of the last two months is missing.',
      );
    } catch (cause) {
      setSaid(cause instanceof Error ? cause.message : String(cause));
    } finally {
      setAsking(false);
    }
  };
  return (
    <>
      <Button variant="outlined" onClick={() => told(fill())} disabled={isAsking}>
        Fill gaps from the station
      </Button>
      <Typography aria-live="polite" sx={{ marginBlockStart: 1 }}>
        {said}
      </Typography>
    </>
  );
}
