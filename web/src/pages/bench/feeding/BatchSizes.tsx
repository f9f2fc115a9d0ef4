import { Box, Button, Typography } from '@mui/material';
import { useState } from 'react';
import { amountField, FormField, switchField, useFields } from '../../../ui/form/index.ts';
import { useGarden, useUnitFormat } from '../../../store/index.ts';

const FIELDS = {
  vessel: amountField({
    label: 'Made up in',
    help: 'A can, a bucket, a drum: what it holds. Empty: your can.',
    purpose: 'water',
    low: 0.2,
    high: 5000,
    isOptional: true,
    inMeasures: true,
  }),
  isMadeFull: switchField({ label: 'Each made up full' }),
  each: amountField({
    label: 'Each bag gets',
    help: 'Empty: as much as each takes now.',
    purpose: 'water',
    low: 0.05,
    high: 200,
    isOptional: true,
    inMeasures: true,
  }),
};

export const useBatchSizes = () => useFields(FIELDS, { isLive: true });

/** What the batch is made up in, and how much of it each bag gets: in one line, until that is not as usual. */
export function BatchSizes({
  form,
  usualLitres,
}: {
  readonly form: ReturnType<typeof useBatchSizes>;
  readonly usualLitres: number;
}) {
  const { garden } = useGarden();
  const unitFormat = useUnitFormat();
  const [isOpen, setOpen] = useState(false);
  const tanks = garden.tanks.filter((tank) => !tank.binnedAt);
  if (!isOpen)
    return (
      <Typography sx={{ marginBlockEnd: 1.5 }}>
        Made up in cans of {unitFormat.show(usualLitres, 'water')}, as much as each bag takes now.
        <Button
          onClick={() => setOpen(true)}
          sx={{ textDecoration: 'underline', paddingInline: 0.5, minWidth: 0 }}
        >
          another can or other litres
        </Button>
      </Typography>
    );
  return (
    <Box
      sx={{
        display: 'grid',
        columnGap: 2,
        rowGap: 1,
        alignItems: 'start',
        gridTemplateColumns: { xs: '1fr', sm: '1fr auto 1fr' },
        marginBlockEnd: 1.5,
      }}
    >
      <Box>
        <FormField form={form} name="vessel" />
        {tanks.map((tank) => (
          <Button
            key={tank.id}
            size="small"
            onClick={() => {
              form.set('vessel', unitFormat.show(tank.litres, 'water'));
              form.set('isMadeFull', FIELDS.isMadeFull.write(true, form.context));
            }}
          >
            {tank.name}, {unitFormat.show(tank.litres, 'water')}
          </Button>
        ))}
      </Box>
      <FormField form={form} name="isMadeFull" />
      <FormField form={form} name="each" />
    </Box>
  );
}
