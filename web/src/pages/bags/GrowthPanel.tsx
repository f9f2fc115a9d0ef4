import { Box, Button, Typography } from '@mui/material';
import { grewFrom, growthOf, heightNow, levelOf } from '@rundel/core/garden-state';
import { type Occupant, growthPerDay, outgrows, supportOf } from '@rundel/core/plants';
import { dayOf, daysBetween } from '@rundel/core/calendar';
import { formOfPlant, TRAINING_FORMS, trainingForm } from '@rundel/core/care';
import { TRAINING_FORM_IDS, type Entry } from '@rundel/core/records';
import { Suspense, useMemo, useState } from 'react';
import { Link } from 'react-router';
import { Select } from '../../ui/Select.tsx';
import { Panel } from '../../ui/Page.tsx';
import { reachingWords } from '../../text/planting-text.ts';
import { JobRow } from '../../ui/JobRow.tsx';
import { jobKey } from '../../text/job-text.ts';
import { HowCalculated, WorkedLines } from '../../ui/HowCalculated.tsx';
import { shortDay } from '../../text/text.ts';
import { useGarden, useUnitFormat, type Bag, told } from '../../store/index.ts';
import { MeasureDialog } from './dialogs.ts';

/** Forms that are told by their leaders. */
const BY_LEADERS: readonly string[] = ['one-leader', 'two-leaders'];

/** How tall it is, when it gets to the top of what holds it, and the jobs that follow from it. */
export function GrowthPanel({ bag }: { readonly bag: Bag }) {
  const [isMeasuring, setMeasuring] = useState(false);
  const { live } = useGarden();
  const { jobs } = bag;
  const support = supportOf(bag.container.support.kind);
  return (
    <Panel title="Growth and support">
      {alike(bag.occupants, live).map(([occupant, count]) => (
        <OnePlant key={occupant.plant.id} bag={bag} occupant={occupant} count={count} />
      ))}
      <Typography sx={{ marginBlockEnd: 1 }}>
        Support:{' '}
        {[bag.container.support, ...(bag.container.furtherSupports ?? [])]
          .map(({ kind }) => supportOf(kind).name.toLowerCase())
          .join(', and ')}
        .{' '}
        <Link to="/bench/supports" style={{ color: 'inherit' }}>
          {support.id === 'none' ? 'Choose one' : 'Others, ranked'}
        </Link>
      </Typography>
      {jobs.length > 0 && (
        <Box
          component="ul"
          aria-label="Jobs"
          sx={{ listStyle: 'none', margin: 0, marginBlockEnd: 1.5, padding: 0 }}
        >
          {jobs.map((task) => (
            <JobRow key={jobKey(task)} task={task} bag={bag} />
          ))}
        </Box>
      )}
      <Button variant="outlined" onClick={() => setMeasuring(true)}>
        Measure it
      </Button>
      <Suspense>{isMeasuring && <MeasureDialog bag={bag} onClose={() => setMeasuring(false)} />}</Suspense>
    </Panel>
  );
}

/** Plants of one variety and day that nobody has measured are one line, with how many they are. */
function alike(
  occupants: readonly Occupant[],
  live: readonly Entry[],
): readonly (readonly [Occupant, number])[] {
  const groups = new Map<string, [Occupant, number]>();
  for (const occupant of occupants) {
    const isMeasured = live.some((e) => e.kind === 'height' && e.plantId === occupant.plant.id);
    const key = isMeasured
      ? occupant.plant.id
      : `${occupant.variety.id} ${occupant.plantedOn} ${occupant.plant.name ?? ''}`;
    const group = groups.get(key);
    if (group) group[1] += 1;
    else groups.set(key, [occupant, 1]);
  }
  return [...groups.values()];
}

function OnePlant({
  bag,
  occupant,
  count,
}: {
  readonly bag: Bag;
  readonly occupant: Occupant;
  readonly count: number;
}) {
  const { garden, live, clock, saveRecords } = useGarden();
  const unitFormat = useUnitFormat();
  const today = dayOf(clock.now());
  const age = daysBetween(grewFrom(occupant), today);
  const growth = useMemo(
    () => growthOf(occupant, bag.properties, live, garden.settings),
    [bag.properties, garden.settings, live, occupant],
  );
  const level = levelOf(bag.properties, bag.occupants, live);
  const risen = level - (occupant.planted.levelMillimetres ?? level);
  const height = heightNow(growth, age, risen, occupant.planted.isGuessed);
  const { kind, heightMillimetres } = bag.container.support;
  const above =
    heightMillimetres -
    bag.properties.fill.mixMillimetres -
    (bag.properties.real.under?.heightMillimetres ?? 0);
  const top = kind !== 'none' && above > 0 ? outgrows(growth.belief, above) : undefined;
  const name = occupant.plant.name ?? occupant.variety.name;
  const { leaders: _leaders, trainingFormId: _formId, ...untrained } = occupant.plant;
  const usualForm = trainingForm(formOfPlant({ ...occupant, plant: untrained }, kind));
  /** Plants that share this line are trained alike. */
  const train = async (id: string) => {
    const mates = count > 1 ? bag.occupants.filter((o) => o.variety.id === occupant.variety.id) : [occupant];
    const changes = mates.map(({ plant: before }) => {
      const { leaders: _, trainingFormId: __, ...rest } = before;
      const formId = TRAINING_FORM_IDS.find((each) => each === id);
      const said = formId ? { trainingFormId: formId } : id === 'habit' ? {} : { leaders: Number(id) };
      const after = { ...rest, ...said, changedAt: clock.now() };
      return { table: 'plants' as const, before, after };
    });
    await saveRecords(changes, [], `training of ${name} changed`);
  };
  return (
    <Box sx={{ marginBlockEnd: 1.5 }}>
      <Typography sx={{ marginBlockEnd: 2 }}>
        <strong>
          {name}
          {count > 1 ? ` ×${count}` : ''}: {height.isMeasured ? '' : 'about '}
          {unitFormat.show(height.likely, 'height')}
        </strong>
        {!height.isMeasured && `, ${unitFormat.range(height.low, height.high, 'height')}`}, growing{' '}
        {unitFormat.show(growthPerDay(growth.belief, age) * 7, 'height')} a week.
        {top &&
          ` It gets to the top of its ${supportOf(kind).short} ${reachingWords(top, grewFrom(occupant), today)}.`}
      </Typography>
      <Select
        label={count > 1 ? 'Trained to, each' : 'Trained to'}
        value={occupant.plant.trainingFormId ?? String(occupant.plant.leaders ?? 'habit')}
        options={[
          { id: 'habit', label: `as usual: ${usualForm.name.toLowerCase()}` },
          { id: '1', label: 'one leader' },
          { id: '2', label: 'two leaders' },
          { id: '3', label: 'three leaders' },
          ...TRAINING_FORMS.filter(({ id }) => !BY_LEADERS.includes(id)).map(({ id, name: label }) => ({
            id,
            label: label.toLowerCase(),
          })),
        ]}
        onChange={(id) => told(train(id))}
      />
      <HowCalculated label="From which heights">
        <WorkedLines
          lines={[
            [
              `Planted ${shortDay(occupant.plantedOn, today)}`,
              `${unitFormat.show(growth.startMillimetres, 'height')} above the mix`,
            ],
            ...growth.records.map(
              (r) => [`Measured on day ${r.days}`, unitFormat.show(r.millimetres, 'height')] as const,
            ),
          ]}
        />
        <Typography variant="body2" sx={{ marginBlockStart: 1 }}>
          {growth.records.length === 0
            ? 'Nothing was measured yet: this is what its habit usually does. One height in June narrows it a good deal.'
            : 'A curve through what you measured, drawn towards what its habit usually does.'}
        </Typography>
      </HowCalculated>
    </Box>
  );
}
