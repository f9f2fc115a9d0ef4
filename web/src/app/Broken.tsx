import { Box, Button, Typography } from '@mui/material';
import { useRouteError } from 'react-router';

/** Shown when a screen failed or an address leads nowhere: what happened, that nothing was lost, and a way back. */
export function Broken() {
  const error = useRouteError();
  const message = error instanceof Error ? error.message : undefined;
  return (
    <Box component="main" sx={{ padding: 4, maxWidth: 640 }}>
      <Typography variant="h1">{message ? 'This screen broke' : 'There is nothing here'}</Typography>
      <Typography sx={{ marginBlock: 2 }}>
        {message
          ? 'Something in Rundel failed. Your diary is stored in this browser and was not touched.'
          : 'The address leads to no place in Rundel; perhaps the bag was removed.'}
      </Typography>
      {message && (
        <Box
          component="pre"
          sx={{
            whiteSpace: 'pre-wrap',
            fontSize: '0.85rem',
            border: '1px solid var(--line)',
            padding: 1.5,
            borderRadius: '8px',
          }}
        >
          {message}
        </Box>
      )}
      <Button variant="contained" href="/round" sx={{ marginBlockStart: 2 }}>
        Back to the round
      </Button>
    </Box>
  );
}
