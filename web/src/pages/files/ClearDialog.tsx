import { Button, Dialog, DialogActions, DialogContent, DialogTitle, Typography } from '@mui/material';
import { RECORD_TABLES, type Garden } from '@rundel/core/records';
import { useNavigate } from 'react-router';
import { told, useGarden } from '../../store/index.ts';
import { rowsWords } from '../../text/file-text.ts';
import { OnceButton } from '../../ui/OnceButton.tsx';
import { useSaveToFile } from './save-to-file.ts';

/** Asks before everything of the garden leaves the browser. */
export function ClearDialog({ onClose }: { onClose(): void }) {
  const { garden, replaceGarden } = useGarden();
  const save = useSaveToFile();
  const navigate = useNavigate();
  const clear = async () => {
    const tables = Object.fromEntries([...RECORD_TABLES, 'entries'].map((table) => [table, []]));
    await replaceGarden({ ...tables, settings: garden.settings } as unknown as Garden, 'everything cleared');
    onClose();
    void navigate('/round');
  };
  return (
    <Dialog open onClose={onClose} maxWidth="sm">
      <DialogTitle variant="h2">Clear everything here?</DialogTitle>
      <DialogContent>
        <Typography>
          {rowsWords('containers', garden.containers.length)} and{' '}
          {rowsWords('entries', garden.entries.length)} leave this browser, and with them every place, plant,
          mix and product of your own. Until you close this page it can be undone; after that only a saved
          file brings them back. Settings stay.
        </Typography>
      </DialogContent>
      <DialogActions sx={{ padding: 2, flexWrap: 'wrap', gap: 1 }}>
        <Button onClick={onClose}>Cancel</Button>
        <Button variant="outlined" onClick={() => told(save('zip'))}>
          Save to a file first
        </Button>
        <OnceButton variant="contained" color="error" onPress={() => clear()}>
          Clear it
        </OnceButton>
      </DialogActions>
    </Dialog>
  );
}
