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
  COLUMNS_READ,
  guessDiaryMapping,
  isWholeMapping,
  readDiaryTable,
  TABLE_UNITS,
  withColumn,
  type ColumnId,
  type DiaryMapping,
  type DiaryTable,
} from '@rundel/core/diary-tables';
import type { Entry } from '@rundel/core/records';
import * as z from '@rundel/core/schema';
import { UNITS, type UnitName } from '@rundel/core/units';
import { useEffect, useMemo, useState } from 'react';
import { Link } from 'react-router';
import { containersInUse, told, useGarden, useUnitFormat } from '../../../store/index.ts';
import { entryWords } from '../../../text/entry-text.ts';
import { shortDay, timeOf } from '../../../text/text.ts';
import { OnceButton } from '../../../ui/OnceButton.tsx';
import { TABLE_NAMES } from './table-names.ts';

const NOTE = 'diaryColumns';
/** What tables call the bags, for all kinds of table: names with the ids of their bags. */
const NAMES_NOTE = 'diaryBags';
const namesSchema = z.record(z.string(), z.string());
const rememberedSchema = z.record(
  z.string(),
  z.object({
    columns: z.record(z.string(), z.string()),
    dateOrder: z.enum(['ymd', 'dmy', 'mdy']),
    unit: z.string(),
    several: z.optional(z.enum(['each', 'together'])),
  }),
);

const DATE_ORDERS = [
  { id: 'ymd', label: 'year, month, day' },
  { id: 'dmy', label: 'day, month, year' },
  { id: 'mdy', label: 'month, day, year' },
] as const;

/** "3 and 4", "all", "terrace". */
const SEVERAL = [
  { id: 'each', label: 'of each of them' },
  { id: 'together', label: 'of all together' },
] as const;

const HOLDS: Readonly<Record<string, string>> = {
  bag: 'The bag’s label is in',
  day: 'The day is in',
  time: 'The time is in',
  kilograms: 'The weight is in',
  ounces: 'Ounces beside it are in',
  count: 'How many is in',
  found: 'What was found is in',
  litres: 'The water is in',
  product: 'The product is in',
  amount: 'How much of it is in',
  unit: 'Its unit is in',
  unmeasured: 'That nobody weighed it is in',
  ripeness: 'How ripe it was is in',
  use: 'What became of it is in',
  price: 'What was got for it is in',
  through: 'That it ran through is in',
  who: 'Who did it is in',
  note: 'A note is in',
};

const SHOWN = 4;
const NAMED = 6;
/** So many names are asked about at the most. */
const MOST_NAMES = 30;

/** One of several, in a list that drops down. */
const choice = (
  label: string,
  value: string,
  options: readonly { readonly id: string; readonly label: string }[],
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

const GRID = {
  display: 'grid',
  gap: 1.5,
  gridTemplateColumns: { xs: '1fr', sm: '1fr 1fr 1fr' },
  paddingBlock: 1,
};

/** Names in the table that no bag has here: which bag each is, or a bag that is still to be added. */
function StrangeBags({
  names,
  bagOf,
  onSay,
}: {
  readonly names: readonly string[];
  readonly bagOf: Readonly<Record<string, string>>;
  onSay(name: string, containerId: string): void;
}) {
  const { garden } = useGarden();
  const bags = containersInUse(garden);
  const options = [
    { id: '', label: 'none of my bags' },
    ...bags.map(({ id, label }) => ({ id, label: `bag ${label}` })),
  ];
  // a bag that was said once and has been deleted since is not said
  const bagNamed = (name: string) => bags.find(({ id }) => id === bagOf[name.toLowerCase()])?.id ?? '';
  const unsaid = names.filter((name) => bagNamed(name) === '');
  return (
    <Box role="group" aria-label="Bags by another name" sx={{ marginBlock: 1 }}>
      {bags.length > 0 && (
        <Box sx={GRID}>
          {names
            .slice(0, MOST_NAMES)
            .map((name) => choice(`“${name}” is`, bagNamed(name), options, (id) => onSay(name, id)))}
        </Box>
      )}
      {unsaid.length > 0 && (
        <Typography variant="body2">
          A bag that is not here yet is added first:{' '}
          {unsaid.slice(0, NAMED).map((name, i) => (
            <span key={name}>
              {i > 0 && ', '}
              <Link
                to={`/bags/new?label=${encodeURIComponent(name.slice(0, 40))}`}
                style={{ color: 'inherit' }}
              >
                add “{name}”
              </Link>
            </span>
          ))}
          . Read the table again then; what is in the diary by that time is left out.
        </Typography>
      )}
    </Box>
  );
}

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
  const [bagOf, setBagOf] = useState<Readonly<Record<string, string>>>({});
  useEffect(() => {
    const open = async () => {
      const [text, note, names] = await Promise.all([
        file.text(),
        store.readNote(NOTE),
        store.readNote(NAMES_NOTE),
      ]);
      const read = readCsv(text);
      const remembered = rememberedSchema.safeParse(note).data?.[table];
      const isHere = Object.values(remembered?.columns ?? {}).every(
        (h) => h === '' || read.headings.includes(h),
      );
      const guess = guessDiaryMapping(table, read, { system, now: clock.now() });
      setCsv(read);
      setBagOf(namesSchema.safeParse(names).data ?? {});
      setMapping(remembered && isHere ? ({ ...guess, ...remembered } as DiaryMapping) : guess);
    };
    void open();
  }, [clock, file, store, system, table]);
  const reading = useMemo(
    () =>
      csv && mapping && isWholeMapping(table, mapping)
        ? readDiaryTable(table, csv, mapping, garden, live, { system, now: clock.now(), bagOf })
        : undefined,
    [bagOf, clock, csv, garden, live, mapping, system, table],
  );
  const isTable = csv !== undefined && csv.headings.length > 1 && csv.rows.length > 0;
  const sayBag = async (name: string, containerId: string) => {
    const said = { ...bagOf, [name.toLowerCase()]: containerId };
    setBagOf(said);
    // at once: who goes on to add a bag that is missing comes back to what was said
    await store.writeNote(NAMES_NOTE, said);
  };
  const submit = async () => {
    if (!reading || !mapping) return;
    await record(reading.drafts, `${reading.drafts.length} ${TABLE_NAMES[table].toLowerCase()} read`);
    const before = rememberedSchema.safeParse(await store.readNote(NOTE)).data ?? {};
    await store.writeNote(NOTE, { ...before, [table]: mapping });
    onClose();
  };
  // nobody has ounces beside kilograms
  const isOfUnit = (id: ColumnId) => id !== 'ounces' || mapping?.unit === 'pound';
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
        {isTable && csv && mapping && (
          <Box sx={GRID}>
            {COLUMNS_READ[table]
              .filter(isOfUnit)
              .map((id) =>
                choice(HOLDS[id] ?? id, mapping.columns[id] ?? '', headings, (heading) =>
                  setMapping(withColumn(mapping, id, heading, csv, { system, now: clock.now() })),
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
        {reading && mapping && reading.ofSeveral > 0 && (
          <Box sx={GRID}>
            {choice('A row of several bags is', mapping.several, SEVERAL, (id) =>
              setMapping({ ...mapping, several: id as DiaryMapping['several'] }),
            )}
          </Box>
        )}
        {reading && reading.strangeBags.length > 0 && (
          <StrangeBags
            names={reading.strangeBags}
            bagOf={bagOf}
            onSay={(name, id) => told(sayBag(name, id))}
          />
        )}
        {isTable && !reading && (
          <Typography role="status">Say which columns hold the bag, the day and what was done.</Typography>
        )}
        {reading && (
          <>
            <Typography role="status" sx={{ fontWeight: 'fontWeightMedium' }}>
              {reading.ofSeveral > 0
                ? `${reading.drafts.length} entries from ${csv?.rows.length ?? 0} rows would be put in the diary`
                : `${reading.drafts.length} of ${csv?.rows.length ?? 0} rows would be put in the diary`}
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
