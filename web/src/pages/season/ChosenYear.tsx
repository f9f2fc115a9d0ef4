import { resolveAssumed } from '@rundel/core/assumed';
import { Box, Button, Typography } from '@mui/material';
import { knownWeather, siteOf } from '@rundel/core/garden-state';
import { addDays } from '@rundel/core/calendar';
import { normalOfDay, temperaturesOf } from '@rundel/core/climate';
import {
  inTheWay,
  type CropYear,
  hardeningPlan,
  plantingWindow,
  type TimingPlace,
} from '@rundel/core/season';
import { useMemo } from 'react';
import { Link } from 'react-router';
import { Panel } from '../../ui/Page.tsx';
import { plantingQuery } from '../../ui/planting-form.ts';
import { Remark } from '../../ui/Remark.tsx';
import { HowCalculated, WorkedLines } from '../../ui/HowCalculated.tsx';
import { shortDay } from '../../text/text.ts';
import { useGarden, useUnitFormat, told } from '../../store/index.ts';
import type { YearRow } from './use-years.ts';
import { chanceWords, consequences, cropWords, standingWords } from './year-words.ts';

/** What follows from a planting day: dates, frost, what still stands in its way, hardening off day by day. */
export function ChosenYear({
  year,
  row,
  place,
}: {
  readonly year: CropYear;
  readonly row: YearRow;
  readonly place: TimingPlace;
}) {
  const { bin } = useGarden();
  const unitFormat = useUnitFormat();
  const { assumed } = row.bag.properties;
  const window = useMemo(
    () => plantingWindow(year.crop, year.habit, place, assumed),
    [assumed, place, year.crop, year.habit],
  );
  const blocked = inTheWay(year, row.years);
  const isPlan = year.plan !== undefined;
  return (
    <Panel title={`${row.bag.container.label}: ${year.name}`}>
      <Typography sx={{ marginBlockEnd: 1 }} data-testid="consequence" aria-live="polite">
        <strong>
          {isPlan ? 'Planting on' : 'Planted on'} {shortDay(year.plantOn)}:
        </strong>{' '}
        first picking {shortDay(year.dates.firstPicking.from)} to {shortDay(year.dates.firstPicking.to)}.{' '}
        {isPlan && standingWords(year, window, unitFormat)}{' '}
        {isPlan &&
          place.cover === 'open' &&
          `Chance of frost after it: ${chanceWords(year.dates.frostChance)}.`}
      </Typography>
      {isPlan && blocked.length > 0 && (
        <Remark>
          {[...new Set(blocked.map((b) => b.name))].join(', ')} would still stand in this bag; clear it by
          then, or plant later.
        </Remark>
      )}
      <Box sx={{ maxWidth: 460 }}>
        <WorkedLines lines={[['Crop', cropWords(year.crop, year.habit)], ...consequences(year)]} />
      </Box>
      {isPlan && year.dates.harden && <Hardening year={year} />}
      {isPlan && year.plan && (
        <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, marginBlockStart: 1.5 }}>
          <Button
            component={Link}
            to={`/round/planting?bag=${row.bag.container.id}&${plantingQuery({ cropId: year.crop.id, habitId: year.habit.id, varietyName: year.plan.varietyName ?? '' })}`}
            variant="outlined"
          >
            Plant it
          </Button>
          <Button onClick={() => year.plan && told(bin('plans', [year.plan], `plan of ${year.name}`))}>
            Drop this plan
          </Button>
        </Box>
      )}
    </Panel>
  );
}

/** Hardening off, day by day; cold nights hold it back. */
function Hardening({ year }: { readonly year: CropYear }) {
  const { garden, live } = useGarden();
  const unitFormat = useUnitFormat();
  const days = useMemo(() => {
    const known = new Map(knownWeather(live).map((d) => [d.day, d]));
    const assumed = resolveAssumed(garden.settings.assumptions);
    const { normals } = siteOf(garden.settings);
    const weatherOf = (day: string) => {
      const found = known.get(day);
      return {
        ...temperaturesOf(found, normalOfDay(normals, day)),
        isKnown: found?.minCelsius !== undefined,
      };
    };
    return year.dates.harden
      ? hardeningPlan(year.dates.harden.from, year.crop, weatherOf, assumed.hardenDays)
      : [];
  }, [garden.settings, live, year.crop, year.dates.harden]);
  const last = days.at(-1)?.day;
  const isLate = last !== undefined && last > addDays(year.plantOn, -1);
  return (
    <HowCalculated label="Hardening off, day by day">
      {isLate && last && (
        <Typography sx={{ marginBlockEnd: 1 }}>
          With the nights as they are it is ready on {shortDay(addDays(last, 1))}, later than planned.
        </Typography>
      )}
      <Box component="ol" sx={{ margin: 0, paddingInlineStart: 3, fontSize: '0.92rem' }}>
        {days.map((d) => (
          <li key={d.day}>
            <strong>{shortDay(d.day)}</strong>:{' '}
            {d.staysOutOvernight ? 'out day and night' : `${d.hoursOutside} hours out`}
            {d.isShaded ? ', in shade' : ''}
            {d.isHeld ? `, no further: ${unitFormat.show(d.minCelsius, 'temperature')} that night` : ''}
            {d.isKnown ? '' : ' (usual nights)'}
          </li>
        ))}
      </Box>
    </HowCalculated>
  );
}
