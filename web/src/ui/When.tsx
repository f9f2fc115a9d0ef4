import { Box, FormControlLabel, Switch, TextField } from '@mui/material';
import { dayOf } from '@rundel/core/calendar';
import type { Entry } from '@rundel/core/records';
import { lazy, Suspense, useState, type ReactNode } from 'react';
import { useGarden } from '../store/index.ts';
import { momentProblem } from '../text/moment-problem.ts';

/** A calendar is much to load for a note that is nearly always of now. */
const DayField = lazy(() => import('./DayField.tsx').then((module) => ({ default: module.DayField })));

/** When something happened that is put on record: now, or at an earlier day and time that the grower gives. */
export interface When {
  readonly field: ReactNode;
  /** the day that stands in it */
  readonly day: string;
  /** the moment as it stands there, whether or not it can be; now, where it is none */
  readonly moment: string;
  /** to be asked when the form is stored: the moment, local time with its offset; undefined when what was given cannot be, and then the field says why */
  read(): string | undefined;
}

/**
 * A form's field for when it was; most things are noted at once, so that one tap more asks for the time.
 *
 * @param entry what it is the time of: of one that is corrected, all of it
 */
export function useWhen(
  entry: Pick<Entry, 'kind'> &
    Partial<Pick<Entry, 'id' | 'at'>> & { readonly containerId?: string | undefined },
  startsEarlier = entry.at !== undefined,
): When {
  const { clock, live } = useGarden();
  const [isEarlier, setEarlier] = useState(startsEarlier);
  const [start] = useState(() => dayAndTimeOf(entry.at ?? clock.now()));
  const [{ day, time }, setGiven] = useState(start);
  const [problem, setProblem] = useState<string>();
  const now = clock.now();
  const isUntouched = day === start.day && time === start.time;
  const earlier = isUntouched && entry.at !== undefined ? entry.at : clock.at(day, time);
  const read = () => {
    if (!isEarlier) return clock.now();
    const found = momentProblem(earlier, entry, live, clock.now());
    setProblem(found);
    return found ? undefined : earlier;
  };
  const field = (
    <Box>
      {!startsEarlier && (
        <FormControlLabel
          control={<Switch checked={isEarlier} onChange={(_, on) => setEarlier(on)} />}
          label="It was earlier"
          sx={{ margin: 0 }}
        />
      )}
      {isEarlier && (
        <Suspense fallback={<Box sx={{ minHeight: 64 }} />}>
          <Box
            sx={{
              display: 'grid',
              gridTemplateColumns: { xs: '1fr', sm: '3fr 2fr' },
              gap: { xs: 2, sm: 1 },
              marginBlockStart: 1,
            }}
          >
            <DayField
              label="Day"
              value={day}
              onChange={(to) => setGiven({ day: to, time })}
              latest={dayOf(now)}
              problem={problem}
            />
            <TextField
              label="Time"
              type="time"
              value={time}
              onChange={(event) => setGiven({ day, time: event.target.value })}
              slotProps={{ inputLabel: { shrink: true } }}
            />
          </Box>
        </Suspense>
      )}
    </Box>
  );
  const moment = isEarlier && !Number.isNaN(Date.parse(earlier)) ? earlier : now;
  return { field, read, moment, day: isEarlier ? day : dayOf(now) };
}

function dayAndTimeOf(moment: string) {
  return { day: dayOf(moment), time: moment.slice(11, 16) };
}
