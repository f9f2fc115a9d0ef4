import { Alert, Box, Button, Typography } from '@mui/material';
import { dayOf } from '@rundel/core/calendar';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { useGarden, useNoteSavedToFile } from '../../store/index.ts';
import { rowsWords } from '../../text/file-text.ts';
import { FileButton } from '../../ui/FileButton.tsx';
import { Panel } from '../../ui/Page.tsx';
import { OnceButton } from '../../ui/OnceButton.tsx';
import { Bin } from './Bin.tsx';
import { ClearDialog } from './ClearDialog.tsx';
import { GARDEN_FILES, OpenFile, type OpenedBeside } from './OpenFile.tsx';
import { SetAsideList } from './SetAsideList.tsx';
import { SavePanel } from './SavePanel.tsx';

/** Save, open, merge, clear; the bin; and what could not be read. */
export default function SaveAndOpen() {
  const { garden, clock, setAside, gardenId, store, restartDemo, moveTo } = useGarden();
  const navigate = useNavigate();
  const noteSaved = useNoteSavedToFile();
  const [opening, setOpening] = useState<{ readonly file: File; readonly beside: OpenedBeside }>();
  const [isClearing, setClearing] = useState(false);
  const isEmpty = garden.containers.length === 0 && garden.entries.length === 0;
  const open = async (file: File) => {
    const database = isEmpty ? undefined : await store.databaseName();
    setOpening({ file, beside: { garden: store.name, database } });
  };
  return (
    <>
      {setAside.length > 0 && (
        <Alert severity="warning" sx={{ marginBlockEnd: 2 }}>
          {setAside.length === 1 ? 'One row does' : `${setAside.length} rows do`} not read and{' '}
          {setAside.length === 1 ? 'is' : 'are'} set aside, kept as{' '}
          {setAside.length === 1 ? 'it is' : 'they are'}, also in what you save.
          <SetAsideList rows={setAside} />
        </Alert>
      )}
      <SavePanel />
      <Panel title="Open">
        <Typography sx={{ marginBlockEnd: 1.5 }}>
          {rowsWords('containers', garden.containers.filter((c) => !c.binnedAt).length)} and{' '}
          {rowsWords('entries', garden.entries.length)} are in{' '}
          {gardenId === 'demo' ? 'the demo' : 'your garden'}. A file is looked through first; nothing changes
          before you say how.
        </Typography>
        <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
          <FileButton accept={GARDEN_FILES} onFile={(file) => void open(file)} variant="outlined">
            Open a file
          </FileButton>
          {gardenId === 'demo' && <OnceButton onPress={() => restartDemo()}>Reset the demo</OnceButton>}
          <Button onClick={() => setClearing(true)} sx={{ color: 'error.main' }}>
            Clear everything here
          </Button>
        </Box>
      </Panel>
      <Panel title="Bin">
        <Bin />
      </Panel>
      {opening && (
        <OpenFile
          {...opening}
          today={dayOf(clock.now())}
          onPut={async (database, how, found) => {
            await moveTo(
              database,
              how === 'merge',
              `“${opening.file.name}” ${how === 'merge' ? 'merged' : 'opened'}`,
            );
            if (how === 'replace') await noteSaved(found.savedAt);
            setOpening(undefined);
            void navigate('/bags');
          }}
          onClose={() => setOpening(undefined)}
        />
      )}
      {isClearing && <ClearDialog onClose={() => setClearing(false)} />}
    </>
  );
}
