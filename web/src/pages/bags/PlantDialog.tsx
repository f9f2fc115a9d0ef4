import { zodResolver } from '@hookform/resolvers/zod';
import { Box } from '@mui/material';
import { dayOf } from '@rundel/core/calendar';
import { plansFor } from '@rundel/core/garden-state';
import { cropOf, habitOf } from '@rundel/core/plants';
import { useMemo } from 'react';
import { FormProvider, useForm, useWatch } from 'react-hook-form';
import type * as z from '@rundel/core/schema';
import { FormDialog } from '../../ui/EntryDialogs.tsx';
import { PlantingAdvice } from '../../ui/PlantingAdvice.tsx';
import { useGarden, type Bag } from '../../store/index.ts';
import { PlantingFields } from '../../ui/PlantingFields.tsx';
import {
  emptyPlantingForm,
  formOfPlan,
  plantingChanges,
  plantingFormSchema,
  type PlantingFormValues,
} from '../../ui/planting-form.ts';

/** Plants the free stations of a bag. */
export function PlantDialog({ bag, onClose }: { readonly bag: Bag; onClose(): void }) {
  const { garden, clock, saveRecords } = useGarden();
  const { units, depthPracticeId } = garden.settings;
  const today = dayOf(clock.now());
  const plan = plansFor(bag.container, garden)[0];
  const schema = useMemo(() => plantingFormSchema(units, today), [today, units]);
  const form = useForm<PlantingFormValues, unknown, z.output<typeof schema>>({
    resolver: zodResolver(schema),
    defaultValues: plan
      ? formOfPlan(plan, emptyPlantingForm(today, depthPracticeId), units)
      : emptyPlantingForm(today, depthPracticeId),
    mode: 'onTouched',
  });
  const values = useWatch({ control: form.control }) as PlantingFormValues;
  const planting = values.stem.trim() === '' ? undefined : schema.safeParse(values).data;
  const taken = new Set(bag.occupants.map((o) => o.stationId));
  const free = bag.container.stations.filter((s) => !taken.has(s.id)).map((s) => s.id);
  const save = form.handleSubmit(async (result) => {
    if (result.plantedOn === undefined)
      return form.setError('plantedOn', { message: 'On which day did it go in?' });
    const { changes, drafts } = plantingChanges(
      result,
      [{ containerId: bag.container.id, stationIds: free }],
      garden.varieties,
      clock.now(),
    );
    await saveRecords(changes, drafts, `planting in ${bag.container.label}`);
    onClose();
    return undefined;
  });
  return (
    <FormDialog
      title={`Plant bag ${bag.container.label}`}
      isOpen
      onClose={onClose}
      onSubmit={save}
      submitLabel="It is planted"
    >
      <FormProvider {...form}>
        <PlantingFields isDayOptional={false} />
        {planting && (
          <Box>
            <PlantingAdvice
              seedling={planting.seedling}
              crop={cropOf(planting.cropId)}
              habit={habitOf(planting.cropId, planting.habitId)}
              properties={bag.properties}
              stations={bag.container.stations.length}
              practiceId={planting.practiceId ?? depthPracticeId}
            />
          </Box>
        )}
      </FormProvider>
    </FormDialog>
  );
}
