import { Box, Button, Skeleton, Typography } from '@mui/material';
import { dayOf, seasonName, seasonYearOf } from '@rundel/core/calendar';
import type { Trial, TrialUnit } from '@rundel/core/records';
import type { TrialLine } from '@rundel/core/tally';
import { useState } from 'react';
import { Link } from 'react-router';
import { measured, MEASURE_WORDS } from '../../../text/trial-text.ts';
import { shortDay } from '../../../text/text.ts';
import { FormDialog, FormFields, textField, useFields } from '../../../ui/form/index.ts';
import { Panel } from '../../../ui/Page.tsx';
import { DataTable, type Column } from '../../../ui/table/index.ts';
import { told, useGarden, useUnitFormat } from '../../../store/index.ts';
import { useTally } from '../../../store/tally.ts';
import { Verdict } from './Verdict.tsx';

/** A trial: what it says, what each bag gave, and what can be done about it. */
export function TrialPanel({ trial, onEdit }: { readonly trial: Trial; onEdit(): void }) {
  const { garden, clock, saveRecords, bin } = useGarden();
  const unitFormat = useUnitFormat();
  const { latitudeDegrees } = garden.settings;
  const today = dayOf(clock.now());
  const { data } = useTally(['trial', trial.id, trial.changedAt], (api, day) => api.trial(trial, day));
  const [leaving, setLeaving] = useState<TrialUnit>();
  const nameOf = (id: string) => trial.treatments.find((t) => t.id === id)?.name ?? id;
  const seasons = [...new Set(trial.units.map((u) => u.season))].sort();
  const isOn = seasons.includes(seasonYearOf(today, latitudeDegrees));
  const save = (units: readonly TrialUnit[], label: string) =>
    saveRecords(
      [{ table: 'trials', before: trial, after: { ...trial, units: [...units], changedAt: clock.now() } }],
      [],
      label,
    );
  const setOut = (unit: TrialUnit, outBecause: string | undefined) =>
    save(
      trial.units.map((u) => {
        const { outBecause: _, ...rest } = u;
        return u === unit ? { ...rest, ...(outBecause ? { outBecause } : {}) } : u;
      }),
      `${trial.name} changed`,
    );
  const columns: [Column<TrialLine>, ...Column<TrialLine>[]] = [
    {
      id: 'bag',
      header: 'Bag',
      sort: (l) => l.bag,
      cell: (l) => (
        <Link to={`/bags/${l.unit.containerId}`} style={{ color: 'inherit' }}>
          {l.bag}
          {l.plantName ? ` ${l.plantName}` : ''}
        </Link>
      ),
    },
    {
      id: 'had',
      header: 'Had',
      sort: (l) => nameOf(l.unit.treatmentId),
      cell: (l) => nameOf(l.unit.treatmentId),
    },
    { id: 'variety', header: 'Variety', sort: (l) => l.variety, cell: (l) => l.variety },
    { id: 'place', header: 'Place', sort: (l) => l.place, cell: (l) => l.place },
    ...(seasons.length > 1
      ? [
          {
            id: 'season',
            header: 'Season',
            sort: (l: TrialLine) => l.unit.season,
            cell: (l: TrialLine) => seasonName(l.unit.season, latitudeDegrees),
          },
        ]
      : []),
    {
      id: 'planted',
      header: 'Planted',
      isExtra: true,
      sort: (l) => l.plantedOn,
      cell: (l) => (l.plantedOn ? shortDay(l.plantedOn, today) : ''),
    },
    {
      id: 'value',
      header: MEASURE_WORDS[trial.measure],
      isNumber: true,
      sort: (l) => l.value,
      cell: (l) =>
        l.unit.outBecause
          ? `left out: ${l.unit.outBecause}`
          : l.value === undefined
            ? 'nothing yet'
            : measured(l.value, trial.measure, unitFormat),
    },
    {
      id: 'act',
      header: 'Counts',
      isScreenOnly: true,
      cell: (l) => {
        const unit = trial.units.find(
          (u) =>
            u.containerId === l.unit.containerId &&
            u.plantId === l.unit.plantId &&
            u.season === l.unit.season,
        );
        return (
          unit && (
            <Button
              size="small"
              aria-label={`${l.unit.outBecause ? 'Count' : 'Leave out'} ${[l.bag, l.plantName].filter(Boolean).join(' ')}`}
              onClick={() => (unit.outBecause ? told(setOut(unit, undefined)) : setLeaving(unit))}
            >
              {l.unit.outBecause ? 'Count it' : 'Leave out'}
            </Button>
          )
        );
      },
    },
  ];
  return (
    <Panel title={trial.name}>
      <Typography sx={{ color: 'text.secondary', marginBlockEnd: 1 }}>
        {trial.treatments.map((t) => t.name).join(' against ')}, by{' '}
        {MEASURE_WORDS[trial.measure].toLowerCase()},{' '}
        {seasons.map((s) => seasonName(s, latitudeDegrees)).join(' and ')}
        {trial.untilDay ? `, up to ${shortDay(trial.untilDay)}` : isOn ? ', still running' : ''}.
      </Typography>
      {data ? (
        <Verdict result={data} nameOf={nameOf} />
      ) : (
        <Skeleton variant="rectangular" height={120} aria-busy />
      )}
      {trial.note && <Typography sx={{ marginBlockStart: 1 }}>“{trial.note}”</Typography>}
      <Box
        sx={{
          display: 'flex',
          flexWrap: 'wrap',
          gap: 1,
          marginBlock: 1.5,
          '@media print': { display: 'none' },
        }}
      >
        <Button variant="outlined" onClick={onEdit}>
          Change
        </Button>
        <Button onClick={() => told(bin('trials', [trial], trial.name))}>Delete</Button>
      </Box>
      {data && (
        <DataTable
          name="trial"
          label={`What each gave in ${trial.name}`}
          rows={data.lines}
          columns={columns}
          idOf={({ unit }) => `${unit.containerId} ${unit.plantId ?? ''} ${unit.season}`}
        />
      )}
      {leaving && (
        <LeaveOut
          onClose={() => setLeaving(undefined)}
          onLeave={(why) => setOut(leaving, why).then(() => setLeaving(undefined))}
        />
      )}
    </Panel>
  );
}

function LeaveOut({ onClose, onLeave }: { onClose(): void; onLeave(why: string): Promise<unknown> }) {
  const form = useFields({
    why: textField({
      label: 'Why it does not count',
      help: 'Its plant was stolen, it stood in a draught, it was given the wrong feed.',
      missing: 'Say why: a bag that did badly is no reason.',
      longest: 120,
    }),
  });
  return (
    <FormDialog
      title="Leave it out of the trial"
      onClose={onClose}
      onSubmit={form.submit(({ why }) => onLeave(why))}
      submitLabel="Leave it out"
    >
      <FormFields form={form} autoFocus />
    </FormDialog>
  );
}
