import {
  Alert,
  Box,
  Button,
  Dialog,
  DialogActions,
  DialogContent,
  DialogTitle,
  Typography,
} from '@mui/material';
import { dayOf } from '@rundel/core/calendar';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { FileButton } from '../../ui/FileButton.tsx';
import { Page, Panel } from '../../ui/Page.tsx';
import { OnceButton } from '../../ui/OnceButton.tsx';
import {
  mergeGardens,
  readGardenFile,
  useNoteSavedToFile,
  useGarden,
  writeGardenFile,
  type FileReading,
  told,
} from '../../store/index.ts';
import { agoWords } from '../../text/text.ts';
import { Bin } from './Bin.tsx';
import { download } from '../../ui/download.ts';

/** Save, open, merge, clear; the bin; and what could not be read. */
export default function FilesPage() {
  const { garden, clock, setAside, gardenId, restartDemo } = useGarden();
  const noteSaved = useNoteSavedToFile();
  const [problem, setProblem] = useState<string>();
  const [opened, setOpened] = useState<{ name: string; reading: FileReading & { kind: 'readable' } }>();
  const [isClearing, setClearing] = useState(false);

  const save = async () => {
    const now = clock.now();
    const name =
      garden.settings.gardenName
        .toLowerCase()
        .replace(/[^a-z0-9]+/g, '-')
        .replace(/^-|-$/g, '') || 'garden';
    download(`rundel-${name}-${dayOf(now)}.json`, await writeGardenFile(garden, now), 'application/json');
    await noteSaved(now);
  };
  const open = async (file: File) => {
    const reading = await readGardenFile(await file.text());
    if (reading.kind === 'refused')
      setProblem(`"${file.name}" was not opened. ${reading.problem} Nothing here was changed.`);
    else {
      setProblem(undefined);
      setOpened({ name: file.name, reading });
    }
  };
  return (
    <Page
      title="Files"
      lead="Everything lives in this browser. A file is your copy, and the way to another device."
      width={920}
    >
      {setAside.length > 0 && (
        <Alert severity="warning" sx={{ marginBlockEnd: 2 }}>
          {setAside.length} stored {setAside.length === 1 ? 'row does' : 'rows do'} not read and{' '}
          {setAside.length === 1 ? 'is' : 'are'} set aside, kept as{' '}
          {setAside.length === 1 ? 'it is' : 'they are'}:{' '}
          {setAside
            .slice(0, 3)
            .map((row) => `${row.table} ${row.id} (${row.problem})`)
            .join('; ')}
        </Alert>
      )}
      <Panel title="Save and open">
        <Typography sx={{ marginBlockEnd: 1.5 }}>
          {garden.containers.filter((c) => !c.binnedAt).length} bags and {garden.entries.length} diary entries
          in {gardenId === 'demo' ? 'the demo' : 'your garden'}.
        </Typography>
        <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
          <OnceButton variant="contained" onPress={() => save()}>
            Save to a file
          </OnceButton>
          <FileButton accept=".json,application/json" onFile={(file) => told(open(file))} variant="outlined">
            Open a file
          </FileButton>
          {gardenId === 'demo' && <OnceButton onPress={() => restartDemo()}>Reset the demo</OnceButton>}
          <Button onClick={() => setClearing(true)} sx={{ color: 'error.main' }}>
            Clear everything here
          </Button>
        </Box>
        {problem && (
          <Alert severity="error" sx={{ marginBlockStart: 2 }}>
            {problem}
          </Alert>
        )}
      </Panel>
      <Panel title="Bin">
        <Bin />
      </Panel>
      {opened && (
        <OpenDialog name={opened.name} reading={opened.reading} onClose={() => setOpened(undefined)} />
      )}
      {isClearing && <ClearDialog onSave={() => told(save())} onClose={() => setClearing(false)} />}
    </Page>
  );
}

function OpenDialog({
  name,
  reading,
  onClose,
}: {
  readonly name: string;
  readonly reading: FileReading & { kind: 'readable' };
  onClose(): void;
}) {
  const { garden, clock, replaceGarden } = useGarden();
  const navigate = useNavigate();
  const theirs = reading.garden;
  const noteSaved = useNoteSavedToFile();
  const isEmpty = garden.containers.length === 0 && garden.entries.length === 0;
  const put = async (next: typeof garden, words: string) => {
    await replaceGarden(next, words);
    onClose();
    void navigate('/bags');
  };
  const openAlone = async () => {
    await put(theirs, `"${name}" opened`);
    await noteSaved(reading.savedAt);
  };
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="sm">
      <DialogTitle variant="h2">Open "{name}"?</DialogTitle>
      <DialogContent>
        <Typography>
          {theirs.settings.gardenName}: {theirs.containers.filter((c) => !c.binnedAt).length} bags,{' '}
          {theirs.entries.length} entries, saved {agoWords(dayOf(reading.savedAt), dayOf(clock.now()))}.
        </Typography>
        {reading.setAside.length > 0 && (
          <Alert severity="warning" sx={{ marginBlockStart: 2 }}>
            {reading.setAside.length} rows in it do not read and would be left out; everything else is kept.
            The first: {reading.setAside[0]?.table} {reading.setAside[0]?.id}, {reading.setAside[0]?.problem}.
            The file itself is not changed.
          </Alert>
        )}
        {!isEmpty && (
          <Typography sx={{ marginBlockStart: 2 }}>
            What is here has {garden.entries.length} entries. Merge keeps both: entries of either, and of two
            versions of a bag the later.
          </Typography>
        )}
      </DialogContent>
      <DialogActions sx={{ padding: 2, flexWrap: 'wrap', gap: 1 }}>
        <Button onClick={onClose}>Cancel</Button>
        {!isEmpty && (
          <OnceButton
            variant="outlined"
            onPress={() => put(mergeGardens(garden, theirs), `"${name}" merged`)}
          >
            Merge with what is here
          </OnceButton>
        )}
        <OnceButton variant="contained" onPress={() => openAlone()}>
          {isEmpty ? 'Open it' : 'Replace what is here'}
        </OnceButton>
      </DialogActions>
    </Dialog>
  );
}

function ClearDialog({ onSave, onClose }: { onSave(): void; onClose(): void }) {
  const { garden, clock, replaceGarden } = useGarden();
  const navigate = useNavigate();
  const clear = async () => {
    const empty = {
      ...garden,
      places: [],
      containers: [],
      varieties: [],
      batches: [],
      plants: [],
      measures: [],
      entries: [],
    };
    await replaceGarden(
      { ...empty, settings: { ...garden.settings, changedAt: clock.now() } },
      'everything cleared',
    );
    onClose();
    void navigate('/round');
  };
  return (
    <Dialog open onClose={onClose} maxWidth="sm">
      <DialogTitle variant="h2">Clear everything here?</DialogTitle>
      <DialogContent>
        <Typography>
          {garden.containers.length} bags and {garden.entries.length} entries leave this browser. Until you
          close this page it can be undone; after that only a saved file brings them back. Settings stay.
        </Typography>
      </DialogContent>
      <DialogActions sx={{ padding: 2, flexWrap: 'wrap', gap: 1 }}>
        <Button onClick={onClose}>Cancel</Button>
        <Button variant="outlined" onClick={onSave}>
          Save to a file first
        </Button>
        <OnceButton variant="contained" color="error" onPress={() => clear()}>
          Clear it
        </OnceButton>
      </DialogActions>
    </Dialog>
  );
}
