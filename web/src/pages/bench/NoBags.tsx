import { Box, Button, Typography } from '@mui/material';
import { Link } from 'react-router';

/** A topic that needs bags, before there are any: what to do first. */
export function NoBags({ words }: { readonly words: string }) {
  return (
    <Box>
      <Typography sx={{ marginBlockEnd: 1.5 }}>{words}</Typography>
      <Button component={Link} to="/bags/new" variant="contained">
        Add a bag
      </Button>
    </Box>
  );
}
