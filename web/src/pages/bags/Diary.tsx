import { Box, Button, IconButton, Menu, MenuItem, Typography } from '@mui/material';
import { IconPencil, IconTrash } from '@tabler/icons-react';
import { dayOf } from '@rundel/core/calendar';
import { correctionsThatGaveWay, entriesAt, givenTogether, type Entry } from '@rundel/core/records';
import { Suspense, useMemo, useState } from 'react';
import { midSentence, shortDay, timeOf } from '../../text/text.ts';
import { Photo } from '../../ui/photos/Photo.tsx';
import { OnceButton } from '../../ui/OnceButton.tsx';
import { useGarden, useUnitFormat, told } from '../../store/index.ts';
import { CorrectDialog } from './dialogs.ts';
import { entryWords } from '../../text/entry-text.ts';
import { removedFrom, type Taken } from './removed.ts';

const AT_FIRST = 12;

/** A bag's diary, latest first; every entry can be corrected or removed, and what was removed brought back. */
export function Diary({ containerId }: { readonly containerId: string }) {
  const { garden, live, clock, remove } = useGarden();
  const unitFormat = useUnitFormat();
  const [isWhole, setWhole] = useState(false);
  const [correcting, setCorrecting] = useState<Entry>();
  const [removing, setRemoving] = useState<Removing>();
  const here = [...entriesAt(live, containerId)].reverse();
  const gaveWay = useMemo(() => correctionsThatGaveWay(garden.entries, live), [garden.entries, live]);
  const removed = removedFrom(garden.entries, live, containerId);
  const today = dayOf(clock.now());
  if (here.length === 0 && removed.length === 0) {
    return (
      <Typography sx={{ color: 'text.secondary' }}>
        Nothing yet. Checks, waterings, pickings and notes will stand here.
      </Typography>
    );
  }
  const beforeWords = (entry: Entry) => {
    const before = garden.entries.find((e) => e.id === entry.replaces);
    if (!before) return '';
    const day = dayOf(before.at) === dayOf(entry.at) ? '' : `, ${shortDay(dayOf(before.at), today)}`;
    const words = entryWords(before, unitFormat, garden);
    // what was put right may be all in the record that it names
    return words === entryWords(entry, unitFormat, garden) && day === ''
      ? ''
      : `; was ${midSentence(words)}${day}`;
  };
  const visible = isWhole ? here : here.slice(0, AT_FIRST);
  return (
    <Box>
      <Box component="ul" sx={{ listStyle: 'none', margin: 0, padding: 0 }}>
        {visible.map((entry) => (
          <Box
            component="li"
            key={entry.id}
            sx={{
              display: 'flex',
              alignItems: 'center',
              gap: 1,
              borderBlockEnd: '1px solid var(--line)',
              minHeight: 48,
            }}
          >
            <Box
              sx={{
                flex: 1,
                minWidth: 0,
                display: 'grid',
                gridTemplateColumns: { xs: '1fr', sm: '104px minmax(0, 1fr)' },
                columnGap: 1,
                alignItems: 'center',
                paddingBlock: 0.5,
              }}
            >
              <Box sx={{ color: 'text.secondary', fontSize: '0.88rem' }}>
                {shortDay(dayOf(entry.at), today)} {timeOf(entry.at)}
              </Box>
              <Box sx={{ minWidth: 0 }}>
                {entryWords(entry, unitFormat, garden)}
                {entry.replaces ? (
                  <Box component="span" sx={{ color: 'text.secondary', fontSize: '0.85rem' }}>
                    {' '}
                    (corrected{beforeWords(entry)})
                  </Box>
                ) : null}
                {entry.photoIds && (
                  <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', paddingBlock: 0.5 }}>
                    {entry.photoIds.map((id) => (
                      <Photo
                        key={id}
                        photoId={id}
                        alt={`Photograph of ${shortDay(dayOf(entry.at), today)}`}
                        height={72}
                      />
                    ))}
                  </Box>
                )}
                {(gaveWay.get(entry.id) ?? []).map((other) => (
                  <Box key={other.id} sx={{ color: 'text.secondary', fontSize: '0.85rem' }}>
                    Another correction gave way to this one: {entryWords(other, unitFormat, garden)}, written{' '}
                    {shortDay(dayOf(other.recordedAt), today)} {timeOf(other.recordedAt)}.
                  </Box>
                ))}
              </Box>
            </Box>
            <IconButton
              aria-label={`Correct: ${entryWords(entry, unitFormat, garden)}`}
              onClick={() => setCorrecting(entry)}
              sx={{ width: 44, height: 44 }}
            >
              <IconPencil size={20} aria-hidden />
            </IconButton>
            <IconButton
              aria-label={`Remove: ${entryWords(entry, unitFormat, garden)}`}
              onClick={({ currentTarget }) => {
                const beside = givenTogether(live, entry);
                if (beside.length === 0) told(remove([entry.id], `${entry.kind} removed`));
                else setRemoving({ entry, beside, anchor: currentTarget });
              }}
              sx={{ width: 44, height: 44 }}
            >
              <IconTrash size={20} aria-hidden />
            </IconButton>
          </Box>
        ))}
      </Box>
      {here.length > AT_FIRST && (
        <Button onClick={() => setWhole((whole) => !whole)}>
          {isWhole ? 'Show the latest only' : `Show all ${here.length}`}
        </Button>
      )}
      {removed.length > 0 && <Removed entries={removed} />}
      <Suspense>
        {removing && <RemoveTogether {...removing} onClose={() => setRemoving(undefined)} />}
        {correcting && <CorrectDialog entry={correcting} onClose={() => setCorrecting(undefined)} />}
      </Suspense>
    </Box>
  );
}

interface Removing {
  readonly entry: Entry;
  readonly beside: readonly Entry[];
  readonly anchor: HTMLElement;
}

/** A feed that was a watering too: whether both were wrong, or one of them. */
function RemoveTogether({ entry, beside, anchor, onClose }: Removing & { onClose(): void }) {
  const { garden, remove } = useGarden();
  const unitFormat = useUnitFormat();
  const words = (all: readonly Entry[]) => all.map((e) => entryWords(e, unitFormat, garden)).join(', ');
  const take = (all: readonly Entry[], label: string) => {
    onClose();
    told(
      remove(
        all.map(({ id }) => id),
        label,
      ),
    );
  };
  return (
    <Menu open anchorEl={anchor} onClose={onClose}>
      <MenuItem
        sx={{ whiteSpace: 'normal' }}
        onClick={() => take([entry, ...beside], 'a feed and its water removed')}
      >
        Remove it with what was put down in one go: {words(beside)}
      </MenuItem>
      <MenuItem sx={{ whiteSpace: 'normal' }} onClick={() => take([entry], `${entry.kind} removed`)}>
        Remove this alone: {words([entry])}
      </MenuItem>
    </Menu>
  );
}

function Removed({ entries }: { readonly entries: readonly Taken[] }) {
  const { garden, remove } = useGarden();
  const unitFormat = useUnitFormat();
  return (
    <Box component="details" sx={{ marginBlockStart: 1.5 }}>
      <Box
        component="summary"
        sx={{ minHeight: 44, display: 'flex', alignItems: 'center', cursor: 'pointer' }}
      >
        Removed ({entries.length})
      </Box>
      {entries.map(({ entry, tombId }) => (
        <Box key={entry.id} sx={{ display: 'flex', alignItems: 'center', gap: 1, color: 'text.secondary' }}>
          <Box sx={{ flex: 1 }}>
            {shortDay(dayOf(entry.at))}: {entryWords(entry, unitFormat, garden)}
          </Box>
          <OnceButton onPress={() => remove([tombId], `${entry.kind} brought back`)}>Bring back</OnceButton>
        </Box>
      ))}
    </Box>
  );
}
