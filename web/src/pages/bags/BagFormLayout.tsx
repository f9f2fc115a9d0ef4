import { Box } from '@mui/material';
import type { ReactNode } from 'react';
import { useOnce } from '../../ui/once.ts';

/**
 * A bag's form: the first questions, the drawing of what they come to, the parts that can be said more of, and the buttons,
 * which stay in sight.
 */
export function BagFormLayout({
  fields,
  preview,
  parts,
  buttons,
  onSubmit,
}: {
  readonly fields: ReactNode;
  readonly preview: ReactNode;
  readonly parts: ReactNode;
  readonly buttons: ReactNode;
  onSubmit(): unknown;
}) {
  const once = useOnce(onSubmit);
  return (
    <Box
      component="form"
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        once();
      }}
      sx={{
        display: 'grid',
        columnGap: 3,
        rowGap: 2,
        alignItems: 'start',
        gridTemplateColumns: { xs: 'minmax(0, 1fr)', lg: 'minmax(0, 1fr) 440px' },
        gridTemplateAreas: {
          xs: '"fields" "preview" "parts" "buttons"',
          lg: '"fields preview" "parts preview" "buttons preview"',
        },
        gridTemplateRows: { lg: 'auto auto 1fr' },
      }}
    >
      <Box sx={{ gridArea: 'fields' }}>{fields}</Box>
      <Box sx={{ gridArea: 'preview', position: { lg: 'sticky' }, top: 16 }}>{preview}</Box>
      <Box sx={{ gridArea: 'parts' }}>{parts}</Box>
      <Box
        sx={{
          gridArea: 'buttons',
          display: 'flex',
          gap: 1,
          alignItems: 'center',
          flexWrap: 'wrap',
          position: 'sticky',
          bottom: 'calc(61px + env(safe-area-inset-bottom))',
          zIndex: 3,
          paddingBlock: 1,
          backgroundColor: 'var(--ground)',
          alignSelf: 'start',
        }}
      >
        {buttons}
      </Box>
    </Box>
  );
}
