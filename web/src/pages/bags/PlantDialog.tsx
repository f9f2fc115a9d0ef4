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

/** Plants the free stations of a bag. */
export function PlantDialog({ bag, onClose }: { readonly bag: Bag; onClose(): void }) {
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
  const taken = new Set(bag.occupants.map((o) => o.stationId));
  const stationIds = bag.container.stations.filter((s) => !taken.has(s.id)).map((s) => s.id);
  const save = form.submit(async () => {
    if (!planting) return;
    const { changes, drafts } = plantingChanges(
      planting,
      [{ containerId: bag.container.id, stationIds }],
      garden.varieties,
      clock.now(),
    );
    await saveRecords(changes, drafts, `planting in ${bag.container.label}`);
    onClose();
  });
  return (
    <FormDialog
      title={`Plant bag ${bag.container.label}`}
      onClose={onClose}
      onSubmit={save}
      submitLabel="It is planted"
    >
      <PlantingFields form={form} />
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
