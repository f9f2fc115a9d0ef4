import { Box, MenuItem, TextField } from '@mui/material';
import { cropOf } from '@rundel/core/plants';
import { dayOf } from '@rundel/core/calendar';
import { Controller, useFormContext, useWatch } from 'react-hook-form';
import { AmountField } from './AmountField.tsx';
import { CROP_CHOICES, PRACTICE_CHOICES, practiceWords } from './choices.tsx';
import { DayField } from './DayField.tsx';
import { useGarden, useUnitFormat } from '../store/index.ts';
import type { PlantingFormValues } from './planting-form.ts';

const two = { display: 'grid', gridTemplateColumns: { xs: '1fr', sm: '1fr 1fr' }, gap: 2 } as const;

/** The fields of a planting: crop, habit, day, and the seedling as measured. Inside a form of PlantingFormValues. */
export function PlantingFields({
  isDayOptional = false,
  hasDay = true,
  hasNames = true,
}: {
  readonly isDayOptional?: boolean;
  /** whether the day of planting is asked for */
  readonly hasDay?: boolean;
  readonly hasNames?: boolean;
}) {
  const { garden, clock } = useGarden();
  const unitFormat = useUnitFormat();
  const { register, control, setValue, formState } = useFormContext<PlantingFormValues>();
  const { errors } = formState;
  const [cropId, varietyName] = useWatch({ control, name: ['cropId', 'varietyName'] });
  const crop = cropOf(cropId);
  const known = garden.varieties.filter((v) => !v.binnedAt && v.cropId === cropId);
  const chooseCrop = (id: string) => {
    setValue('cropId', id);
    setValue('habitId', cropOf(id).habits[0]?.id ?? '');
  };
  return (
    <Box sx={{ display: 'grid', gap: 2 }}>
      <Box sx={two}>
        <Controller
          name="cropId"
          control={control}
          render={({ field }) => (
            <TextField select label="Crop" {...field} onChange={(e) => chooseCrop(e.target.value)}>
              {CROP_CHOICES}
            </TextField>
          )}
        />
        <Controller
          name="habitId"
          control={control}
          render={({ field }) => (
            <TextField
              select
              label="Habit"
              {...field}
              helperText={crop.habits.find((h) => h.id === field.value)?.description}
            >
              {crop.habits.map((habit) => (
                <MenuItem key={habit.id} value={habit.id}>
                  {habit.name}
                </MenuItem>
              ))}
            </TextField>
          )}
        />
        {hasNames && (
          <>
            <TextField
              label="Variety"
              {...register('varietyName')}
              helperText={`Empty: just "${crop.name}".`}
              slotProps={{ htmlInput: { list: 'known-varieties', maxLength: 60 } }}
            />
            <datalist id="known-varieties">
              {known
                .filter((v) => v.name !== varietyName)
                .map((variety) => (
                  <option key={variety.id} value={variety.name} />
                ))}
            </datalist>
            <TextField
              label="A name of its own"
              {...register('plantName')}
              helperText="If you like."
              slotProps={{ htmlInput: { maxLength: 60 } }}
            />
          </>
        )}
      </Box>
      <Box sx={two}>
        {hasDay && (
          <Controller
            name="plantedOn"
            control={control}
            render={({ field }) => (
              <DayField
                label="Planted on"
                value={field.value}
                onChange={field.onChange}
                latest={dayOf(clock.now())}
                problem={errors.plantedOn?.message}
                help={isDayOptional ? 'Empty: not yet; the advice shows all the same.' : ''}
              />
            )}
          />
        )}
        <AmountField
          purpose="height"
          label="Height of the plant"
          {...register('stem')}
          error={errors.stem !== undefined}
          helperText={errors.stem?.message ?? 'From the top of its root ball to its tip.'}
        />
        <AmountField
          purpose="depth"
          label="Height of the root ball"
          {...register('ball')}
          error={errors.ball !== undefined}
          helperText={
            errors.ball?.message ??
            `Empty: ${unitFormat.show(crop.ball.heightMillimetres, 'depth')}, as from a usual pot.`
          }
        />
        {crop.depth === 'stem-roots' && (
          <>
            <AmountField
              purpose="depth"
              label="Graft above the ball"
              {...register('graft')}
              error={errors.graft !== undefined}
              helperText={errors.graft?.message ?? 'Empty: not grafted.'}
            />
            <AmountField
              purpose="depth"
              label="Heights of the leaves"
              {...register('leaves')}
              error={errors.leaves !== undefined}
              helperText={errors.leaves?.message ?? 'As "6 11 16", from below; empty: I guess.'}
              slotProps={{ htmlInput: { inputMode: 'text' } }}
            />
            <Controller
              name="practiceId"
              control={control}
              render={({ field }) => (
                <TextField select label="How deep" {...field} helperText={practiceWords(field.value)}>
                  {PRACTICE_CHOICES}
                </TextField>
              )}
            />
          </>
        )}
      </Box>
    </Box>
  );
}
