import { Box, Button, Table, TableBody, TableCell, TableHead, TableRow, Typography } from '@mui/material';
import { addDays, dayOf, type Day } from '@rundel/core/calendar';
import { knownWeather, weatherAnew } from '@rundel/core/garden-state';
import { useState } from 'react';
import { shortDay } from '../../text/text.ts';
import { HeatNotice } from '../../ui/HeatNotice.tsx';
import { stationForecast } from '../../store/devices.ts';
import { told, useGarden, useUnitFormat } from '../../store/index.ts';
import { FORECAST_DAYS } from './weather-csv.ts';
import {
  amountField,
  FormField,
  InlineForm,
  useFields,
  type Field,
  type FieldProblem,
} from '../../ui/form/index.ts';

const COLUMNS = {
  min: { label: 'coldest', purpose: 'temperature', low: -40, high: 45 },
  max: { label: 'warmest', purpose: 'temperature', low: -30, high: 55 },
  rain: { label: 'rain', purpose: 'rain', low: 0, high: 500 },
} as const;

type Column = keyof typeof COLUMNS;
type Name = `${Column} ${number}`;
type Values = Partial<Record<Name, number | undefined>>;

const NAMES = Object.keys(COLUMNS) as Column[];

const fieldsOf = (days: readonly Day[]): Readonly<Record<Name, Field<number | undefined>>> =>
  Object.fromEntries(
    days.flatMap((day, i) =>
      NAMES.map((column) => {
        const { label, ...rule } = COLUMNS[column];
        return [
          `${column} ${i}`,
          amountField({ label: `${shortDay(day)}, ${label}`, isBare: true, isOptional: true, ...rule }),
        ];
      }),
    ),
  );

/** What does not go together in a day: a warmest that is colder. */
function problemsOf(values: Values): readonly FieldProblem<Name>[] {
  return Array.from({ length: FORECAST_DAYS }, (_, i): readonly FieldProblem<Name>[] => {
    const min = values[`min ${i}`] ?? -Infinity;
    const max = values[`max ${i}`] ?? Infinity;
    return min > max ? [{ at: `max ${i}`, problem: 'Colder than the coldest.' }] : [];
  }).flat();
}

/** The forecast of the days ahead, typed in one table or asked of the station; heat that is coming is named. */
export default function DaysAhead() {
  const { clock, live, record } = useGarden();
  const unitFormat = useUnitFormat();
  const today = dayOf(clock.now());
  const days = Array.from({ length: FORECAST_DAYS }, (_, i) => addDays(today, i + 1));
  const known = days.map((day) => knownWeather(live).find((each) => each.day === day));
  const form = useFields(fieldsOf(days), {
    values: Object.fromEntries(
      known.flatMap((entry, i) =>
        entry
          ? [
              [`min ${i}`, entry.minCelsius],
              [`max ${i}`, entry.maxCelsius],
              [`rain ${i}`, entry.rainMillimetres],
            ]
          : [],
      ),
    ),
    check: problemsOf,
  });
  const [said, setSaid] = useState('');
  const save = form.submit(async (values: Values) => {
    const at = clock.now();
    const changed = days.flatMap((day, i) => {
      const said = {
        minCelsius: values[`min ${i}`],
        maxCelsius: values[`max ${i}`],
        rainMillimetres: values[`rain ${i}`],
      };
      const isSame = (Object.keys(said) as (keyof typeof said)[]).every(
        (key) => said[key] === known[i]?.[key],
      );
      return isSame ? [] : [weatherAnew(live, day, said, at)];
    });
    if (changed.length > 0) await record(changed.flat(), `forecast of ${changed.length} days`);
    else setSaid('Nothing was changed.');
  });
  const ask = async () => {
    try {
      const forecast = await stationForecast(today, FORECAST_DAYS);
      for (const [i, day] of days.entries()) {
        const foretold = forecast.find((f) => f.day === day);
        if (!foretold) continue;
        form.set(`min ${i}`, unitFormat.parts(foretold.minCelsius, 'temperature').number);
        form.set(`max ${i}`, unitFormat.parts(foretold.maxCelsius, 'temperature').number);
        form.set(`rain ${i}`, unitFormat.parts(foretold.rainMillimetres, 'rain').number);
      }
      setSaid(
        forecast.length > 0
          ? `The station foretells ${forecast.length} days; look them over and keep them.`
          : 'The station foretells nothing for these days.',
      );
    } catch (cause) {
      setSaid(cause instanceof Error ? cause.message : String(cause));
    }
  };
  return (
    <InlineForm onSubmit={save} label="Days ahead">
      <HeatNotice />
      <Typography variant="body2" sx={{ color: 'text.secondary', marginBlockEnd: 1 }}>
        Checks, waterings and the time away follow it, with more doubt for every day ahead. What you do not
        know stays empty.
      </Typography>
      <Table size="small" sx={{ '& td, & th': { paddingInline: { xs: 0.5, sm: 1.5 }, paddingBlock: '2px' } }}>
        <TableHead>
          <TableRow>
            <TableCell>Day</TableCell>
            <TableCell>Coldest {unitFormat.parts(0, 'temperature').symbol}</TableCell>
            <TableCell>Warmest {unitFormat.parts(0, 'temperature').symbol}</TableCell>
            <TableCell>Rain {unitFormat.parts(0, 'rain').symbol}</TableCell>
          </TableRow>
        </TableHead>
        <TableBody>
          {days.map((day, i) => (
            <TableRow key={day}>
              <TableCell sx={{ whiteSpace: 'nowrap' }}>{shortDay(day, today)}</TableCell>
              {NAMES.map((column) => (
                <TableCell key={column} sx={{ verticalAlign: 'top' }}>
                  <FormField form={form} name={`${column} ${i}`} isBare />
                </TableCell>
              ))}
            </TableRow>
          ))}
        </TableBody>
      </Table>
      {said && (
        <Typography role="status" sx={{ marginBlockStart: 1 }}>
          {said}
        </Typography>
      )}
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, marginBlockStart: 1.5 }}>
        <Button type="submit" variant="contained">
          Keep the forecast
        </Button>
        <Button variant="outlined" onClick={() => told(ask())}>
          Ask the station
        </Button>
      </Box>
    </InlineForm>
  );
}
