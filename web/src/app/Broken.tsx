import { Box, Button, Typography } from '@mui/material';
import { Component, type ReactNode } from 'react';
import { useHref, useLocation } from 'react-router';

/** What browsers say when a part of the app cannot be fetched. */
const NOT_FETCHED =
  /dynamically imported module|Importing a module script failed|Failed to fetch|preload CSS/i;

/** A screen that was never gone to, asked for without a network before all of the app was kept. */
function NotHereYet() {
  return (
    <Box component="main" sx={{ padding: 4, maxWidth: 640 }}>
      <Typography variant="h1">This page is not on this device yet</Typography>
      <Typography sx={{ marginBlock: 2 }}>
        There is no network, and Rundel was closed before all of it was fetched. The pages that you have been
        to work, and your diary is here. This one comes with the next network.
      </Typography>
      <Button variant="contained" onClick={() => window.location.reload()}>
        Try again
      </Button>
    </Box>
  );
}

/** Shown when a screen failed or an address leads nowhere: what happened, that nothing was lost, and a way back. */
export function Broken({ error }: { readonly error?: unknown }) {
  const message = error instanceof Error ? error.message : undefined;
  const round = useHref('/round');
  if (message !== undefined && NOT_FETCHED.test(message)) return <NotHereYet />;
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
      <Button variant="contained" href={round} sx={{ marginBlockStart: 2 }}>
        Back to the round
      </Button>
    </Box>
  );
}

/** Catches what a screen throws; another address is another try. */
export function BrokenBoundary({ children }: { readonly children: ReactNode }) {
  return <Boundary at={useLocation().key}>{children}</Boundary>;
}

interface BoundaryProps {
  readonly at: string;
  readonly children: ReactNode;
}

class Boundary extends Component<BoundaryProps, { readonly error?: unknown }> {
  override state: { readonly error?: unknown } = {};

  static getDerivedStateFromError(error: unknown) {
    return { error: error ?? new Error('Something failed without saying what.') };
  }

  override componentDidUpdate(before: BoundaryProps): void {
    if (before.at !== this.props.at && this.state.error !== undefined) this.setState({ error: undefined });
  }

  override render(): ReactNode {
    return this.state.error === undefined ? this.props.children : <Broken error={this.state.error} />;
  }
}
