import { Box, Button, Dialog, DialogActions, DialogContent, DialogTitle, Typography } from '@mui/material';
import { useGarden } from '../store/index.ts';
import { fieldWords, saidWords } from '../text/record-text.ts';

/** Another tab has changed what is being saved here: both are shown, and the grower says which counts. */
export default function ConflictDialog() {
  const { conflict, clock } = useGarden();
  if (!conflict) return null;
  const { disputed, after, current, choose } = conflict;
  const of = (row: object, field: string) => saidWords((row as Record<string, unknown>)[field], clock.now());
  return (
    <Dialog open fullWidth maxWidth="sm">
      <DialogTitle variant="h2">Changed in another tab as well</DialogTitle>
      <DialogContent>
        <Typography sx={{ marginBlockEnd: 1.5 }}>
          While you had this open, another tab saved something else. What only one of you changed is kept in
          any case; of the rest, say which counts.
        </Typography>
        <Box
          component="table"
          sx={{ borderSpacing: '12px 4px', marginInlineStart: '-12px', textAlign: 'start' }}
        >
          <thead>
            <tr>
              <th />
              <th scope="col">Here</th>
              <th scope="col">In the other tab</th>
            </tr>
          </thead>
          <tbody>
            {disputed.map((field) => (
              <tr key={field}>
                <th scope="row">{fieldWords(field)}</th>
                <td>{of(after, field)}</td>
                <td>{of(current, field)}</td>
              </tr>
            ))}
          </tbody>
        </Box>
      </DialogContent>
      <DialogActions sx={{ padding: 2, flexWrap: 'wrap', gap: 1 }}>
        <Button variant="outlined" onClick={() => choose('theirs')}>
          Keep the other tab’s
        </Button>
        <Button variant="contained" onClick={() => choose('mine')}>
          Keep what I entered
        </Button>
      </DialogActions>
    </Dialog>
  );
}
