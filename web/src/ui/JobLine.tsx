import { Box } from '@mui/material';
import type { ReactNode } from 'react';

/** One job in a list of them: what and why, and at its end what is pressed. */
export function JobLine({
  what,
  why,
  isListed = false,
  children,
}: {
  readonly what: ReactNode;
  readonly why: ReactNode;
  /** it stands in a list of markup */
  readonly isListed?: boolean;
  readonly children: ReactNode;
}) {
  return (
    <Box
      component={isListed ? 'li' : 'div'}
      sx={{
        display: 'flex',
        flexWrap: 'wrap',
        gap: 1,
        alignItems: 'center',
        paddingBlock: 0.75,
        borderBlockEnd: '1px solid var(--line)',
      }}
    >
      <Box sx={{ flex: '1 1 170px', minWidth: 0 }}>
        {what}
        <Box sx={{ fontSize: '0.9rem', color: 'text.secondary' }}>{why}</Box>
      </Box>
      {children}
    </Box>
  );
}
