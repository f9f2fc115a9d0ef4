import { Box, Button, MenuItem, TextField, Typography } from '@mui/material';
import { plantingTaskOf } from '@rundel/core/garden-state';
import { dayOf } from '@rundel/core/calendar';
import { cropOf, habitOfPlanned } from '@rundel/core/plants';
import {
  planWith,
  STRIP_PRACTICES,
  plantingMethodOf,
  plantingMethodsFor,
  type OwnPlanting,
} from '@rundel/core/planting';
import { type PlantingMethodId } from '@rundel/core/records';
import { useMemo, useState } from 'react';
import { Link } from 'react-router';
import { titleOf } from '../../../text/bag-text.ts';
import { useFields } from '../../../ui/form/index.ts';
import {
  isPlantingAsked,
  habitIdOf,
  plantingFields,
  plantingOf,
  plantingProblems,
  plantingQuery,
  plantingStart,
  type PlantingFormResult,
} from '../../../ui/planting-form.ts';
import { PlantingFields } from '../../../ui/PlantingFields.tsx';
import { Select } from '../../../ui/Select.tsx';
import { useBags, useGarden, useUnitFormat, type Bag, told } from '../../../store/index.ts';
import { NoBags } from '../NoBags.tsx';
import { PlanFigures } from '../bags-and-mix/PlanFigures.tsx';
import { PlantingTrial } from './PlantingTrial.tsx';
import { MethodList } from './MethodList.tsx';

/** A seedling tried in a bag by every way it could go in; the drawing is the editor. Nothing is stored. */
export default function PlantingBench() {
  const { bags } = useBags();
  const [bagId, setBagId] = useState<string>();
  const bag = bags.find((b) => b.container.id === bagId) ?? bags[0];
  if (!bag) return <NoBags label="Add a bag first; then a seedling can be tried in it here." />;
  return <OneBag bag={bag} bags={bags} onBag={setBagId} />;
}

function OneBag({
  bag,
  bags,
  onBag,
}: {
  readonly bag: Bag;
  readonly bags: readonly Bag[];
  onBag(id: string): void;
}) {
  const { garden, clock, saveSettings } = useGarden();
  const unitFormat = useUnitFormat();
  const { depthPracticeId } = garden.settings;
  const today = dayOf(clock.now());
  const form = useFields((texts) => plantingFields(texts, unitFormat, today), {
    values: { ...plantingStart(today, depthPracticeId), stem: 300 },
    isLive: true,
    isAsked: isPlantingAsked,
    check: plantingProblems,
  });
  const read = plantingOf(form);
  // the same planting for as long as the same is said of it
  const key = JSON.stringify(read);
  const planting = useMemo(
    () => (key === undefined ? undefined : (JSON.parse(key) as PlantingFormResult)),
    [key],
  );
  const [plantingMethodId, setPlantingMethod] = useState<PlantingMethodId>();
  const [own, setOwn] = useState<OwnPlanting>({});
  const stripPractice =
    STRIP_PRACTICES.find((s) => s.id === garden.settings.stripPracticeId) ?? STRIP_PRACTICES[0];
  const crop = cropOf(form.texts.cropId);
  const habitId = habitIdOf(form.texts);
  const { varietyName } = form.texts;
  const habit = useMemo(
    () => habitOfPlanned(garden.varieties, { cropId: crop.id, habitId, varietyName }),
    [crop.id, garden.varieties, habitId, varietyName],
  );
  const task = useMemo(
    () =>
      planting &&
      plantingTaskOf(
        bag.properties,
        bag.container.stations.length,
        planting.practiceId ?? depthPracticeId,
        crop,
        habit,
        planting.seedling,
      ),
    [bag.properties, bag.container.stations.length, crop, depthPracticeId, habit, planting],
  );
  const plantingMethods = useMemo(() => (task ? plantingMethodsFor(task) : []), [task]);
  const best = plantingMethods[0];
  const chosenId =
    plantingMethodId ?? (best?.kind === 'planned' ? best.plan.plantingMethodId : best?.plantingMethodId);
  const result = task && chosenId ? planWith(plantingMethodOf(chosenId), task, own) : undefined;
  const hasRoom = bag.occupants.length < bag.container.stations.length;
  const choose = (id: PlantingMethodId) => {
    setPlantingMethod(id);
    setOwn({});
  };
  return (
    <Box
      sx={{
        display: 'grid',
        gap: 2.5,
        gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: 'minmax(0, 1fr) minmax(0, 1.15fr)' },
        // on a phone the answer comes before the ways that were not chosen
        gridTemplateAreas: { xs: '"asked" "answer" "ways"', md: '"asked answer" "ways answer"' },
        gridTemplateRows: { md: 'auto 1fr' },
        alignItems: 'start',
        '@media print': { display: 'block' },
      }}
    >
      <Box sx={{ gridArea: 'asked', display: 'grid', gap: 2, '@media print': { display: 'none' } }}>
        <TextField select label="Bag" value={bag.container.id} onChange={(e) => onBag(e.target.value)}>
          {bags.map((each) => (
            <MenuItem key={each.container.id} value={each.container.id}>
              {titleOf(each)}
            </MenuItem>
          ))}
        </TextField>
        <PlantingFields form={form} hasDay={false} hasNames={false} />
        {crop.depth === 'stem-roots' && (
          <Select
            label="When leaves come off"
            value={stripPractice.id}
            options={STRIP_PRACTICES.map((s) => ({ id: s.id, label: s.name }))}
            onChange={(id) => told(saveSettings({ ...garden.settings, stripPracticeId: id }))}
            help={stripPractice.description}
          />
        )}
      </Box>
      <Box sx={{ gridArea: 'ways', '@media print': { display: 'none' } }}>
        <MethodList plantingMethods={plantingMethods} chosenId={chosenId} onChoose={choose} />
      </Box>
      {result && planting && task ? (
        <Box sx={{ gridArea: 'answer' }}>
          <Typography sx={{ display: 'none', '@media print': { display: 'block' } }}>
            {titleOf(bag)}: {crop.name.toLowerCase()}, {habit.name.toLowerCase()},{' '}
            {unitFormat.show(planting.seedling.stemMillimetres, 'height')} tall.
          </Typography>
          <PlantingTrial
            bag={bag}
            planting={planting}
            habit={habit}
            task={task}
            outcome={result.outcome}
            own={own}
            onOwn={(patch) => setOwn((now) => ({ ...now, ...patch }))}
          />
          <PlanFigures
            outcome={result.outcome}
            remarks={result.remarks}
            crop={crop}
            bag={bag}
            isOwn={Object.keys(own).length > 0}
            onReset={() => setOwn({})}
            stripPractice={stripPractice.id}
          />
          <Box
            sx={{
              display: 'flex',
              flexWrap: 'wrap',
              gap: 1,
              marginBlockStart: 2,
              '@media print': { display: 'none' },
            }}
          >
            {hasRoom && result.outcome.kind === 'planned' && (
              <Button
                component={Link}
                to={`/round/planting?bag=${bag.container.id}&method=${result.outcome.plan.plantingMethodId}${ownQuery(own)}&${plantingQuery(form.texts)}`}
                variant="contained"
              >
                Plant it today
              </Button>
            )}
            <Button variant="outlined" onClick={() => print()}>
              Print it
            </Button>
            <Button component={Link} to={`/bags/${bag.container.id}`} variant="outlined">
              To bag {bag.container.label}
            </Button>
          </Box>
        </Box>
      ) : (
        <Typography sx={{ gridArea: 'answer', color: 'text.secondary' }}>
          The advice comes back when the numbers read.
        </Typography>
      )}
    </Box>
  );
}

/** Lines that were moved by hand, for the planting that they are kept through. */
function ownQuery(own: OwnPlanting): string {
  return Object.entries(own)
    .map(([key, mm]) => `&${key}=${Math.round(mm as number)}`)
    .join('');
}
