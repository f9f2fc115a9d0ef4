import { Typography } from '@mui/material';
import { dayOf } from '@rundel/core/calendar';
import { plansFor } from '@rundel/core/garden-state';
import { cropOf, habitOf } from '@rundel/core/plants';
import { FormDialog, useFields } from '../../ui/form/index.ts';
import { PlantingAdvice } from '../../ui/PlantingAdvice.tsx';
import { PlantingFields } from '../../ui/PlantingFields.tsx';
import { useGarden, useUnitFormat, type Bag } from '../../store/index.ts';
import {
  isPlantingAsked,
  plantingChanges,
  plantingFields,
  plantingOf,
  plantingProblems,
  plantingStart,
  startOfPlan,
} from '../../ui/planting-form.ts';

/** Plants the free stations of a bag, or of several alike. */
export function PlantDialog({
  bags,
  onClose,
  onDone = onClose,
}: {
  readonly bags: readonly [Bag, ...Bag[]];
  onClose(): void;
  onDone?(): void;
}) {
  const [bag] = bags;
  const { garden, clock, live, saveRecords } = useGarden();
  const unitFormat = useUnitFormat();
  const { depthPracticeId } = garden.settings;
  const today = dayOf(clock.now());
  const plan = plansFor(bag.container, garden, live)[0];
  const form = useFields((texts) => plantingFields(texts, unitFormat, today, ['stem', 'plantedOn']), {
    values: { ...plantingStart(today, depthPracticeId), ...(plan ? startOfPlan(plan) : {}) },
    isAsked: isPlantingAsked,
    check: plantingProblems,
  });
  const planting = plantingOf(form);
  const homes = bags.map(freeStations);
  const count = homes.reduce((sum, { stationIds }) => sum + stationIds.length, 0);
  const save = form.submit(async () => {
    if (!planting) return;
    const { changes, drafts } = plantingChanges(planting, homes, garden.varieties, clock.now());
    await saveRecords(
      changes,
      drafts,
      `planting in ${bags.length === 1 ? bag.container.label : `${bags.length} bags`}`,
    );
    onDone();
  });
  return (
    <FormDialog
      title={bags.length === 1 ? `Plant bag ${bag.container.label}` : `Plant ${bags.length} bags`}
      onClose={onClose}
      onSubmit={save}
      submitLabel="It is planted"
    >
      <PlantingFields form={form} />
      {bags.length > 1 && (
        <Typography variant="body2">
          {count} {count === 1 ? 'plant' : 'plants'}:{' '}
          {homes
            .map(
              ({ label, stationIds }) =>
                `${label} ${stationIds.length === 0 ? 'is full' : `×${stationIds.length}`}`,
            )
            .join(', ')}
          . The advice below is for bag {bag.container.label}.
        </Typography>
      )}
      {planting && (
        <PlantingAdvice
          seedling={planting.seedling}
          crop={cropOf(planting.cropId)}
          habit={habitOf(planting.cropId, planting.habitId)}
          properties={bag.properties}
          stations={bag.container.stations.length}
          practiceId={planting.practiceId ?? depthPracticeId}
        />
      )}
    </FormDialog>
  );
}

/** The places in a bag where nothing stands. */
function freeStations({ container, occupants }: Bag) {
  const taken = new Set(occupants.map((o) => o.stationId));
  const stationIds = container.stations.filter(({ id }) => !taken.has(id)).map(({ id }) => id);
  return { containerId: container.id, label: container.label, stationIds };
}
