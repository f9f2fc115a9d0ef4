import { Box, Button, ButtonBase, IconButton } from '@mui/material';
import { IconSearch, IconSettings } from '@tabler/icons-react';
import { addDays, dayOf, momentAt } from '@rundel/core/calendar';
import { lazy, Suspense, useState } from 'react';
import { useNavigate } from 'react-router';
import { OnceButton } from '../ui/OnceButton.tsx';
import { useGarden, useOffline, useSavedToFile, type GardenId } from '../store/index.ts';
import { savedWords } from '../text/file-text.ts';
import { agoWords } from '../text/text.ts';

const GardenMenuItems = lazy(() => import('./GardenMenuItems.tsx'));

/**
 * Which garden is open, how old its last file is, and the way to all that is not one of the five places: beside the labels,
 * on a phone a line at the head that scrolls away.
 */
export function GardenLine({
  gardenId,
  onChange,
  onAsk,
}: {
  readonly gardenId: GardenId;
  onChange(next: GardenId): void;
  /** opens the line in which anything is found or put down */
  onAsk(): void;
}) {
  const { garden } = useGarden();
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const offline = useOffline();
  const { gardenName } = garden.settings;
  return (
    <Box
      sx={{
        display: 'flex',
        alignItems: 'center',
        justifyContent: { xs: 'space-between', md: 'flex-end' },
        columnGap: { xs: 1, md: 2 },
        height: 44,
        paddingInline: { xs: 2, md: 0 },
        fontSize: '0.9rem',
        color: 'text.secondary',
        position: { md: 'fixed' },
        zIndex: { md: 1101 },
        bottom: { md: MIX_AND_GAP },
        insetInlineEnd: { md: 'max(24px, calc(50% - 652px))' },
        // beside the labels, whose strip may be wider than they are
        maxWidth: { md: 'calc(100% - 540px)', lg: 640 },
      }}
    >
      {offline.kind === 'waiting' ? (
        <OnceButton onPress={() => offline.take()} sx={{ ...LINK, overflow: 'hidden' }}>
          <ByRoom short="Take the newer Rundel" long="A newer Rundel is here: take it" />
        </OnceButton>
      ) : gardenId === 'demo' ? (
        <DemoLine onLeave={() => onChange('own')} />
      ) : (
        <FileLine />
      )}
      <IconButton
        onClick={onAsk}
        aria-label="Find or do"
        aria-keyshortcuts="/ Control+K"
        sx={{ width: 44, height: 44, marginInlineStart: 'auto', color: 'text.primary', flexShrink: 0 }}
      >
        <IconSearch size={22} stroke={1.8} aria-hidden />
      </IconButton>
      <ButtonBase
        onClick={(event) => setAnchor(event.currentTarget)}
        aria-haspopup="menu"
        aria-expanded={anchor !== null}
        aria-label={`${gardenName}: settings, files, help`}
        sx={{
          minHeight: 40,
          minWidth: 44,
          gap: 0.75,
          color: 'text.primary',
          fontSize: '0.95rem',
          fontWeight: 'fontWeightBold',
          overflow: 'hidden',
          flexShrink: { xs: 1, md: 0 },
          maxWidth: { xs: gardenId === 'demo' ? 128 : 180, md: 220 },
        }}
      >
        <Box component="span" sx={{ overflow: 'hidden', textOverflow: 'ellipsis', whiteSpace: 'nowrap' }}>
          {gardenName}
        </Box>
        <IconSettings size={22} stroke={1.8} aria-hidden style={{ flexShrink: 0 }} />
      </ButtonBase>
      {anchor && (
        <Suspense>
          <GardenMenuItems
            anchor={anchor}
            gardenId={gardenId}
            onChange={onChange}
            onClose={() => setAnchor(null)}
          />
        </Suspense>
      )}
    </Box>
  );
}

/** In pixels from the foot: the line stands on the mix. */
const MIX_AND_GAP = 16;

const LINK = {
  color: 'inherit',
  minHeight: 44,
  minWidth: 0,
  textDecoration: 'underline',
  padding: 0,
  fontSize: 'inherit',
  whiteSpace: 'nowrap',
} as const;

/** A phone has no room for many words beside the rest of the line. */
function ByRoom({ short, long }: { readonly short: string; readonly long: string }) {
  return (
    <>
      <Box component="span" sx={{ display: { md: 'none' } }}>
        {short}
      </Box>
      <Box component="span" sx={{ display: { xs: 'none', md: 'inline' } }}>
        {long}
      </Box>
    </>
  );
}

/** How old the last file of the grower's own garden is; where it is time for a new one, the way to it. */
function FileLine() {
  const { clock, garden } = useGarden();
  const navigate = useNavigate();
  const saved = useSavedToFile();
  // before it is known there is nothing to say, and the place for it is kept
  const words =
    saved === undefined
      ? ''
      : saved === null
        ? 'Not saved to a file yet'
        : `Saved to a file ${agoWords(dayOf(saved), dayOf(clock.now()))}`;
  const { isDue } = savedWords(saved, dayOf(clock.now()), garden.entries);
  if (isDue)
    return (
      <Button onClick={() => void navigate('/files')} sx={{ ...LINK, overflow: 'hidden' }}>
        <ByRoom short="Save a copy to a file" long={`${words}: save a copy`} />
      </Button>
    );
  return (
    <Box component="span" sx={{ whiteSpace: 'nowrap', overflow: 'hidden', textOverflow: 'ellipsis' }}>
      {words}
    </Box>
  );
}

/** The demo says that it is one, and lets its clock be moved on. */
function DemoLine({ onLeave }: { onLeave(): void }) {
  const { clock, moveDemoTo } = useGarden();
  const toMorning = () => {
    const now = clock.now();
    const hour = Number(now.slice(11, 13));
    return moveDemoTo(
      hour < 8
        ? momentAt(dayOf(now), 8, now)
        : hour < 17
          ? momentAt(dayOf(now), 18, now)
          : momentAt(addDays(dayOf(now), 1), 8, now),
    );
  };
  const isEvening = Number(clock.now().slice(11, 13)) >= 17;
  return (
    <Box sx={{ display: 'flex', alignItems: 'center', columnGap: { xs: 1.5, md: 2 }, minWidth: 0 }}>
      <Box
        component="span"
        sx={{ display: { xs: 'none', lg: 'inline' }, whiteSpace: 'nowrap', overflow: 'hidden' }}
      >
        Demo: a made-up yard in July
      </Box>
      <OnceButton onPress={() => toMorning()} sx={LINK}>
        <ByRoom
          short={isEvening ? 'Next morning' : 'Evening'}
          long={isEvening ? 'To the next morning' : 'To the evening'}
        />
      </OnceButton>
      <Button onClick={onLeave} sx={LINK}>
        My own bags
      </Button>
    </Box>
  );
}
