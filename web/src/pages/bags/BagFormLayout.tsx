import { Box } from '@mui/material';
import type { ReactNode } from 'react';

/** A bag's form: fields, the drawing of what they amount to beside them (before the buttons on a phone), buttons. */
export function BagFormLayout({
  fields,
  preview,
  buttons,
  onSubmit,
}: {
  readonly fields: ReactNode;
  readonly preview: ReactNode;
  readonly buttons: ReactNode;
  onSubmit(): void;
}) {
  return (
    <Box
      component="form"
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        onSubmit();
      }}
      sx={{
        display: 'grid',
        columnGap: 3,
        rowGap: 2,
        alignItems: 'start',
        gridTemplateColumns: { xs: 'minmax(0, 1fr)', lg: 'minmax(0, 1fr) 440px' },
        gridTemplateAreas: { xs: '"fields" "preview" "buttons"', lg: '"fields preview" "buttons preview"' },
        gridTemplateRows: { lg: 'auto 1fr' },
      }}
    >
      <Box sx={{ gridArea: 'fields' }}>{fields}</Box>
      <Box sx={{ gridArea: 'preview', position: { lg: 'sticky' }, top: 16 }}>{preview}</Box>
      <Box sx={{ gridArea: 'buttons', display: 'flex', gap: 1, alignItems: 'center', flexWrap: 'wrap' }}>
        {buttons}
      </Box>
    </Box>
  );
}
