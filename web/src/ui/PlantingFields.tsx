import { Box } from '@mui/material';
import { habitOf, varietiesIn } from '@rundel/core/plants';
import { useGarden } from '../store/index.ts';
import { practiceWords } from './choices.tsx';
import { FormField, FormFields, type FieldsForm } from './form/index.ts';
import { Folded } from './Folded.tsx';
import { habitIdOf, type PlantingFields as Fields } from './planting-form.ts';

const WIDE = { gridColumn: { xs: '1 / -1', sm: 'auto' } } as const;

const two = {
  display: 'grid',
  gridTemplateColumns: 'repeat(2, minmax(0, 1fr))',
  gap: { xs: 1.5, sm: 2 },
} as const;

/** What is rarely known of a seedling, in one line. */
function restWords({
  ball,
  graft,
  leaves,
}: {
  readonly ball: string;
  readonly graft: string;
  readonly leaves: string;
}): string {
  return [
    ball === '' ? 'A usual root ball' : `Root ball ${ball}`,
    graft === '' ? 'not grafted' : `graft at ${graft}`,
    leaves === '' ? 'leaves where they usually are' : `leaves at ${leaves}`,
  ].join(', ');
}

const REST = ['ball', 'graft', 'leaves'] as const;

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
  const { cropId, varietyName, practiceId, isSown } = form.texts;
  const known = varietiesIn(garden.varieties).filter((v) => v.cropId === cropId && v.name !== varietyName);
  const habitId = habitIdOf(form.texts);
  return (
    <Box sx={{ display: 'grid', gap: 2 }}>
      <Box sx={two}>
        <FormField form={form} name="cropId" />
        <FormField form={form} name="habitId" value={habitId} help={habitOf(cropId, habitId).description} />
        {hasNames && (
          <>
            <FormField
              form={form}
              name="varietyName"
              list="known-varieties"
              onTyped={(name) => {
                const variety = known.find((v) => v.name === name.trim());
                // a variety that is known grows as it grows
                if (variety) form.set('habitId', variety.habitId);
              }}
            />
            <datalist id="known-varieties">
              {known.map((variety) => (
                <option key={variety.name} value={variety.name} />
              ))}
            </datalist>
            <FormField form={form} name="plantName" />
          </>
        )}
      </Box>
      <Box sx={two}>
        <Box sx={WIDE}>
          <FormField form={form} name="isSown" />
        </Box>
        {hasDay && (
          <Box sx={WIDE}>
            <FormField
              form={form}
              name="plantedOn"
              label={isSown === 'seed' ? 'Sown here on' : 'Planted on'}
            />
          </Box>
        )}
        <FormFields form={form} names={['stem', 'seeds']} />
        {hasNames && form.isAsked('sownOn') && (
          <Box sx={WIDE}>
            <FormField form={form} name="sownOn" />
          </Box>
        )}
        {form.isAsked('practiceId') && (
          <FormField form={form} name="practiceId" help={practiceWords(practiceId)} />
        )}
      </Box>
      {isSown !== 'seed' && (
        <Folded summary={restWords(form.texts)} hasProblem={form.hasProblem(REST)}>
          <Box sx={two}>
            <FormFields form={form} names={REST} />
          </Box>
        </Folded>
      )}
    </Box>
  );
}
