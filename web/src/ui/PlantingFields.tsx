import { Box } from '@mui/material';
import { habitOf } from '@rundel/core/plants';
import { useGarden } from '../store/index.ts';
import { practiceWords } from './choices.tsx';
import { FormField, FormFields, type FieldsForm } from './form/index.ts';
import { habitIdOf, type PlantingFields as Fields } from './planting-form.ts';

const two = { display: 'grid', gridTemplateColumns: { xs: '1fr', sm: '1fr 1fr' }, gap: 2 } as const;

/** The fields of a planting: crop, habit, names, day, and the seedling as measured. */
export function PlantingFields({
  form,
  hasDay = true,
  hasNames = true,
}: {
  readonly form: FieldsForm<Fields>;
  /** whether the day of planting is asked for */
  readonly hasDay?: boolean;
  readonly hasNames?: boolean;
}) {
  const { garden } = useGarden();
  const { cropId, varietyName, practiceId } = form.texts;
  const known = garden.varieties.filter((v) => !v.binnedAt && v.cropId === cropId && v.name !== varietyName);
  const habitId = habitIdOf(form.texts);
  return (
    <Box sx={{ display: 'grid', gap: 2 }}>
      <Box sx={two}>
        <FormField form={form} name="cropId" />
        <FormField form={form} name="habitId" value={habitId} help={habitOf(cropId, habitId).description} />
        {hasNames && (
          <>
            <FormField form={form} name="varietyName" list="known-varieties" />
            <datalist id="known-varieties">
              {known.map((variety) => (
                <option key={variety.id} value={variety.name} />
              ))}
            </datalist>
            <FormField form={form} name="plantName" />
          </>
        )}
      </Box>
      <Box sx={two}>
        {hasDay && <FormField form={form} name="plantedOn" />}
        <FormFields form={form} names={['stem', 'ball', 'graft', 'leaves']} />
        {form.isAsked('practiceId') && (
          <FormField form={form} name="practiceId" help={practiceWords(practiceId)} />
        )}
      </Box>
    </Box>
  );
}
