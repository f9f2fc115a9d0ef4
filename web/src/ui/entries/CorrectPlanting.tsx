import { dayOf } from '@rundel/core/calendar';
import type { EntryOf } from '@rundel/core/records';
import { useGarden, useUnitFormat } from '../../store/index.ts';
import { FormDialog, FormFields, useAsBegun, useFields, type FieldsForm } from '../form/index.ts';
import type { PlantingFields as FieldsOfPlanting } from '../planting-form.ts';
import { PlantingFields } from '../PlantingFields.tsx';
import { draftOf } from './entry-form.ts';
import { useHome } from './Home.tsx';
import {
  correctedPlantingFields,
  correctedPlantingStart,
  plantingCorrection,
} from './planting-correction.ts';

/** Corrects a planting in all that it says: what it was, its name, when and how it went in, into which bag. */
export function CorrectPlanting({ entry, onClose }: { readonly entry: EntryOf<'planted'>; onClose(): void }) {
  const { garden, clock, saveRecords } = useGarden();
  const unitFormat = useUnitFormat();
  const plants = useAsBegun(garden.plants);
  const today = dayOf(clock.now());
  const home = useHome(entry);
  const form = useFields(
    (texts) => correctedPlantingFields(texts, unitFormat, today),
    correctedPlantingStart(entry, garden),
  );
  const save = form.submit(async () => {
    const right = plantingCorrection(entry, form, { ...garden, plants }, clock.now());
    if (!right || home.problem) return;
    await saveRecords(right.changes, [draftOf(right.draft, home.facts)], 'planting corrected');
    onClose();
  });
  return (
    <FormDialog
      title="Correct this planting"
      keepAs={`correct ${entry.id}`}
      onClose={onClose}
      onSubmit={save}
      submitLabel="Correct it"
    >
      <PlantingFields form={form as unknown as FieldsForm<FieldsOfPlanting>} />
      <FormFields form={form} names={['methodId', 'buried']} />
      {home.field}
    </FormDialog>
  );
}
