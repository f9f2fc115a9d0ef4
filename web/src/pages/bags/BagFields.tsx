import { Box, MenuItem, TextField, ToggleButton, ToggleButtonGroup, Typography } from '@mui/material';
import { containerKind, TRADE_CLASSES, tradeClassLitres } from '@rundel/core/bags';
import { TRADE_CLASS_NAMES, COMPANION_SIZES } from '@rundel/core/records';
import { needsFirmMix, supportOf } from '@rundel/core/plants';
import { findMix } from '@rundel/core/mixes';
import { Controller, useFormContext, useWatch } from 'react-hook-form';
import { AmountField } from '../../ui/AmountField.tsx';
import { COVER_CHOICES, mixChoices, supportChoices } from '../../ui/choices.tsx';
import { KindPicker } from '../../ui/KindPicker.tsx';
import { DayField } from '../../ui/DayField.tsx';
import { placesInUse, useGarden, useMoney, useUnitFormat } from '../../store/index.ts';
import { NEW_PLACE, type BagFormValues } from './bag-form.ts';
import { STORE_FIELDS } from './store-fields.ts';

/** What stands beside the crop, by what it is like. */
const COMPANION_WORDS = {
  none: 'None',
  small: 'Small: a clump of herbs',
  middling: 'Middling: a bushy flower or two',
  large: 'Large: a rim of salad, or a trailing flower',
} as const;

const two = { display: 'grid', gridTemplateColumns: { xs: '1fr', sm: '1fr 1fr' }, gap: 2 } as const;

/** The fields of a bag: kind, size, mix, place, support. Inside a form of BagFormValues. */
export function BagFields() {
  const { garden } = useGarden();
  const unitFormat = useUnitFormat();
  const money = useMoney();
  const { register, control, setValue, formState } = useFormContext<BagFormValues>();
  const { errors } = formState;
  const [kindId, sizeBy, placeId, supportKind, lowerMixId, companions] = useWatch({
    control,
    name: ['kindId', 'sizeBy', 'placeId', 'supportKind', 'lowerMixId', 'companions'],
  });
  const kind = containerKind(kindId);
  const chooseKind = (id: string) => {
    const next = containerKind(id);
    setValue('kindId', id);
    setValue('stations', next.stations.usual);
    if (!next.hasTradeClass && sizeBy === 'class') setValue('sizeBy', 'label');
    if (!next.holdsCane && needsFirmMix(supportOf(supportKind))) setValue('supportKind', 'none');
  };
  return (
    <Box sx={{ display: 'grid', gap: 2.5 }}>
      <KindPicker value={kindId} onChange={chooseKind} />
      <Box>
        <Typography id="size-by" sx={{ fontWeight: 'fontWeightMedium', marginBlockEnd: 0.75 }}>
          How big is it?
        </Typography>
        <Controller
          name="sizeBy"
          control={control}
          render={({ field }) => (
            <ToggleButtonGroup
              exclusive
              value={field.value}
              onChange={(_, next: unknown) => next && field.onChange(next)}
              aria-labelledby="size-by"
              sx={{ marginBlockEnd: 2, flexWrap: 'wrap' }}
            >
              <ToggleButton value="label">Its label says</ToggleButton>
              {kind.hasTradeClass && <ToggleButton value="class">Trade class</ToggleButton>}
              <ToggleButton value="measured">I have measured it</ToggleButton>
            </ToggleButtonGroup>
          )}
        />
        {sizeBy === 'label' && (
          <AmountField
            purpose="bag"
            label="Size on the label"
            {...register('labelLitres')}
            error={errors.labelLitres !== undefined}
            helperText={errors.labelLitres?.message ?? 'As "38", "10 gal", "1.5 cu ft" or "4 cans".'}
          />
        )}
        {sizeBy === 'class' && (
          <Controller
            name="tradeClass"
            control={control}
            render={({ field }) => (
              <TextField
                select
                fullWidth
                label="Trade class"
                {...field}
                helperText="What it is sold as; what it holds is a range."
              >
                {TRADE_CLASS_NAMES.map((name) => (
                  <MenuItem key={name} value={name}>
                    {name}: {unitFormat.range(tradeClassLitres(name).low, tradeClassLitres(name).high, 'bag')}{' '}
                    ({TRADE_CLASSES[name].lowCubicInches}–{TRADE_CLASSES[name].highCubicInches} in³)
                  </MenuItem>
                ))}
              </TextField>
            )}
          />
        )}
        {sizeBy === 'measured' && (
          <Box sx={{ display: 'grid', gridTemplateColumns: { xs: '1fr', sm: 'repeat(3, 1fr)' }, gap: 1.5 }}>
            {kind.dimensions.map(({ key, label }) => (
              <AmountField
                key={key}
                purpose="size"
                label={label}
                {...register(`dimensions.${key}`)}
                error={errors.dimensions?.[key] !== undefined}
                helperText={errors.dimensions?.[key]?.message}
              />
            ))}
            {kind.hasTradeClass && (
              <Controller
                name="soldAs"
                control={control}
                render={({ field }) => (
                  <TextField select label="Sold as" {...field}>
                    <MenuItem value="">I do not know</MenuItem>
                    {TRADE_CLASS_NAMES.map((name) => (
                      <MenuItem key={name} value={name}>
                        {name}
                      </MenuItem>
                    ))}
                  </TextField>
                )}
              />
            )}
          </Box>
        )}
      </Box>
      <Box sx={two}>
        <TextField
          label="Its number or name"
          {...register('label')}
          error={errors.label !== undefined}
          helperText={errors.label?.message ?? 'What you call it on the walk.'}
        />
        {kind.stations.most > 1 && (
          <TextField
            label="Plants side by side"
            type="number"
            {...register('stations')}
            error={errors.stations !== undefined}
            helperText={
              errors.stations?.message ?? (kind.isClosed ? 'Three, or two for bigger plants.' : undefined)
            }
            slotProps={{ htmlInput: { min: 1, max: kind.stations.most } }}
          />
        )}
      </Box>
      <Box sx={two}>
        <Controller
          name="placeId"
          control={control}
          render={({ field }) => (
            <TextField select label="Where it stands" {...field}>
              {placesInUse(garden).map((place) => (
                <MenuItem key={place.id} value={place.id}>
                  {place.name}
                </MenuItem>
              ))}
              <MenuItem value={NEW_PLACE}>A new place…</MenuItem>
            </TextField>
          )}
        />
        <Controller
          name="mixId"
          control={control}
          render={({ field }) => (
            <TextField
              select
              label="Mix"
              {...field}
              helperText={findMix(field.value, garden.mixes)?.description}
            >
              {mixChoices(garden.mixes)}
            </TextField>
          )}
        />
      </Box>
      {placeId === NEW_PLACE && (
        <Box sx={two}>
          <TextField
            label="Name of the new place"
            {...register('newPlaceName')}
            error={errors.newPlaceName !== undefined}
            helperText={errors.newPlaceName?.message}
          />
          <Controller
            name="newPlaceCover"
            control={control}
            render={({ field }) => (
              <TextField select label="Roof" {...field}>
                {COVER_CHOICES}
              </TextField>
            )}
          />
        </Box>
      )}
      <Box sx={two}>
        <Controller
          name="supportKind"
          control={control}
          render={({ field }) => (
            <TextField
              select
              label="Support"
              {...field}
              helperText={kind.holdsCane ? undefined : 'A bag lying flat cannot hold a cane by itself.'}
            >
              {supportChoices(kind.holdsCane)}
            </TextField>
          )}
        />
        {supportKind !== 'none' && (
          <AmountField
            purpose="height"
            label="Its top, from the ground"
            {...register('supportHeight')}
            error={errors.supportHeight !== undefined}
            helperText={errors.supportHeight?.message ?? 'Put caps on canes at eye height.'}
          />
        )}
        <Controller
          name="lowerMixId"
          control={control}
          render={({ field }) => (
            <TextField select label="Another mix below" {...field}>
              <MenuItem value="">None: one mix throughout</MenuItem>
              {mixChoices(garden.mixes)}
            </TextField>
          )}
        />
        {lowerMixId !== '' && (
          <TextField
            label="Share of the lower mix, %"
            {...register('lowerShare')}
            error={errors.lowerShare !== undefined}
            helperText={errors.lowerShare?.message ?? 'Loam below and compost on top, say half and half.'}
            slotProps={{ htmlInput: { inputMode: 'decimal' } }}
          />
        )}
        <AmountField
          purpose="depth"
          label="Mulch on top"
          {...register('mulch')}
          error={errors.mulch !== undefined}
          helperText={errors.mulch?.message ?? 'Empty for none; keep it off the stem.'}
        />
        {kind.drainage.canBeRaised && (
          <AmountField
            purpose="depth"
            label="Holes above the base"
            {...register('hole')}
            error={errors.hole !== undefined}
            helperText={errors.hole?.message ?? 'Empty: at the base. Higher keeps a wet reserve.'}
          />
        )}
        <TextField
          label={`What the empty one cost, ${money.sign}`}
          {...register('price')}
          error={errors.price !== undefined}
          helperText={errors.price?.message ?? 'Spread over the seasons that it lasts.'}
          slotProps={{ htmlInput: { inputMode: 'decimal' } }}
        />
      </Box>
      <Box sx={two}>
        <Controller
          name="companions"
          control={control}
          render={({ field }) => (
            <TextField
              select
              label="Plants beside the crop"
              {...field}
              helperText="Companion flowers, herbs, passing salad: they drink and feed too."
            >
              {COMPANION_SIZES.map((size) => (
                <MenuItem key={size} value={size}>
                  {COMPANION_WORDS[size]}
                </MenuItem>
              ))}
            </TextField>
          )}
        />
        {companions !== 'none' && (
          <Controller
            name="companionsUntil"
            control={control}
            render={({ field }) => (
              <DayField
                label="Remove by"
                value={field.value}
                onChange={field.onChange}
                help="Empty: as long as the crop."
                problem={errors.companionsUntil?.message}
              />
            )}
          />
        )}
      </Box>
      <Box role="group" aria-labelledby="water-beside">
        <Typography id="water-beside" sx={{ fontWeight: 'fontWeightMedium', marginBlockEnd: 0.75 }}>
          Reservoirs and saucers
        </Typography>
        <Box sx={{ display: 'grid', gridTemplateColumns: { xs: '1fr', sm: 'repeat(2, 1fr)' }, gap: 2 }}>
          {STORE_FIELDS.map(({ key, label, help }) => (
            <AmountField
              key={key}
              purpose="water"
              label={label}
              {...register(key)}
              error={errors[key] !== undefined}
              helperText={errors[key]?.message ?? help}
            />
          ))}
        </Box>
      </Box>
    </Box>
  );
}
