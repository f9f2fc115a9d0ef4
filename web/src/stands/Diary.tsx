import { Box, Button, IconButton, Typography } from '@mui/material';
import { IconPencil, IconTrash } from '@tabler/icons-react';
import { dayOf } from '@rundel/core/climate';
import type { Entry } from '@rundel/core/diary';
import { FINGER_GRADES, LIFT_GRADES } from '@rundel/core/water';
import { format } from 'date-fns';
import { useState } from 'react';
import { localDate, shortDay } from '../parts/words.ts';
import { useGarden, useShown, type Shown } from '../store/index.ts';
import { CorrectDialog } from './CorrectDialog.tsx';

const AT_FIRST = 12;

/** A bag's diary, latest first; every entry can be corrected or removed, and what was removed brought back. */
export function Diary({ containerId }: { readonly containerId: string }) {
  const { garden, live, clock, remove } = useGarden();
  const shown = useShown();
  const [isWhole, setWhole] = useState(false);
  const [correcting, setCorrecting] = useState<Entry>();
  const here = live.filter((e) => 'containerId' in e && e.containerId === containerId).reverse();
  const removed = removedFrom(garden.entries, live, containerId);
  const today = dayOf(clock.now());
  if (here.length === 0 && removed.length === 0) {
    return (
      <Typography sx={{ color: 'text.secondary' }}>
        Nothing yet. Looks, drinks, pickings and notes will stand here.
      </Typography>
    );
  }
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
            <Box sx={{ width: 104, flexShrink: 0, color: 'text.secondary', fontSize: '0.88rem' }}>
              {shortDay(dayOf(entry.at), today)} {format(localDate(entry.at), 'HH:mm')}
            </Box>
            <Box sx={{ flex: 1, minWidth: 0 }}>
              {entryWords(entry, shown)}
              {entry.replaces ? (
                <Box component="span" sx={{ color: 'text.secondary', fontSize: '0.85rem' }}>
                  {' '}
                  (corrected)
                </Box>
              ) : null}
            </Box>
            {entry.kind !== 'cleared' && (
              <IconButton
                aria-label={`Correct: ${entryWords(entry, shown)}`}
                onClick={() => setCorrecting(entry)}
                sx={{ width: 44, height: 44 }}
              >
                <IconPencil size={20} aria-hidden />
              </IconButton>
            )}
            <IconButton
              aria-label={`Remove: ${entryWords(entry, shown)}`}
              onClick={() => void remove([entry.id], `${entry.kind} removed`)}
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
      {correcting && <CorrectDialog entry={correcting} onClose={() => setCorrecting(undefined)} />}
    </Box>
  );
}

interface Taken {
  readonly entry: Entry;
  readonly tombId: string;
}

/** Entries of a container that a tombstone takes out of account, with the tombstone to remove to have them back. */
function removedFrom(all: readonly Entry[], live: readonly Entry[], containerId: string): readonly Taken[] {
  const counting = new Set(live.map((e) => e.id));
  const gone = new Set(all.flatMap((e) => (e.kind === 'removed' ? [e.removes] : [])));
  return all.flatMap((entry): Taken[] => {
    if (counting.has(entry.id) || !('containerId' in entry) || entry.containerId !== containerId) return [];
    const tomb = all.findLast((e) => e.kind === 'removed' && e.removes === entry.id && !gone.has(e.id));
    return tomb ? [{ entry, tombId: tomb.id }] : [];
  });
}

function Removed({ entries }: { readonly entries: readonly Taken[] }) {
  const { remove } = useGarden();
  const shown = useShown();
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
            {shortDay(dayOf(entry.at))}: {entryWords(entry, shown)}
          </Box>
          <Button onClick={() => void remove([tombId], `${entry.kind} brought back`)}>Bring back</Button>
        </Box>
      ))}
    </Box>
  );
}

/** An entry in a few words. */
export function entryWords(entry: Entry, shown: Shown): string {
  switch (entry.kind) {
    case 'look': {
      const names = entry.look.method === 'finger' ? FINGER_GRADES : LIFT_GRADES;
      return `Look: ${names[entry.look.grade - 1] ?? '?'}${entry.look.method === 'lift' ? ' when lifted' : ''}`;
    }
    case 'drink':
      return `Drink: ${shown.show(entry.litres, 'drink')}${entry.ranThrough ? ', ran through' : ''}${entry.isMeasured ? '' : ', by eye'}`;
    case 'planted':
      return `Planted, ${shown.show(entry.seedling.stemMillimetres, 'height')} tall`;
    case 'cleared':
      return 'Cleared';
    case 'picking': {
      const parts = [
        entry.kilograms === undefined ? '' : shown.show(entry.kilograms, 'crop'),
        entry.count === undefined ? '' : `${entry.count} fruit`,
      ];
      return `Picked: ${parts.filter(Boolean).join(', ')}`;
    }
    case 'note':
      return entry.text;
    case 'weather':
      return `Weather: ${shown.range(entry.minCelsius, entry.maxCelsius, 'temperature')}`;
    case 'removed':
      return 'Removed an entry';
  }
}
