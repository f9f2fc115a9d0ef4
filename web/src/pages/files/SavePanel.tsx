import { Box, Button, Typography } from '@mui/material';
import { dayOf } from '@rundel/core/calendar';
import { useState } from 'react';
import {
  canSaveItself,
  useAutoSave,
  useGarden,
  useHasCopy,
  useOffline,
  useSavedToFile,
  useLoosePhotos,
  useStorageRoom,
} from '../../store/index.ts';
import { fileName, savedWords, sizeWords } from '../../text/file-text.ts';
import { OnceButton } from '../../ui/OnceButton.tsx';
import { Panel } from '../../ui/Page.tsx';
import { Remark } from '../../ui/Remark.tsx';
import { useSaveToFile } from './save-to-file.ts';

/** Saving by hand and by itself, and what the browser says of its storage. */
export function SavePanel() {
  const { garden, clock } = useGarden();
  const saved = useSavedToFile();
  const save = useSaveToFile();
  const { words, isDue } = savedWords(saved, dayOf(clock.now()), garden.entries);
  return (
    <Panel title="Save">
      {isDue ? (
        <Remark>{words} A browser can lose what it keeps: save a copy.</Remark>
      ) : (
        <Typography>{words}</Typography>
      )}
      <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', marginBlock: 1.5 }}>
        <OnceButton variant="contained" onPress={() => save('zip')}>
          Save to a file
        </OnceButton>
        <OnceButton onPress={() => save('json')}>Only the plain JSON</OnceButton>
      </Box>
      <Typography sx={{ color: 'text.secondary' }}>
        The file is a .zip with all of it: the garden as JSON, its tables for a spreadsheet, and the
        photographs.
      </Typography>
      <BySelf />
      <Room />
      <SecondCopy />
      <LoosePhotos />
      <Offline />
    </Panel>
  );
}

/** A file that is kept up to date without being asked. */
function BySelf() {
  const { garden } = useGarden();
  const { name, isAsking, problem, choose, allow, stop } = useAutoSave();
  if (!canSaveItself())
    return (
      <Typography sx={{ marginBlockStart: 1.5 }}>
        This browser cannot write to a file by itself. Save one now and then; the line at the foot says how
        old the last one is.
      </Typography>
    );
  if (name === undefined)
    return (
      <Box sx={{ marginBlockStart: 1.5 }}>
        <OnceButton
          variant="outlined"
          onPress={() => choose(fileName(garden.settings.gardenName, undefined, 'zip'))}
        >
          Keep a file up to date
        </OnceButton>
        <Typography sx={{ color: 'text.secondary', marginBlockStart: 0.5 }}>
          You choose a file once; a quarter of a minute after each change it is written anew.
        </Typography>
      </Box>
    );
  return (
    <Box sx={{ marginBlockStart: 1.5 }}>
      <Typography>
        “{name}” is kept up to date{isAsking ? ', but the browser wants to be asked again.' : '.'}
      </Typography>
      {problem !== undefined && <Remark role="alert">It could not be written: {problem}</Remark>}
      <Box sx={{ display: 'flex', gap: 1 }}>
        {isAsking && (
          <OnceButton variant="outlined" onPress={() => allow()}>
            Go on
          </OnceButton>
        )}
        <OnceButton onPress={() => stop()}>Stop that</OnceButton>
      </Box>
    </Box>
  );
}

/** Photographs that nothing names take room that another could use. */
function LoosePhotos() {
  const { loose, letGo } = useLoosePhotos();
  if (!loose || loose.ids.length === 0) return null;
  const count = loose.ids.length;
  return (
    <Box sx={{ marginBlockStart: 1.5 }}>
      <Typography>
        {count === 1 ? 'One photograph belongs' : `${count} photographs belong`} to no entry of this garden
        and {count === 1 ? 'takes' : 'take'} {sizeWords(loose.bytes)}: of something that was not put down, or
        of a garden that was here before. What is let go of cannot be had back.
      </Typography>
      <OnceButton variant="outlined" onPress={letGo} sx={{ marginBlockStart: 0.5 }}>
        {count === 1 ? 'Let it go' : 'Let them go'}
      </OnceButton>
    </Box>
  );
}

function Room() {
  const { room, askToKeep } = useStorageRoom();
  const [isRefused, setRefused] = useState(false);
  if (!room) return null;
  const { usedBytes, allBytes, isKept } = room;
  return (
    <Box sx={{ marginBlockStart: 1.5 }}>
      <Typography>
        {usedBytes === undefined
          ? 'How much room it takes, this browser does not say. '
          : `Rundel takes ${sizeWords(usedBytes)}${allBytes === undefined ? '' : ` of the ${sizeWords(allBytes)} that this browser allows`}. `}
        {isKept === true && 'The browser has promised to keep it.'}
        {isKept === false && 'If space runs short, the browser may throw it away.'}
      </Typography>
      {isKept === false && (
        <Button onClick={() => void askToKeep().then((kept) => setRefused(!kept))}>Ask it to keep it</Button>
      )}
      {isRefused && isKept === false && (
        <Typography role="status">
          It did not agree; most do once Rundel is installed or has a bookmark. A saved file is safe in any
          case.
        </Typography>
      )}
    </Box>
  );
}

function SecondCopy() {
  const isThere = useHasCopy();
  if (isThere === undefined) return null;
  return (
    <Typography sx={{ marginBlockStart: 1.5 }}>
      {isThere
        ? 'Rundel keeps a second copy of all of it beside the browser’s database, and brings the garden back from it should that be damaged. A device that is lost takes both along.'
        : 'There is no second copy beside the browser’s database: if that is damaged, a saved file is what is left.'}
    </Typography>
  );
}

/** Whether Rundel works without a network, and whether a newer one waits. */
function Offline() {
  const offline = useOffline();
  switch (offline.kind) {
    case 'unknown':
      return null;
    case 'impossible':
      return (
        <Typography sx={{ marginBlockStart: 1.5 }}>
          This browser does not keep Rundel itself at this address: without its server it opens only while
          this tab stays open.
        </Typography>
      );
    case 'fetching':
      return (
        <Typography sx={{ marginBlockStart: 1.5 }}>
          Rundel is still being put on this device: stay in the network a moment.
        </Typography>
      );
    case 'ready':
      return (
        <Typography sx={{ marginBlockStart: 1.5 }}>
          All of Rundel is on this device: it works without a network.
        </Typography>
      );
    case 'waiting':
      return (
        <Remark>
          A newer Rundel is on this device. It waits until you take it; the page is then loaded anew.{' '}
          <OnceButton onPress={() => offline.take()}>Take it now</OnceButton>
        </Remark>
      );
  }
}
