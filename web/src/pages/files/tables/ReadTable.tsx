import {
  Alert,
  Box,
  Button,
  Dialog,
  DialogActions,
  DialogContent,
  DialogTitle,
  MenuItem,
  TextField,
  Typography,
} from '@mui/material';
import { dayOf } from '@rundel/core/calendar';
import { readCsv, type CsvTable } from '@rundel/core/csv';
import {
  COLUMNS,
  guessDiaryMapping,
  isWholeMapping,
  readDiaryTable,
  TABLE_UNITS,
  type DiaryMapping,
  type DiaryTable,
} from '@rundel/core/diary-tables';
import type { Entry } from '@rundel/core/records';
import * as z from '@rundel/core/schema';
import { UNITS, type UnitName } from '@rundel/core/units';
import { useEffect, useMemo, useState } from 'react';
import { useGarden, useUnitFormat } from '../../../store/index.ts';
import { entryWords } from '../../../text/entry-text.ts';
import { shortDay, timeOf } from '../../../text/text.ts';
import { OnceButton } from '../../../ui/OnceButton.tsx';
import { TABLE_NAMES } from './table-names.ts';

const NOTE = 'diaryColumns';
const rememberedSchema = z.record(
  z.string(),
  z.object({
    columns: z.record(z.string(), z.string()),
    dateOrder: z.enum(['ymd', 'dmy', 'mdy']),
    unit: z.string(),
  }),
);

const DATE_ORDERS = [
  { id: 'ymd', label: 'year, month, day' },
  { id: 'dmy', label: 'day, month, year' },
  { id: 'mdy', label: 'month, day, year' },
] as const;

const HOLDS: Readonly<Record<string, string>> = {
  bag: 'The bag’s label is in',
  day: 'The day is in',
  time: 'The time is in',
  kilograms: 'The weight is in',
  count: 'How many is in',
  found: 'What was found is in',
  litres: 'The water is in',
  product: 'The product is in',
  amount: 'How much of it is in',
  unit: 'Its unit is in',
  note: 'A note is in',
};

const SHOWN = 4;
const NAMED = 6;

/** A CSV of the diary on its way in: which column holds what, what it comes to, row by row what is wrong, and only then stored. */
export function ReadTable({
  table,
  file,
  onClose,
}: {
  readonly table: DiaryTable;
  readonly file: File;
  onClose(): void;
}) {
  const { garden, live, clock, record, store } = useGarden();
  const unitFormat = useUnitFormat();
  const { system } = unitFormat;
  const [csv, setCsv] = useState<CsvTable>();
  const [mapping, setMapping] = useState<DiaryMapping>();
  useEffect(() => {
    const open = async () => {
      const [text, note] = await Promise.all([file.text(), store.readNote(NOTE)]);
      const read = readCsv(text);
      const remembered = rememberedSchema.safeParse(note).data?.[table];
      const isHere = Object.values(remembered?.columns ?? {}).every(
        (h) => h === '' || read.headings.includes(h),
      );
      const guess = guessDiaryMapping(table, read, { system, now: clock.now() });
      setCsv(read);
      setMapping(remembered && isHere ? ({ ...guess, ...remembered } as DiaryMapping) : guess);
    };
    void open();
  }, [clock, file, store, system, table]);
  const reading = useMemo(
    () =>
      csv && mapping && isWholeMapping(table, mapping)
        ? readDiaryTable(table, csv, mapping, garden, live, { system, now: clock.now() })
        : undefined,
    [clock, csv, garden, live, mapping, system, table],
  );
  const isTable = csv !== undefined && csv.headings.length > 1 && csv.rows.length > 0;
  const submit = async () => {
    if (!reading || !mapping) return;
    await record(reading.drafts, `${reading.drafts.length} ${TABLE_NAMES[table].toLowerCase()} read`);
    const before = rememberedSchema.safeParse(await store.readNote(NOTE)).data ?? {};
    await store.writeNote(NOTE, { ...before, [table]: mapping });
    onClose();
  };
  const choice = (
    label: string,
    value: string,
    options: readonly { id: string; label: string }[],
    put: (id: string) => void,
  ) => (
    <TextField
      key={label}
      select
      size="small"
      label={label}
      value={value}
      onChange={(e) => put(e.target.value)}
    >
      {options.map((option) => (
        <MenuItem key={option.id} value={option.id}>
          {option.label}
        </MenuItem>
      ))}
    </TextField>
  );
  const headings = [
    { id: '', label: 'not in it' },
    ...(csv?.headings ?? []).map((id) => ({ id, label: id })),
  ];
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="md">
      <DialogTitle variant="h2">
        {TABLE_NAMES[table]} from “{file.name}”
      </DialogTitle>
      <DialogContent>
        {csv && !isTable && (
          <Alert severity="error">
            “{file.name}” is no table with headings and rows. Nothing was changed.
          </Alert>
        )}
        {isTable && mapping && (
          <Box
            sx={{
              display: 'grid',
              gap: 1.5,
              gridTemplateColumns: { xs: '1fr', sm: '1fr 1fr 1fr' },
              paddingBlock: 1,
            }}
          >
            {COLUMNS[table].map((id) =>
              choice(HOLDS[id] ?? id, mapping.columns[id] ?? '', headings, (heading) =>
                setMapping({ ...mapping, columns: { ...mapping.columns, [id]: heading } }),
              ),
            )}
            {choice('Dates are written', mapping.dateOrder, DATE_ORDERS, (id) =>
              setMapping({ ...mapping, dateOrder: id as DiaryMapping['dateOrder'] }),
            )}
            {TABLE_UNITS[table].length > 1 &&
              choice(
                'Bare numbers are in',
                mapping.unit,
                TABLE_UNITS[table].map((id) => ({ id, label: UNITS[id].symbol })),
                (id) => setMapping({ ...mapping, unit: id as UnitName }),
              )}
          </Box>
        )}
        {isTable && !reading && (
          <Typography role="status">Say which columns hold the bag, the day and what was done.</Typography>
        )}
        {reading && (
          <>
            <Typography role="status" sx={{ fontWeight: 'fontWeightMedium' }}>
              {reading.drafts.length} of {csv?.rows.length ?? 0} rows would be put in the diary
              {reading.known > 0 ? `; ${reading.known} are there already` : ''}
              {reading.refused.length > 0 ? `; ${reading.refused.length} cannot be taken` : ''}.
            </Typography>
            <Box component="ul" sx={{ paddingInlineStart: 2.5, marginBlock: 1 }}>
              {reading.drafts.slice(0, SHOWN).map((draft, i) => {
                const label = garden.containers.find(
                  ({ id }) => 'containerId' in draft && id === draft.containerId,
                )?.label;
                const entry = { ...draft, id: 'ent_preview', recordedAt: draft.at } as Entry;
                return (
                  <li key={i}>
                    {label}, {shortDay(dayOf(draft.at), dayOf(clock.now()))} {timeOf(draft.at)}:{' '}
                    {entryWords(entry, unitFormat, garden)}
                  </li>
                );
              })}
              {reading.drafts.length > SHOWN && <li>and {reading.drafts.length - SHOWN} more</li>}
            </Box>
            {reading.refused.length > 0 && (
              <Alert severity="warning">
                {reading.refused.slice(0, NAMED).map(({ line, problem }) => (
                  <div key={line}>
                    Line {line}: {problem}
                  </div>
                ))}
                {reading.refused.length > NAMED && <div>and {reading.refused.length - NAMED} more.</div>}
              </Alert>
            )}
          </>
        )}
      </DialogContent>
      <DialogActions sx={{ padding: 2 }}>
        <Button onClick={onClose}>Cancel</Button>
        <OnceButton
          variant="contained"
          disabled={!reading || reading.drafts.length === 0}
          onPress={() => submit()}
        >
          {reading ? `Put ${reading.drafts.length} in the diary` : 'Put them in the diary'}
        </OnceButton>
      </DialogActions>
    </Dialog>
  );
}
