import { Box } from '@mui/material';
import { IconAlertTriangle } from '@tabler/icons-react';
import type { ReactNode } from 'react';

/** A caution at the step where someone could be hurt; brief, and deferring to those who know. */
export function Caution({ children }: { readonly children: ReactNode }) {
  return (
    <Box
      role="note"
      sx={{
        display: 'flex',
        gap: 1.25,
        alignItems: 'flex-start',
        borderInlineStart: '5px solid var(--flower)',
        backgroundColor: 'var(--raised)',
        padding: 1.25,
        borderRadius: '6px',
        fontSize: '0.92rem',
        marginBlock: 1.5,
      }}
    >
      <IconAlertTriangle aria-hidden size={22} style={{ flexShrink: 0 }} />
      <span>{children}</span>
    </Box>
  );
}
