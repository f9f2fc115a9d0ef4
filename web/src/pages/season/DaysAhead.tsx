import { Box, Button, Table, TableBody, TableCell, TableHead, TableRow, Typography } from '@mui/material';
import { addDays, dayOf, type Day } from '@rundel/core/calendar';
import type { Entry, EntryOf } from '@rundel/core/records';
import { useState } from 'react';
import { shortDay } from '../../text/text.ts';
import { HeatNotice } from '../../ui/HeatNotice.tsx';
import { stationForecast } from '../../store/devices.ts';
import { told, useGarden, useUnitFormat } from '../../store/index.ts';
import { draftOf } from '../../ui/entries/entry-form.ts';
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

/** What does not go together in a day: one of its two temperatures, or a warmest that is colder. */
function problemsOf(values: Values): readonly FieldProblem<Name>[] {
  return Array.from({ length: FORECAST_DAYS }, (_, i): readonly FieldProblem<Name>[] => {
    const [min, max, rain] = [values[`min ${i}`], values[`max ${i}`], values[`rain ${i}`]];
    if (min !== undefined && max !== undefined)
      return min > max ? [{ at: `max ${i}`, problem: 'Colder than the coldest.' }] : [];
    if (min !== undefined) return [{ at: `max ${i}`, problem: 'The warmest too.' }];
    if (max !== undefined || rain !== undefined) return [{ at: `min ${i}`, problem: 'The coldest too.' }];
    return [];
  }).flat();
}

/** The forecast of the days ahead, typed in one table or asked of the station; heat that is coming is named. */
export default function DaysAhead() {
  const { clock, live, record, remove } = useGarden();
  const unitFormat = useUnitFormat();
  const today = dayOf(clock.now());
  const days = Array.from({ length: FORECAST_DAYS }, (_, i) => addDays(today, i + 1));
  const known = days.map((day) => knownOf(day, live));
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
    const rows = days.map((day, i) => ({
      day,
      before: known[i],
      min: values[`min ${i}`],
      max: values[`max ${i}`],
      rain: values[`rain ${i}`],
    }));
    const drafts = rows.flatMap(({ day, before, min, max, rain }) => {
      if (min === undefined || max === undefined) return [];
      const isSame =
        before?.minCelsius === min && before.maxCelsius === max && before.rainMillimetres === rain;
      if (isSame) return [];
      const facts = { minCelsius: min, maxCelsius: max, rainMillimetres: rain };
      return [draftOf({ kind: 'weather', at, day, source: 'typed', replaces: before?.id }, facts)];
    });
    const dropped = rows.flatMap(({ before, min }) => (before && min === undefined ? [before.id] : []));
    if (drafts.length > 0) await record(drafts, `forecast of ${drafts.length} days`);
    if (dropped.length > 0) await remove(dropped, `forecast of ${dropped.length} days`);
    if (drafts.length + dropped.length === 0) setSaid('Nothing was changed.');
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
        Checks, waterings and the time away follow it, with more doubt for every day ahead. A day may stay
        empty.
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

function knownOf(day: Day, live: readonly Entry[]): EntryOf<'weather'> | undefined {
  const found = live.findLast((e) => e.kind === 'weather' && e.day === day);
  return found?.kind === 'weather' ? found : undefined;
}
