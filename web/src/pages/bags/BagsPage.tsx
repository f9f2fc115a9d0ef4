import {
  Box,
  Button,
  ButtonBase,
  IconButton,
  ToggleButton,
  ToggleButtonGroup,
  Typography,
} from '@mui/material';
import { IconPencil, IconPlus } from '@tabler/icons-react';
import type { Place } from '@rundel/core/records';
import { useMemo, useState } from 'react';
import { Link } from 'react-router';
import { gradeSpan, nextCheckWords } from '../../text/bag-text.ts';
import { COVER_WORDS } from '../../ui/choices.tsx';
import { Page, Panel } from '../../ui/Page.tsx';
import { BagElevation, sceneOf } from '../../section/index.ts';
import { placesInUse, useBags, useGarden, type Bag } from '../../store/index.ts';
import { BagTable } from './BagTable.tsx';
import { PlaceDialog } from './PlaceDialog.tsx';

/** Where the bags stand: each place with its bags as marks, or all of them in a table. */
export default function BagsPage() {
  const { garden } = useGarden();
  const { bags, unreadable } = useBags();
  const [view, setView] = useState<'marks' | 'table'>('marks');
  const [editing, setEditing] = useState<Place | 'new'>();
  const places = placesInUse(garden);
  return (
    <Page
      title="Bags"
      lead={`${bags.length} ${bags.length === 1 ? 'bag' : 'bags'} in ${places.length} ${places.length === 1 ? 'place' : 'places'}.`}
      actions={
        <>
          <ToggleButtonGroup
            exclusive
            value={view}
            onChange={(_, next: 'marks' | 'table' | null) => next && setView(next)}
            aria-label="Show as"
          >
            <ToggleButton value="marks">As they stand</ToggleButton>
            <ToggleButton value="table">Table</ToggleButton>
          </ToggleButtonGroup>
          <Button variant="outlined" onClick={() => setEditing('new')}>
            Add a place
          </Button>
          <Button component={Link} to="/round/planting" variant="outlined">
            Plant bags
          </Button>
          <Button component={Link} to="/bags/new" variant="contained" startIcon={<IconPlus aria-hidden />}>
            Add a bag
          </Button>
        </>
      }
    >
      {unreadable.map(({ container, problem }) => (
        <Typography key={container.id} role="alert" sx={{ marginBlockEnd: 1 }}>
          Bag {container.label} cannot be worked out: {problem}{' '}
          <Link to={`/bags/${container.id}/edit`}>Fix this bag</Link>
        </Typography>
      ))}
      {view === 'table' ? (
        <BagTable bags={bags} />
      ) : (
        places.map((place) => (
          <PlaceRow
            key={place.id}
            place={place}
            bags={bags.filter((b) => b.container.placeId === place.id)}
            onEdit={() => setEditing(place)}
          />
        ))
      )}
      {editing && (
        <PlaceDialog
          place={editing === 'new' ? undefined : editing}
          hasBags={editing !== 'new' && bags.some((b) => b.container.placeId === editing.id)}
          onClose={() => setEditing(undefined)}
        />
      )}
    </Page>
  );
}

function PlaceRow({
  place,
  bags,
  onEdit,
}: {
  readonly place: Place;
  readonly bags: readonly Bag[];
  onEdit(): void;
}) {
  return (
    <Panel>
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 1, marginBlockEnd: 1 }}>
        <Typography variant="h2">{place.name}</Typography>
        <Box sx={{ color: 'text.secondary' }}>{COVER_WORDS[place.cover].toLowerCase()}</Box>
        <IconButton
          aria-label={`Change ${place.name}`}
          onClick={onEdit}
          sx={{ width: 44, height: 44, marginInlineStart: 'auto' }}
        >
          <IconPencil size={20} aria-hidden />
        </IconButton>
      </Box>
      {bags.length === 0 ? (
        <Typography sx={{ color: 'text.secondary' }}>
          No bags here yet. <Link to={`/bags/new?stand=${place.id}`}>Add one</Link>
        </Typography>
      ) : (
        <Box
          sx={{
            display: 'flex',
            flexWrap: 'wrap',
            alignItems: 'flex-end',
            rowGap: 2,
          }}
        >
          {bags.map((bag) => (
            <BagTile key={bag.container.id} bag={bag} />
          ))}
        </Box>
      )}
    </Panel>
  );
}

function BagTile({ bag }: { readonly bag: Bag }) {
  const { clock, garden, live } = useGarden();
  const next = bag.water && nextCheckWords(bag.water, clock.now());
  const isEmpty = bag.occupants.length === 0;
  const share = isEmpty ? undefined : bag.water?.estimate.share;
  const scene = useMemo(
    () => sceneOf(bag.container, bag.properties, bag.occupants, share, clock.now(), garden.settings, live),
    [bag.properties, bag.container, bag.occupants, clock, garden.settings, live, share],
  );
  const isDue = !isEmpty && next === 'now';
  return (
    <ButtonBase
      component={Link}
      to={`/bags/${bag.container.id}`}
      sx={{
        display: 'grid',
        alignContent: 'end',
        textAlign: 'center',
        borderRadius: '10px',
        flex: '1 1 150px',
        maxWidth: 300,
        '&:hover': { backgroundColor: 'var(--action-wash)' },
      }}
    >
      <Box sx={{ borderBlockEnd: '3px solid var(--ink)', display: 'grid', justifyItems: 'center' }}>
        <BagElevation scene={scene} pixelsPerMillimetre={0.125} />
      </Box>
      <Box sx={{ marginBlockStart: 0.75 }}>
        <Box component="strong" sx={{ fontSize: '1.25rem' }}>
          {bag.container.label}
        </Box>{' '}
        {bag.name}
      </Box>
      <Box sx={{ fontSize: '0.88rem', color: 'text.secondary' }}>
        {isEmpty ? 'nothing planted' : bag.water ? gradeSpan(bag.water.estimate.share) : '…'}
      </Box>
      {/* room for two lines, so that every bag of a row stands on the same ground */}
      <Box sx={{ fontSize: '0.88rem', minHeight: '3em' }}>
        <Box
          sx={{
            paddingInline: 0.75,
            borderRadius: '4px',
            backgroundColor: isDue ? 'var(--flower)' : 'transparent',
            color: isDue ? 'var(--on-flower)' : 'text.secondary',
          }}
        >
          {isEmpty || !next ? ' ' : `check ${next}`}
        </Box>
      </Box>
    </ButtonBase>
  );
}
