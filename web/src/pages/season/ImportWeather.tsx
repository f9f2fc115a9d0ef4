import {
  Alert,
  Box,
  Button,
  Dialog,
  DialogActions,
  DialogContent,
  DialogTitle,
  FormControlLabel,
  MenuItem,
  Radio,
  RadioGroup,
  Table,
  TableBody,
  TableCell,
  TableHead,
  TableRow,
  TextField,
  Typography,
} from '@mui/material';
import { dayOf } from '@rundel/core/calendar';
import {
  readWeatherTable,
  WIND_UNITS,
  withWeatherColumn,
  type ColumnMapping,
  type WeatherRow,
} from '@rundel/core/climate';
import type { Draft } from '@rundel/core/records';
import { useEffect, useMemo, useState } from 'react';
import { FileButton } from '../../ui/FileButton.tsx';
import { shortDay } from '../../text/text.ts';
import { OnceButton } from '../../ui/OnceButton.tsx';
import { useGarden, useUnitFormat, told } from '../../store/index.ts';
import {
  firstMapping,
  isWhole,
  mappingSchema,
  readWeatherFile,
  sortDays,
  type WeatherFile,
} from './weather-csv.ts';

const COLUMNS = [
  { key: 'date', label: 'Date is in', isOptional: false },
  { key: 'min', label: 'Coldest is in', isOptional: true },
  { key: 'max', label: 'Warmest is in', isOptional: true },
  { key: 'rain', label: 'Rain is in', isOptional: true },
  { key: 'humidity', label: 'Humidity is in', isOptional: true },
  { key: 'wind', label: 'Wind is in', isOptional: true },
  { key: 'sun', label: 'Sunshine, h, is in', isOptional: true },
] as const;

/** Reads daily weather from a CSV: columns mapped once and remembered, a preview, and only then stored. */
export default function ImportWeather({ onClose }: { onClose(): void }) {
  const { store, live, record, clock } = useGarden();
  const unitFormat = useUnitFormat();
  const [table, setTable] = useState<WeatherFile>();
  const [problem, setProblem] = useState<string>();
  const [mapping, setMapping] = useState<ColumnMapping>();
  const [remembered, setRemembered] = useState<ColumnMapping>();
  const [mine, setMine] = useState<'keep' | 'replace'>('keep');
  useEffect(() => {
    void store.readNote('weatherColumns').then((note) => setRemembered(mappingSchema.safeParse(note).data));
  }, [store]);

  const choose = async (file: File) => {
    const read = readWeatherFile(file.name, await file.text());
    if ('problem' in read) {
      setTable(undefined);
      setProblem(`${read.problem} Nothing was changed.`);
      return;
    }
    setProblem(undefined);
    setTable(read);
    setMapping(firstMapping(read, mapping ?? remembered));
  };

  const reading = useMemo(
    () => (table && mapping && isWhole(mapping) ? readWeatherTable(table.rows, mapping) : undefined),
    [mapping, table],
  );
  const sorted = useMemo(
    () => reading && sortDays(reading.days, live, dayOf(clock.now())),
    [clock, live, reading],
  );
  const toStore = sorted
    ? [...sorted.fresh, ...sorted.more, ...(mine === 'replace' ? sorted.different : [])]
    : [];

  const submit = async () => {
    if (!mapping || toStore.length === 0) return;
    const at = clock.now();
    const drafts = toStore.map((row): Draft => ({ kind: 'weather', at, source: 'file', ...row }));
    await record(drafts, `weather of ${toStore.length} ${toStore.length === 1 ? 'day' : 'days'} read`);
    await store.writeNote('weatherColumns', mapping);
    onClose();
  };
  const set = <K extends keyof ColumnMapping>(key: K, value: ColumnMapping[K]) =>
    setMapping((m) => m && { ...m, [key]: value });

  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="md">
      <DialogTitle variant="h2">Read weather from a file</DialogTitle>
      <DialogContent>
        <Typography sx={{ marginBlockEnd: 1.5 }}>
          A CSV with a row a day: a date, and what is known of it, the coldest, the warmest, rain, humidity,
          wind, hours of sunshine. The columns may be called anything.
        </Typography>
        <FileButton
          accept=".csv,text/csv,text/plain"
          onFile={(file) => told(choose(file))}
          variant={table ? 'outlined' : 'contained'}
        >
          {table ? `${table.name}: choose another` : 'Choose a file'}
        </FileButton>
        {problem && (
          <Alert severity="error" sx={{ marginBlockStart: 2 }}>
            {problem}
          </Alert>
        )}
        {table && mapping && (
          <>
            <Box
              sx={{
                display: 'grid',
                gridTemplateColumns: { xs: '1fr 1fr', sm: 'repeat(4, 1fr)' },
                gap: 1.5,
                marginBlock: 2.5,
              }}
            >
              {COLUMNS.map(({ key, label, isOptional }) => (
                <TextField
                  select
                  key={key}
                  label={label}
                  slotProps={{ select: { displayEmpty: true }, inputLabel: { shrink: true } }}
                  value={mapping[key] ?? ''}
                  onChange={(e) => setMapping(withWeatherColumn(mapping, key, e.target.value, table.rows))}
                >
                  <MenuItem value="">{isOptional ? 'no column' : 'choose…'}</MenuItem>
                  {table.headings.map((heading) => (
                    <MenuItem key={heading} value={heading}>
                      {heading}
                    </MenuItem>
                  ))}
                </TextField>
              ))}
              <TextField
                select
                label="Dates read"
                value={mapping.dateOrder}
                onChange={(e) => set('dateOrder', e.target.value as ColumnMapping['dateOrder'])}
              >
                <MenuItem value="ymd">2026-07-16</MenuItem>
                <MenuItem value="dmy">16.7.2026</MenuItem>
                <MenuItem value="mdy">7/16/2026</MenuItem>
              </TextField>
              <TextField
                select
                label="Temperatures"
                value={mapping.temperature}
                onChange={(e) => set('temperature', e.target.value as ColumnMapping['temperature'])}
              >
                <MenuItem value="celsius">°C</MenuItem>
                <MenuItem value="fahrenheit">°F</MenuItem>
              </TextField>
              <TextField
                select
                label="Rain"
                value={mapping.rainUnit}
                onChange={(e) => set('rainUnit', e.target.value as ColumnMapping['rainUnit'])}
              >
                <MenuItem value="millimetre">mm</MenuItem>
                <MenuItem value="inch">inches</MenuItem>
              </TextField>
              {mapping.wind !== undefined && (
                <TextField
                  select
                  label="Wind"
                  value={mapping.windUnit ?? 'm/s'}
                  onChange={(e) => set('windUnit', e.target.value as ColumnMapping['windUnit'])}
                >
                  {Object.keys(WIND_UNITS).map((unit) => (
                    <MenuItem key={unit} value={unit}>
                      {unit}
                    </MenuItem>
                  ))}
                </TextField>
              )}
            </Box>
            {!reading || !sorted ? (
              <Typography>
                Say which columns hold the date and the weather, and the rows are shown here.
              </Typography>
            ) : (
              <Box>
                <Typography sx={{ fontWeight: 'fontWeightMedium' }} role="status">
                  {sorted.fresh.length} new {sorted.fresh.length === 1 ? 'day' : 'days'}, {sorted.same}{' '}
                  already here,{' '}
                  {sorted.more.length > 0 && `${sorted.more.length} of which the file knows more, `}
                  {sorted.different.length} here with other numbers
                  {sorted.future > 0
                    ? `, ${sorted.future} further ahead than a forecast goes and left out`
                    : ''}
                  ,{' '}
                  {reading.refused.length === 1
                    ? '1 row that does not read'
                    : `${reading.refused.length} rows that do not read`}
                  .
                </Typography>
                {reading.refused.length > 0 && (
                  <Alert severity="warning" sx={{ marginBlock: 1 }}>
                    {reading.refused.slice(0, 3).map((row) => (
                      <div key={row.line}>
                        Row {row.line}: {row.reason}.
                      </div>
                    ))}
                    {reading.refused.length > 3 ? `and ${reading.refused.length - 3} more. ` : ''}
                    {reading.refused.length === 1 ? 'It is' : 'They are'} left out; the rest can be kept.
                  </Alert>
                )}
                {sorted.different.length > 0 && (
                  <RadioGroup value={mine} onChange={(_, value) => setMine(value as typeof mine)}>
                    <FormControlLabel
                      value="keep"
                      control={<Radio />}
                      label="Keep my numbers where both have some"
                    />
                    <FormControlLabel value="replace" control={<Radio />} label="Take the file's numbers" />
                  </RadioGroup>
                )}
                <Preview days={reading.days.slice(0, 6)} unitFormat={unitFormat} />
              </Box>
            )}
          </>
        )}
      </DialogContent>
      <DialogActions sx={{ padding: 2 }}>
        <Button onClick={onClose}>Cancel</Button>
        <OnceButton variant="contained" disabled={toStore.length === 0} onPress={() => submit()}>
          {toStore.length > 0
            ? `Keep ${toStore.length} ${toStore.length === 1 ? 'day' : 'days'}`
            : 'Nothing to keep'}
        </OnceButton>
      </DialogActions>
    </Dialog>
  );
}

function Preview({
  days,
  unitFormat,
}: {
  readonly days: readonly WeatherRow[];
  readonly unitFormat: ReturnType<typeof useUnitFormat>;
}) {
  if (days.length === 0) return null;
  const shown = (value: number | undefined, purpose: 'temperature' | 'rain') =>
    value === undefined ? '' : unitFormat.show(value, purpose);
  return (
    <Table size="small" sx={{ marginBlockStart: 1 }} aria-label="First rows as read">
      <TableHead>
        <TableRow>
          {['Day', 'Coldest', 'Warmest', 'Rain'].map((head) => (
            <TableCell key={head}>{head}</TableCell>
          ))}
        </TableRow>
      </TableHead>
      <TableBody>
        {days.map((day) => (
          <TableRow key={day.day}>
            <TableCell>{shortDay(day.day, '')}</TableCell>
            <TableCell>{shown(day.minCelsius, 'temperature')}</TableCell>
            <TableCell>{shown(day.maxCelsius, 'temperature')}</TableCell>
            <TableCell>{shown(day.rainMillimetres, 'rain')}</TableCell>
          </TableRow>
        ))}
      </TableBody>
    </Table>
  );
}
