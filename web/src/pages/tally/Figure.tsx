import { Box } from '@mui/material';
import type { ReactNode } from 'react';

/** The number that a topic opens on; what it is the number of follows in the same line. */
export function Figure({ children, testId }: { readonly children: ReactNode; readonly testId?: string }) {
  return (
    <>
      <Box
        component="span"
        data-testid={testId}
        sx={{ fontFamily: 'h1.fontFamily', fontSize: '2.2rem', fontWeight: 740, marginInlineEnd: 1 }}
      >
        {children}
      </Box>{' '}
    </>
  );
}
