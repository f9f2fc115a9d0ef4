import { Box, Button, Typography } from '@mui/material';
import { Link } from 'react-router';

/** A topic that needs bags, before there are any: what to do first. */
export function NoBags({ label }: { readonly label: string }) {
  return (
    <Box>
      <Typography sx={{ marginBlockEnd: 1.5 }}>{label}</Typography>
      <Button component={Link} to="/bags/new" variant="contained">
        Add a bag
      </Button>
    </Box>
  );
}
