import {
  Box,
  Button,
  ButtonBase,
  IconButton,
  ToggleButton,
  ToggleButtonGroup,
  Typography,
} from '@mui/material';
import { IconPencil, IconPlus, IconSquare, IconSquareCheckFilled } from '@tabler/icons-react';
import type { Place } from '@rundel/core/records';
import type { Range } from '@rundel/core/water';
import { useMemo, useState, type KeyboardEvent, type MouseEvent } from 'react';
import { Link, useSearchParams } from 'react-router';
import { gradeSpan, nextCheckWords } from '../../text/bag-text.ts';
import { COVER_WORDS } from '../../ui/choices.tsx';
import { Page, Panel } from '../../ui/Page.tsx';
import { BagElevation, sceneOf } from '../../section/index.ts';
import { placesInUse, useBags, useGarden, type Bag } from '../../store/index.ts';
import { BagTable } from './BagTable.tsx';
import { WhenSeen } from '../../ui/WhenSeen.tsx';
import { useLongPress } from '../../ui/long-press.ts';
import { ManyBar } from '../../ui/many/ManyBar.tsx';
import { useTicking, type Ticked } from '../../ui/ticking.ts';
import { PlaceDialog } from './PlaceDialog.tsx';

/** Where the bags stand: each place with its bags as marks, or all of them in a table. */
export default function BagsPage() {
  const { garden } = useGarden();
  const { bags, unreadable } = useBags();
  const [view, setView] = useState<'marks' | 'table'>('marks');
  const [editing, setEditing] = useState<Place | 'new'>();
  const [params] = useSearchParams();
  const ticking = useTicking(params.has('several'));
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
          {bags.length > 1 && view === 'marks' && (
            <Button
              variant="outlined"
              aria-pressed={ticking.isOn}
              onClick={() => (ticking.isOn ? ticking.untick() : ticking.start())}
            >
              {ticking.isOn ? 'One at a time' : 'Several at once'}
            </Button>
          )}
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
        <BagTable bags={bags} ticked={ticking.ids} onTick={ticking.set} />
      ) : (
        places.map((place, i) => (
          <PlaceRow
            key={place.id}
            place={place}
            bags={bags.filter((b) => b.container.placeId === place.id)}
            before={bags.filter(({ place: at }) => at !== undefined && places.indexOf(at) < i).length}
            ticking={ticking}
            onEdit={() => setEditing(place)}
          />
        ))
      )}
      <ManyBar bags={bags.filter((b) => ticking.ids.has(b.container.id))} onUntick={ticking.untick} />
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
  before,
  ticking,
  onEdit,
}: {
  readonly place: Place;
  readonly bags: readonly Bag[];
  /** how many bags stand in the places above */
  readonly before: number;
  readonly ticking: Ticked;
  onEdit(): void;
}) {
  return (
    <Panel>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', alignItems: 'center', gap: 1, marginBlockEnd: 1 }}>
        <Typography variant="h2">{place.name}</Typography>
        <Box sx={{ color: 'text.secondary' }}>{COVER_WORDS[place.cover].toLowerCase()}</Box>
        {ticking.isOn && bags.length > 0 && (
          <Button
            onClick={() => ticking.toggleAll(bags.map((b) => b.container.id))}
            aria-label={`All of ${place.name}`}
            sx={{ textDecoration: 'underline', whiteSpace: 'nowrap', minWidth: 0 }}
          >
            All here
          </Button>
        )}
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
          {bags.map((bag, i) => (
            <BagTile
              key={bag.container.id}
              bag={bag}
              ticking={ticking}
              isFirst={before + i < DRAWN_AT_ONCE}
            />
          ))}
        </Box>
      )}
    </Panel>
  );
}

/** So many bags fill a screen: they are drawn at once, and those below when they come into sight. */
const DRAWN_AT_ONCE = 32;
/** About as high as a bag with a plant in it is drawn, px. */
const DRAWN_HIGH = 180;
/** The same with its words. */
const TILE_HIGH = DRAWN_HIGH + 110;

/** A bag with its plants, drawn small. */
function Standing({ bag, share }: { readonly bag: Bag; readonly share: Range | undefined }) {
  const { clock, garden, live } = useGarden();
  const scene = useMemo(
    () => sceneOf(bag.container, bag.properties, bag.occupants, share, clock.now(), garden.settings, live),
    [bag.properties, bag.container, bag.occupants, clock, garden.settings, live, share],
  );
  return <BagElevation scene={scene} pixelsPerMillimetre={0.125} />;
}

/** One bag as it stands: a tap opens it; a long press, or a press with shift, ticks it. */
function BagTile({
  bag,
  ticking,
  isFirst,
}: {
  readonly bag: Bag;
  readonly ticking: Ticked;
  /** among those that a screen shows before it is scrolled */
  readonly isFirst: boolean;
}) {
  const { clock } = useGarden();
  const next = bag.water && nextCheckWords(bag.water, clock.now());
  const isEmpty = bag.occupants.length === 0;
  const share = isEmpty ? undefined : bag.water?.estimate.share;
  const isDue = !isEmpty && next === 'now';
  const { id } = bag.container;
  const isTicked = ticking.ids.has(id);
  const press = useLongPress(() => ticking.toggle(id));
  return (
    <ButtonBase
      component={Link}
      to={`/bags/${id}`}
      {...press.handlers}
      onClick={(event: MouseEvent) => {
        const isMeant = ticking.isOn || event.shiftKey || event.ctrlKey || event.metaKey;
        if (!isMeant && !press.wasLong()) return;
        event.preventDefault();
        if (!press.wasLong()) ticking.toggle(id);
      }}
      {...(ticking.isOn ? { role: 'checkbox', 'aria-checked': isTicked, onKeyDown: onSpace } : {})}
      sx={{
        position: 'relative',
        // a long press ticks, and does not ask what to do with a link
        WebkitTouchCallout: 'none',
        outline: isTicked ? '3px solid var(--action)' : 'none',
        outlineOffset: -3,
        backgroundColor: isTicked ? 'var(--action-wash)' : 'transparent',
        display: 'grid',
        alignContent: 'end',
        textAlign: 'center',
        borderRadius: '10px',
        flex: '1 1 150px',
        maxWidth: 300,
        // what is far below the screen need not be laid out yet
        ...(isFirst ? {} : { contentVisibility: 'auto', containIntrinsicSize: `auto ${TILE_HIGH}px` }),
        '&:hover': { backgroundColor: 'var(--action-wash)' },
      }}
    >
      {ticking.isOn && (
        <Box sx={{ position: 'absolute', insetInlineStart: 8, top: 4 }}>
          {isTicked ? <IconSquareCheckFilled aria-hidden /> : <IconSquare aria-hidden />}
        </Box>
      )}
      <Box
        sx={{
          borderBlockEnd: '3px solid var(--ink)',
          display: 'grid',
          justifyItems: 'center',
          // the room that is kept for a drawing is above it: every bag stands on the ground
          '& > div': { display: 'grid', alignContent: 'end' },
        }}
      >
        {isFirst ? (
          <Standing bag={bag} share={share} />
        ) : (
          <WhenSeen height={DRAWN_HIGH}>
            <Standing bag={bag} share={share} />
          </WhenSeen>
        )}
      </Box>
      <Box sx={{ marginBlockStart: 0.75 }}>
        <Box component="strong" sx={{ fontSize: '1.25rem' }}>
          {bag.container.label}
        </Box>{' '}
        {bag.name}
      </Box>
      <Box sx={{ fontSize: '0.88rem', color: 'text.secondary' }}>
        {isEmpty ? 'nothing planted' : bag.water ? gradeSpan(bag.water.estimate.share) : ' '}
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

/** A link that ticks is pressed by the space bar too, as a box to tick is. */
function onSpace(event: KeyboardEvent<HTMLElement>): void {
  if (event.key !== ' ') return;
  event.preventDefault();
  event.currentTarget.click();
}
