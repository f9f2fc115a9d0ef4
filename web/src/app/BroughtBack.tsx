import { Box, Button } from '@mui/material';
import { Link } from 'react-router';
import { useBroughtBack, told } from '../store/index.ts';
import { shortDay } from '../text/text.ts';

/** Says that the browser had lost the garden and that it came back from its second copy, until that has been seen. */
export function BroughtBack() {
  const { broughtBack, seen } = useBroughtBack();
  if (!broughtBack) return null;
  const { bags, entries, until } = broughtBack;
  return (
    <Box
      role="alert"
      sx={{
        backgroundColor: 'var(--flower)',
        color: 'var(--on-flower)',
        paddingInline: 2,
        paddingBlock: 1,
        displayPrint: 'none',
      }}
    >
      The browser had lost all that Rundel stored in it. This garden came back from its second copy:{' '}
      {bags === 1 ? '1 bag' : `${bags} bags`} and {entries === 1 ? '1 entry' : `${entries} entries`}
      {until === undefined ? '' : `, the newest of ${shortDay(until, until)}`}. Look whether all is there, and
      save it to a file.
      <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', marginBlockStart: 0.5 }}>
        <Button variant="outlined" color="inherit" component={Link} to="/files">
          To the files
        </Button>
        <Button color="inherit" onClick={() => told(seen())}>
          I have seen it
        </Button>
      </Box>
    </Box>
  );
}
