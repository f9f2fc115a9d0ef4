import { Button, Typography } from '@mui/material';
import { Link } from 'react-router';
import { Page } from '../../ui/Page.tsx';

export function NoSuchBag() {
  return (
    <Page title="No such bag">
      <Typography sx={{ marginBlockEnd: 2 }}>
        This garden has no bag at this address. It may be in the other garden, or it was in a file that has
        been replaced.
      </Typography>
      <Button component={Link} to="/bags" variant="contained">
        To the bags
      </Button>
    </Page>
  );
}
