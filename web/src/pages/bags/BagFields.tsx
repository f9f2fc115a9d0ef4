import { Box, Button, ToggleButton, ToggleButtonGroup, Typography } from '@mui/material';
import { containerKind } from '@rundel/core/bags';
import { needsFirmMix, supportOf } from '@rundel/core/plants';
import type { Container } from '@rundel/core/records';
import { FormFields, type FieldsForm } from '../../ui/form/index.ts';
import { KindPicker } from '../../ui/KindPicker.tsx';
import { dimensionName, type BagFields as Fields } from './bag-form.ts';
import { usualLitres } from './usual-litres.ts';

/** The first two questions of a bag: which one, and how big. All else is said where it is seen. */
export function BagFields({ form }: { readonly form: FieldsForm<Fields> }) {
  const { kindId, sizeBy, supportKind } = form.texts;
  const kind = containerKind(kindId);
  const { unitFormat } = form.context;
  const chooseKind = (id: string) => {
    const next = containerKind(id);
    form.set('kindId', id);
    form.set('stations', String(next.stations.usual));
    if (!next.hasTradeClass && sizeBy === 'class') form.set('sizeBy', 'label');
    const support = supportOf(supportKind as Container['support']['kind']);
    if (!next.holdsCane && needsFirmMix(support)) form.set('supportKind', 'none');
  };
  return (
    <Box sx={{ display: 'grid', gap: 1.5 }}>
      <KindPicker value={kindId} onChange={chooseKind} />
      <Box>
        <Typography id="size-by" sx={{ fontWeight: 'fontWeightMedium', marginBlockEnd: 0.75 }}>
          {form.fields.sizeBy.label}
        </Typography>
        <ToggleButtonGroup
          exclusive
          value={sizeBy}
          onChange={(_, next: string | null) => next && form.set('sizeBy', next)}
          aria-labelledby="size-by"
          sx={{ marginBlockEnd: 1.5, width: { xs: '100%', sm: 'auto' } }}
        >
          {form.fields.sizeBy.options.map(({ id, label }) => (
            <ToggleButton
              key={id}
              value={id}
              // three side by side on a phone, in two lines where they must
              sx={{
                flex: { xs: 1, sm: 'none' },
                lineHeight: 1.15,
                paddingInline: { xs: 0.75, sm: 1.75 },
                fontSize: { xs: '0.85rem', sm: '1rem' },
              }}
            >
              {label}
            </ToggleButton>
          ))}
        </ToggleButtonGroup>
        {sizeBy === 'label' && (
          <Box role="group" aria-label="Usual sizes" sx={{ display: 'flex', gap: 1, marginBlockEnd: 1.5 }}>
            {usualLitres(kindId, unitFormat.system).map((litres) => {
              const words = unitFormat.show(litres, 'bag');
              return (
                <Button
                  key={litres}
                  variant="outlined"
                  aria-pressed={form.texts.labelLitres === words}
                  onClick={() => form.set('labelLitres', words)}
                  sx={{ '&[aria-pressed="true"]': { borderColor: 'var(--action)', borderWidth: 2 } }}
                >
                  {words}
                </Button>
              );
            })}
          </Box>
        )}
        <Box sx={{ display: 'grid', gap: 1.5 }}>
          <FormFields form={form} names={['labelLitres', 'reservoirLitres', 'tradeClass']} />
        </Box>
        {sizeBy === 'measured' && (
          <Box
            sx={{ display: 'grid', gridTemplateColumns: { xs: '1fr 1fr', sm: 'repeat(3, 1fr)' }, gap: 1.5 }}
          >
            <FormFields
              form={form}
              names={[...kind.dimensions.map(({ key }) => dimensionName(key)), 'soldAs']}
            />
          </Box>
        )}
      </Box>
    </Box>
  );
}
