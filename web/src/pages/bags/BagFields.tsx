import { Box, ToggleButton, ToggleButtonGroup, Typography } from '@mui/material';
import { containerKind } from '@rundel/core/bags';
import { needsFirmMix, supportOf } from '@rundel/core/plants';
import type { Container } from '@rundel/core/records';
import { FormField, FormFields, type FieldsForm } from '../../ui/form/index.ts';
import { KindPicker } from '../../ui/KindPicker.tsx';
import { dimensionName, STORE_FIELDS, type BagFields as Fields } from './bag-form.ts';

const two = { display: 'grid', gridTemplateColumns: { xs: '1fr', sm: '1fr 1fr' }, gap: 2 } as const;
const bold = { fontWeight: 'fontWeightMedium', marginBlockEnd: 0.75 } as const;

/** The fields of a bag: kind, size, mix, place, support. */
export function BagFields({ form }: { readonly form: FieldsForm<Fields> }) {
  const { kindId, sizeBy, supportKind } = form.texts;
  const kind = containerKind(kindId);
  const chooseKind = (id: string) => {
    const next = containerKind(id);
    form.set('kindId', id);
    form.set('stations', String(next.stations.usual));
    if (!next.hasTradeClass && sizeBy === 'class') form.set('sizeBy', 'label');
    const support = supportOf(supportKind as Container['support']['kind']);
    if (!next.holdsCane && needsFirmMix(support)) form.set('supportKind', 'none');
  };
  return (
    <Box sx={{ display: 'grid', gap: 2.5 }}>
      <KindPicker value={kindId} onChange={chooseKind} />
      <Box>
        <Typography id="size-by" sx={bold}>
          {form.fields.sizeBy.label}
        </Typography>
        <ToggleButtonGroup
          exclusive
          value={sizeBy}
          onChange={(_, next: string | null) => next && form.set('sizeBy', next)}
          aria-labelledby="size-by"
          sx={{ marginBlockEnd: 2, flexWrap: 'wrap' }}
        >
          {form.fields.sizeBy.options.map(({ id, label }) => (
            <ToggleButton key={id} value={id}>
              {label}
            </ToggleButton>
          ))}
        </ToggleButtonGroup>
        <FormFields form={form} names={['labelLitres', 'tradeClass']} />
        {sizeBy === 'measured' && (
          <Box sx={{ display: 'grid', gridTemplateColumns: { xs: '1fr', sm: 'repeat(3, 1fr)' }, gap: 1.5 }}>
            <FormFields
              form={form}
              names={[...kind.dimensions.map(({ key }) => dimensionName(key)), 'soldAs']}
            />
          </Box>
        )}
      </Box>
      <Box sx={two}>
        <FormField form={form} name="label" />
        {kind.stations.most > 1 && <FormField form={form} name="stations" />}
        <FormFields form={form} names={['placeId', 'newPlaceName', 'newPlaceCover', 'mixId']} />
      </Box>
      <Box sx={two}>
        <FormFields
          form={form}
          names={['supportKind', 'supportHeight', 'lowerMixId', 'lowerShare', 'mulch', 'hole', 'price']}
        />
      </Box>
      <Box sx={two}>
        <FormFields form={form} names={['companions', 'companionsUntil']} />
      </Box>
      <Box role="group" aria-labelledby="water-beside">
        <Typography id="water-beside" sx={bold}>
          Reservoirs and saucers
        </Typography>
        <Box sx={two}>
          <FormFields form={form} names={Object.keys(STORE_FIELDS) as (keyof typeof STORE_FIELDS)[]} />
        </Box>
      </Box>
    </Box>
  );
}
