import { Alert, Box, Button, Typography } from '@mui/material';
import { cropOf, habitOf, occupantsOf, varietiesIn, type KnownVariety } from '@rundel/core/plants';
import type { Variety } from '@rundel/core/records';
import { lazy, Suspense, useMemo, useState } from 'react';
import { download } from '../../../ui/download.ts';
import { FileButton } from '../../../ui/FileButton.tsx';
import { Panel } from '../../../ui/Page.tsx';
import { DataTable, type Column } from '../../../ui/table/index.ts';
import { AGAIN_WORDS, BEARING_WORDS, daysWords } from '../../../text/variety-text.ts';
import {
  containersInUse,
  newId,
  told,
  useGarden,
  useUnitFormat,
  type RecordChange,
} from '../../../store/index.ts';
import { BatchesPanel } from './BatchesPanel.tsx';
import type { VarietiesReading } from './varieties-csv.ts';

const VarietyDialog = lazy(() => import('./VarietyDialog.tsx'));

/** What a variety has done in this garden. */
interface GrownHere {
  readonly standing: number;
  readonly grown: number;
  /** picked from plants of it alone, or from bags with nothing else in them, kg */
  readonly kilograms: number;
}

/** The varieties that are known here, what each did, and what was sown of them. */
export default function VarietiesBench() {
  const { garden, live, clock, saveRecords } = useGarden();
  const unitFormat = useUnitFormat();
  const [edited, setEdited] = useState<{ readonly variety: KnownVariety | undefined }>();
  const [reading, setReading] = useState<VarietiesReading>();
  const varieties = varietiesIn(garden.varieties);
  const ownOf = (v: KnownVariety): Variety | undefined =>
    garden.varieties.find((own) => !own.binnedAt && own.name === v.name && own.cropId === v.cropId);
  const records = useMemo(() => {
    const sums = new Map<string, GrownHere>();
    for (const container of containersInUse(garden)) {
      const everyone = occupantsOf(container, live, garden);
      for (const { variety, clearedOn } of everyone) {
        const { standing = 0, grown = 0, kilograms = 0 } = sums.get(variety.id) ?? {};
        sums.set(variety.id, {
          standing: standing + (clearedOn === undefined ? 1 : 0),
          grown: grown + 1,
          kilograms,
        });
      }
      for (const e of live) {
        if (e.kind !== 'picking' || e.containerId !== container.id || e.kilograms === undefined) continue;
        const day = e.at.slice(0, 10);
        const there = everyone.filter(
          (o) => o.plantedOn <= day && (o.clearedOn === undefined || o.clearedOn >= day),
        );
        const ids = new Set(there.map((o) => o.variety.id));
        const id =
          there.find((o) => o.plant.id === e.plantId)?.variety.id ??
          (ids.size === 1 ? [...ids][0] : undefined);
        const sum = id && sums.get(id);
        if (id && sum) sums.set(id, { ...sum, kilograms: sum.kilograms + e.kilograms });
      }
    }
    return sums;
  }, [garden, live]);
  const recordOf = (v: KnownVariety) => records.get(ownOf(v)?.id ?? '');
  const take = async (file: File) => {
    const { readVarietiesCsv } = await import('./varieties-csv.ts');
    const read = readVarietiesCsv(await file.text());
    setReading(read);
    const now = clock.now();
    const changes = read.varieties
      .filter((v) => !ownOf(v))
      .map((facts): RecordChange => ({
        table: 'varieties',
        before: undefined,
        after: { id: newId('variety'), ...facts, createdAt: now, changedAt: now },
      }));
    if (changes.length > 0)
      await saveRecords(
        changes,
        [],
        `${changes.length} ${changes.length === 1 ? 'variety' : 'varieties'} read`,
      );
  };
  const columns: [Column<KnownVariety>, ...Column<KnownVariety>[]] = [
    {
      id: 'name',
      header: 'Variety',
      sort: (v) => v.name,
      cell: (v) => (
        <Box>
          <strong>{v.name}</strong>
          {(v.colour ?? v.use) && (
            <Box sx={{ fontSize: '0.85rem', fontWeight: 'fontWeightRegular', color: 'text.secondary' }}>
              {[v.colour, v.use].filter(Boolean).join(', ')}
            </Box>
          )}
        </Box>
      ),
    },
    { id: 'crop', header: 'Crop', sort: (v) => cropOf(v.cropId).name, cell: (v) => cropOf(v.cropId).name },
    {
      id: 'growth',
      header: 'Growth',
      sort: (v) => habitOf(v.cropId, v.habitId).name,
      cell: (v) =>
        `${habitOf(v.cropId, v.habitId).name}, ${BEARING_WORDS[v.bearing ?? habitOf(v.cropId, v.habitId).bearing]}`,
    },
    {
      id: 'days',
      header: 'Days to ripe',
      isNumber: true,
      sort: (v) => v.daysToRipe?.low,
      cell: (v) =>
        v.daysToRipe ? daysWords(v.daysToRipe) : `usual: ${habitOf(v.cropId, v.habitId).daysToPicking.value}`,
    },
    {
      id: 'height',
      header: 'Height',
      isNumber: true,
      sort: (v) => v.heightMillimetres,
      cell: (v) => v.heightMillimetres && unitFormat.show(v.heightMillimetres, 'height'),
    },
    {
      id: 'fruit',
      header: 'A fruit',
      isNumber: true,
      isExtra: true,
      sort: (v) => v.fruitGrams,
      cell: (v) => v.fruitGrams && unitFormat.show(v.fruitGrams / 1000, 'crop'),
    },
    {
      id: 'seed',
      header: 'Seed',
      isExtra: true,
      cell: (v) =>
        v.seed &&
        [
          v.seed.source,
          v.seed.year,
          v.seed.amount,
          v.seed.germination && `${Math.round(v.seed.germination * 100)} %`,
        ]
          .filter(Boolean)
          .join(', '),
    },
    {
      id: 'here',
      header: 'Grown here',
      isNumber: true,
      sort: (v) => recordOf(v)?.grown,
      cell: (v) => {
        const record = recordOf(v);
        if (!record) return '';
        const picked = record.kilograms > 0 ? `, ${unitFormat.show(record.kilograms, 'crop')}` : '';
        return `${record.grown} ${record.grown === 1 ? 'plant' : 'plants'}${picked}`;
      },
    },
    {
      id: 'again',
      header: 'Again?',
      sort: (v) => v.growAgain,
      cell: (v) => v.growAgain && AGAIN_WORDS[v.growAgain],
    },
    {
      id: 'change',
      header: 'Change',
      isScreenOnly: true,
      cell: (v) => (
        <Button size="small" onClick={() => setEdited({ variety: v })} aria-label={`Change ${v.name}`}>
          Change
        </Button>
      ),
    },
  ];
  const own = varieties.filter(ownOf);
  return (
    <>
      <BatchesPanel varieties={varieties} />
      <Panel title="Varieties">
        <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, marginBlockEnd: 1 }}>
          <Button variant="contained" onClick={() => setEdited({ variety: undefined })}>
            Add a variety
          </Button>
          <Button
            variant="outlined"
            onClick={() =>
              told(
                import('./varieties-csv.ts').then(({ varietiesAsCsv }) =>
                  download('varieties.csv', varietiesAsCsv(own.length > 0 ? own : varieties), 'text/csv'),
                ),
              )
            }
          >
            Save as a table (CSV)
          </Button>
          <FileButton variant="outlined" accept=".csv,text/csv" onFile={(file) => told(take(file))}>
            Read a table (CSV)
          </FileButton>
        </Box>
        {reading && <ReadingAlert reading={reading} onClose={() => setReading(undefined)} />}
        <Typography variant="body2" sx={{ color: 'text.secondary', marginBlockEnd: 1 }}>
          What is known of a variety goes before what is usual for its growth: in the year, in what holds it
          up and in the drawings. Those that are not grown here yet are made-up ones to begin with.
        </Typography>
        <DataTable
          name="varieties"
          label="All varieties"
          rows={varieties}
          columns={columns}
          idOf={(v) => `${v.cropId} ${v.name}`}
        />
      </Panel>
      {edited && (
        <Suspense>
          <VarietyDialog
            variety={edited.variety}
            own={edited.variety && ownOf(edited.variety)}
            onClose={() => setEdited(undefined)}
          />
        </Suspense>
      )}
    </>
  );
}

function ReadingAlert({ reading, onClose }: { readonly reading: VarietiesReading; onClose(): void }) {
  const { varieties, refused } = reading;
  return (
    <Alert severity={refused.length > 0 ? 'warning' : 'success'} onClose={onClose} sx={{ marginBlockEnd: 2 }}>
      {varieties.length === 0
        ? 'Nothing new was read, and what you had stays as it is.'
        : `${varieties.length} read; those that you have already were left as they are.`}
      {refused.map((r) => (
        <Box key={r.line}>
          Line {r.line}
          {r.name ? `, ${r.name}` : ''}: {r.problem}
        </Box>
      ))}
    </Alert>
  );
}
