import { Box, MenuItem, TextField, Typography } from '@mui/material';
import { dayOf } from '@rundel/core/calendar';
import { atSameAge, bagPhotos, type BagPhoto } from '@rundel/core/garden-state';
import { useMemo, useState } from 'react';
import { titleOf } from '../../text/bag-text.ts';
import { shortDay } from '../../text/text.ts';
import { Panel } from '../../ui/Page.tsx';
import { Photo } from '../../ui/photos/Photo.tsx';
import { useBags, useGarden, type Bag } from '../../store/index.ts';

const EARLIER = 'earlier';

/** A bag's photographs: one beside an earlier one of itself, or beside another bag's when that was as old. */
export function PhotoPanel({ bag }: { readonly bag: Bag }) {
  const { live } = useGarden();
  const { bags } = useBags();
  const photos = useMemo(() => bagPhotos(live, bag.container.id), [bag.container.id, live]);
  const others = useMemo(
    () =>
      bags.flatMap((other) => {
        const own = other.container.id === bag.container.id ? [] : bagPhotos(live, other.container.id);
        return own.length > 0 ? [{ bag: other, photos: own }] : [];
      }),
    [bag.container.id, bags, live],
  );
  const [chosenId, setChosen] = useState<string>();
  const [besideId, setBeside] = useState(EARLIER);
  const [earlierId, setEarlier] = useState<string>();
  const chosen = photos.find((p) => p.photoId === chosenId) ?? photos.at(-1);
  if (!chosen) return null;
  const other = others.find(({ bag: { container } }) => container.id === besideId);
  const before = photos.filter((p) => p.photoId !== chosen.photoId);
  const beside = other
    ? atSameAge(chosen, other.photos)
    : (before.find((p) => p.photoId === earlierId) ?? before[0]);
  return (
    <Panel title="Photographs">
      <Box
        sx={{ display: 'grid', gap: 1.5, gridTemplateColumns: beside ? '1fr 1fr' : '1fr', alignItems: 'end' }}
      >
        {beside && <Framed photo={beside} name={other ? titleOf(other.bag) : undefined} />}
        <Framed photo={chosen} name={other ? titleOf(bag) : undefined} />
      </Box>
      {other && !beside && (
        <Typography sx={{ marginBlockStart: 1 }}>
          {chosen.ageDays === undefined
            ? 'Nobody knows how old the plant on this one is.'
            : `${titleOf(other.bag)} has none of about ${chosen.ageDays} days.`}
        </Typography>
      )}
      {others.length > 0 && (
        <TextField
          select
          fullWidth
          label="Beside it"
          value={other ? besideId : EARLIER}
          onChange={(event) => setBeside(event.target.value)}
          sx={{ marginBlockStart: 1.5 }}
        >
          <MenuItem value={EARLIER}>an earlier one of this bag</MenuItem>
          {others.map(({ bag: each }) => (
            <MenuItem key={each.container.id} value={each.container.id}>
              {titleOf(each)}, when it was as old
            </MenuItem>
          ))}
        </TextField>
      )}
      {photos.length > 1 && (
        <Box
          role="group"
          aria-label="All of them, oldest first"
          sx={{ display: 'flex', gap: 0.75, overflowX: 'auto', paddingBlock: 1 }}
        >
          {photos.map((photo) => {
            const isShown = photo.photoId === chosen.photoId || photo.photoId === beside?.photoId;
            return (
              <Box
                key={photo.photoId}
                component="button"
                type="button"
                aria-pressed={isShown}
                onClick={() => {
                  // the one that was shown moves over: two presses choose a pair
                  if (photo.photoId !== chosen.photoId) setEarlier(chosen.photoId);
                  setChosen(photo.photoId);
                }}
                sx={{
                  flexShrink: 0,
                  padding: '2px',
                  background: 'none',
                  borderRadius: '10px',
                  border: isShown ? '3px solid var(--action)' : '3px solid transparent',
                  cursor: 'pointer',
                }}
              >
                <Photo photoId={photo.photoId} alt={whenOf(photo)} height={64} />
              </Box>
            );
          })}
        </Box>
      )}
    </Panel>
  );
}

const whenOf = ({ at, ageDays }: BagPhoto) =>
  `${shortDay(dayOf(at))}${ageDays === undefined ? '' : `, ${ageDays} ${ageDays === 1 ? 'day' : 'days'} after planting`}`;

function Framed({ photo, name }: { readonly photo: BagPhoto; readonly name: string | undefined }) {
  return (
    <Box component="figure" sx={{ margin: 0, minWidth: 0 }}>
      <Photo photoId={photo.photoId} alt={`${name ?? 'The bag'}, ${whenOf(photo)}`} height="auto" />
      <Box
        component="figcaption"
        sx={{ fontSize: '0.88rem', color: 'text.secondary', marginBlockStart: 0.5 }}
      >
        {name !== undefined && `${name}: `}
        {whenOf(photo)}
      </Box>
    </Box>
  );
}
