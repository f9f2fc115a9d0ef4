import { Box, Button, Typography } from '@mui/material';
import { Link } from 'react-router';
import { Page } from '../../ui/Page.tsx';

/** The round before there are any bags: what to do first. */
export function NoBags({ title }: { readonly title: string }) {
  return (
    <Page title={title} lead="Nothing to walk round yet." width={720}>
      <Box
        sx={{
          backgroundColor: 'var(--surface)',
          border: '1px solid var(--line)',
          borderRadius: '14px',
          padding: 3,
        }}
      >
        <Typography variant="h2">First, a bag</Typography>
        <Typography sx={{ marginBlock: 1.5 }}>
          Add one bag with what is planted in it. From then on the round tells you when to check it, what to
          expect and how much water it should take.
        </Typography>
        <Button component={Link} to="/bags/new" variant="contained" sx={{ minHeight: 56 }}>
          Add a bag
        </Button>
      </Box>
    </Page>
  );
}
