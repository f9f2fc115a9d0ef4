import { Box, Button, ToggleButton, ToggleButtonGroup, Typography } from '@mui/material';
import { dayOf, growingSeason, seasonName, seasonYearOf } from '@rundel/core/calendar';
import { occupantsOf, type Occupant } from '@rundel/core/plants';
import { TRIAL_MEASURES, type Trial, type TrialUnit } from '@rundel/core/records';
import { chanceFrom } from '@rundel/core/statistics';
import { dealFairly } from '@rundel/core/trials';
import { useState } from 'react';
import { plantName } from '../../../text/plant-text.ts';
import { MEASURE_WORDS } from '../../../text/trial-text.ts';
import {
  choiceField,
  dayField,
  FormDialog,
  FormFields,
  optionsOf,
  switchField,
  textField,
  useFields,
} from '../../../ui/form/index.ts';
import { Remark } from '../../../ui/Remark.tsx';
import { Select } from '../../../ui/Select.tsx';
import { containersInUse, newId, useGarden } from '../../../store/index.ts';

const name = (label: string, missing?: string) =>
  textField({ label, longest: 40, ...(missing ? { missing } : {}) });

const FIELDS = {
  name: textField({ label: 'What is tried', missing: 'Give it a name.', longest: 60 }),
  first: name('One way', 'What is the one way called?'),
  second: name('The other way', 'And the other?'),
  third: name('A third, if there is one'),
  measure: choiceField({ label: 'It is told by', options: optionsOf(MEASURE_WORDS) }),
  untilDay: dayField({ label: 'Count only up to', isOptional: true }),
  byPlant: switchField({ label: 'Single plants, and not whole bags' }),
  note: textField({ label: 'What you make of it', longest: 1000, lines: 2 }),
};

const IDS = ['a', 'b', 'c'] as const;
const ALL = '*';
/** For each press of the button another lot. */
const SEED = () => Math.floor(Math.random() * 2 ** 31);

interface Candidate {
  readonly key: string;
  readonly containerId: string;
  readonly plantId: string | undefined;
  readonly label: string;
  readonly place: string;
  readonly varieties: readonly string[];
}

/** A trial put down or changed: what is tried, and which bags or plants get which. */
export default function TrialDialog({
  trial,
  onClose,
}: {
  readonly trial: Trial | undefined;
  onClose(): void;
}) {
  const { garden, live, clock, saveRecords } = useGarden();
  const { latitudeDegrees } = garden.settings;
  const thisYear = seasonYearOf(dayOf(clock.now()), latitudeDegrees);
  const used = trial?.units.map((u) => u.season) ?? [];
  const [season, setSeason] = useState(used.at(-1) ?? thisYear);
  const [variety, setVariety] = useState(ALL);
  const [given, setGiven] = useState<ReadonlyMap<string, string>>(
    () => new Map(trial?.units.map((u) => [keyOf(u), u.treatmentId]) ?? []),
  );
  const [problem, setProblem] = useState<string>();
  const form = useFields(FIELDS, {
    values: trial
      ? {
          name: trial.name,
          first: trial.treatments[0]?.name ?? '',
          second: trial.treatments[1]?.name ?? '',
          third: trial.treatments[2]?.name ?? '',
          measure: trial.measure,
          untilDay: trial.untilDay,
          byPlant: trial.units.some((u) => u.plantId !== undefined),
          note: trial.note ?? '',
        }
      : // in one bag alone it is plants that are compared
        { measure: TRIAL_MEASURES[0], byPlant: containersInUse(garden).length === 1 },
  });
  const names = [form.texts.first, form.texts.second, form.texts.third].map((text) => text.trim());
  const treatments = IDS.flatMap((id, i) => (names[i] ? [{ id, name: names[i] }] : []));
  const isByPlant = form.values.byPlant === true;
  const all = candidates(garden, live, season, isByPlant);
  const varieties = [...new Map(all.flatMap((c) => c.varieties.map((v) => [v, v] as const))).keys()];
  const shown = variety === ALL ? all : all.filter((c) => c.varieties.includes(variety));
  const give = (key: string, id: string | null) => {
    const next = new Map(given);
    if (id === null) next.delete(key);
    else next.set(key, id);
    setGiven(next);
  };
  const deal = () => {
    const chosen = shown.filter((c) => given.has(c.key));
    const among = chosen.length > 1 ? chosen : shown;
    const ids = treatments.map((t) => t.id);
    const dealt = dealFairly(among, ids.length > 1 ? ids : ['a', 'b'], chanceFrom(SEED()));
    setGiven(new Map([...given, ...among.map((c, i) => [c.key, dealt[i] ?? 'a'] as const)]));
  };
  const submit = form.submit(async (values) => {
    const units = unitsOf(given, trial, all, season, isByPlant);
    const sides = new Set(units.map((u) => u.treatmentId));
    if (treatments.some((t) => !sides.has(t.id))) {
      setProblem('Each way needs at least one bag: press a letter beside it, or deal them by lot.');
      return;
    }
    const now = clock.now();
    const { note, untilDay, measure } = values;
    const after: Trial = {
      ...(trial ?? { id: newId('trial'), createdAt: now }),
      name: values.name,
      treatments,
      units: [...units],
      measure,
      untilDay,
      note: note || undefined,
      changedAt: now,
    };
    await saveRecords([{ table: 'trials', before: trial, after: whole(after) }], [], `trial ${values.name}`);
    onClose();
  });
  const seasons = [...new Set([...used, thisYear + 1, thisYear, thisYear - 1])].sort((a, b) => b - a);
  return (
    <FormDialog
      title={trial ? 'Change the trial' : 'New trial'}
      keepAs={`trial ${trial?.id ?? 'new'}`}
      onClose={onClose}
      onSubmit={submit}
      submitLabel="Save"
    >
      <FormFields form={form} autoFocus />
      <Box sx={{ display: 'grid', gap: 1.5, gridTemplateColumns: { xs: '1fr', sm: '1fr 1fr' } }}>
        <Select
          label="Season"
          value={String(season)}
          options={seasons.map((year) => ({ id: String(year), label: seasonName(year, latitudeDegrees) }))}
          onChange={(id) => setSeason(Number(id))}
        />
        {varieties.length > 1 && (
          <Select
            label="Show only"
            value={variety}
            options={[{ id: ALL, label: 'All' }, ...varieties.map((id) => ({ id, label: id }))]}
            onChange={setVariety}
          />
        )}
      </Box>
      <Box>
        <Box sx={{ display: 'flex', alignItems: 'center', justifyContent: 'space-between', gap: 1 }}>
          <Typography component="h3" sx={{ fontWeight: 700 }}>
            Which gets which
          </Typography>
          {shown.length > 1 && <Button onClick={deal}>Deal by lot</Button>}
        </Box>
        <Typography variant="body2" sx={{ color: 'text.secondary' }}>
          Fair is: one variety, one place, begun together, and dealt by lot.
        </Typography>
        {shown.map((candidate) => (
          <Box key={candidate.key} sx={{ display: 'flex', alignItems: 'center', gap: 1, marginBlock: 0.5 }}>
            <Box sx={{ flex: 1, minWidth: 0 }}>
              {candidate.label}
              <Box component="span" sx={{ color: 'text.secondary' }}>{`, ${candidate.place}`}</Box>
            </Box>
            <ToggleButtonGroup
              exclusive
              size="small"
              aria-label={`What ${candidate.label} gets`}
              value={given.get(candidate.key) ?? null}
              onChange={(_, id: string | null) => give(candidate.key, id)}
              sx={{ '& .MuiToggleButton-root': { minWidth: 44, minHeight: 44 } }}
            >
              {(treatments.length > 1
                ? treatments
                : [
                    { id: 'a', name: 'A' },
                    { id: 'b', name: 'B' },
                  ]
              ).map((t) => (
                <ToggleButton key={t.id} value={t.id} aria-label={t.name}>
                  {t.id.toUpperCase()}
                </ToggleButton>
              ))}
            </ToggleButtonGroup>
          </Box>
        ))}
        {shown.length === 0 && (
          <Typography variant="body2">Nothing stood in the bags in that season.</Typography>
        )}
      </Box>
      {problem && <Remark role="alert">{problem}</Remark>}
    </FormDialog>
  );
}

const keyOf = ({ containerId, plantId, season }: Pick<TrialUnit, 'containerId' | 'plantId' | 'season'>) =>
  `${containerId} ${plantId ?? ''} ${season}`;

/** Bags or plants that can be in a trial of a season: what stood there then, or in a season to come every bag. */
function candidates(
  garden: ReturnType<typeof useGarden>['garden'],
  live: ReturnType<typeof useGarden>['live'],
  season: number,
  isByPlant: boolean,
): readonly Candidate[] {
  const { from, to } = growingSeason(season, garden.settings.latitudeDegrees);
  return containersInUse(garden).flatMap((container): readonly Candidate[] => {
    const place = garden.places.find((p) => p.id === container.placeId)?.name ?? '';
    const then = occupantsOf(container, live, garden).filter(
      (o) => o.plantedOn <= to && (o.clearedOn === undefined || o.clearedOn >= from),
    );
    const varieties = [...new Set(then.map((o: Occupant) => o.variety.name))];
    const base = { containerId: container.id, place };
    if (isByPlant)
      return then.map((o) => ({
        ...base,
        key: keyOf({ containerId: container.id, plantId: o.plant.id, season }),
        plantId: o.plant.id,
        label: `${container.label} ${plantName(o, then)}`,
        varieties: [o.variety.name],
      }));
    return [
      {
        ...base,
        key: keyOf({ containerId: container.id, season }),
        plantId: undefined,
        label: varieties.length > 0 ? `${container.label} ${varieties.join(', ')}` : container.label,
        varieties,
      },
    ];
  });
}

/** The units of a trial as they were given; what was left out with a reason keeps it, and other seasons stay. */
function unitsOf(
  given: ReadonlyMap<string, string>,
  trial: Trial | undefined,
  all: readonly Candidate[],
  season: number,
  isByPlant: boolean,
): readonly TrialUnit[] {
  const before = new Map(trial?.units.map((u) => [keyOf(u), u]) ?? []);
  const kept = [...before.values()].filter(
    (u) => u.season !== season || !all.some((c) => c.key === keyOf(u)),
  );
  const now = all.flatMap((c): readonly TrialUnit[] => {
    const treatmentId = given.get(c.key);
    if (treatmentId === undefined) return [];
    const { outBecause } = before.get(c.key) ?? {};
    return [
      {
        containerId: c.containerId,
        ...(c.plantId ? { plantId: c.plantId } : {}),
        treatmentId,
        season,
        ...(outBecause ? { outBecause } : {}),
      },
    ];
  });
  // bags in place of plants, or the other way: those of the same season are not both
  return [...kept.filter((u) => u.season !== season || (u.plantId !== undefined) === isByPlant), ...now];
}

/** Without fields that are not said. */
function whole(trial: Trial): Trial {
  return Object.fromEntries(Object.entries(trial).filter(([, value]) => value !== undefined)) as Trial;
}
