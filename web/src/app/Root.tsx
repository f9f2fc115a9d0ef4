import { Box, Button, Typography } from '@mui/material';
import { lazy, Suspense, useCallback, useDeferredValue, useEffect, useMemo, useState } from 'react';
import { Outlet, useLocation, useNavigate } from 'react-router';
import {
  GardenProvider,
  rememberedGarden,
  rememberGarden,
  tidy,
  told,
  useAutoSaving,
  useSecondCopy,
  useGarden,
  useGardenState,
  gardenToOpen,
  withGardenNamed,
  type GardenId,
} from '../store/index.ts';
import { placeNow } from '../ui/place-now.ts';
import { ThemeChoiceProvider } from '../ui/theme-context.tsx';
import { useScrollPlaces } from './scroll.ts';
import { Labels } from './Labels.tsx';
import { Shell } from './Shell.tsx';
import { useThemeChoice } from './theme/theme-choice.ts';

const UndoBar = lazy(() => import('./UndoBar.tsx'));
const ConflictDialog = lazy(() => import('./ConflictDialog.tsx'));
const LostGarden = lazy(() => import('./LostGarden.tsx'));
const Welcome = lazy(() => import('./Welcome.tsx'));

/** Opens the garden that was asked for and puts the shell round the places. */
export function Root() {
  const navigate = useNavigate();
  useScrollPlaces();
  const [gardenId, setWhich] = useState<GardenId>(() => {
    const asked = gardenToOpen(location.search, placeNow().pathname, rememberedGarden());
    rememberGarden(asked);
    return asked;
  });
  const place = useLocation();
  useEffect(() => {
    // which garden it is belongs to the address, so that a copied one, a bookmark and a second tab lead to the same
    const named = withGardenNamed(location.href, gardenId);
    if (named !== location.href) history.replaceState(history.state, '', named);
  }, [gardenId, place]);
  const change = useCallback(
    (next: GardenId) => {
      rememberGarden(next);
      setWhich(next);
      void navigate('/round');
    },
    [navigate],
  );
  return (
    // each garden has a component of its own, so that undo never reaches from one into the other
    <OpenedGarden key={gardenId} gardenId={gardenId} onChange={change} />
  );
}

function OpenedGarden({
  gardenId,
  onChange: change,
}: {
  readonly gardenId: GardenId;
  onChange(next: GardenId): void;
}) {
  const state = useGardenState(gardenId);
  const themeName = useThemeChoice();
  const themeValue = useMemo(
    () => ({ choice: themeName.choice, themeName: themeName.themeName, choose: themeName.choose }),
    [themeName.choice, themeName.choose, themeName.themeName],
  );
  // a whole screen is much to draw, and nobody waits to tap yet: it may be drawn in pieces. Later changes come at once
  const isOpened = useDeferredValue(state.kind !== 'loading');
  // a round and its stops ask nothing of older seasons: they need not wait for them
  const isRound = /^\/round(\/con_|$)/.test(useLocation().pathname);
  if (!isOpened) return <Opening />;
  switch (state.kind) {
    case 'loading':
      return <Opening />;
    case 'failed':
      return (
        <Box component="main" sx={{ padding: 4, maxWidth: 640 }}>
          <Typography variant="h1">The garden could not be opened</Typography>
          <Typography sx={{ marginBlock: 2 }}>{state.error.message}</Typography>
          <Button variant="contained" onClick={state.retry}>
            Try again
          </Button>{' '}
          <Button onClick={() => void state.goBack()}>Go back to the garden before the last file</Button>{' '}
          {gardenId === 'demo' && <Button onClick={() => change('own')}>Go to my own bags</Button>}
          {gardenId === 'own' && (
            <Suspense>
              <LostGarden garden={state.name} isThere />
            </Suspense>
          )}
        </Box>
      );
    case 'none':
      return (
        <Suspense fallback={<Waiting label="One moment…" />}>
          <Welcome
            name={state.name}
            onStart={state.start}
            onStartFrom={state.startFrom}
            onDemo={() => change('demo')}
          />
        </Suspense>
      );
    case 'ready':
      return (
        <ThemeChoiceProvider value={themeValue}>
          <GardenProvider open={state.open}>
            <Shell gardenId={gardenId} onChange={change}>
              <Suspense fallback={<Waiting label="One moment…" />}>
                {state.open.isWhole || isRound ? <Outlet /> : <Waiting label="Reading the older seasons…" />}
              </Suspense>
              <Rest isPressing={!isRound} />
            </Shell>
            {state.open.lastChange && (
              <Suspense>
                <UndoBar />
              </Suspense>
            )}
            {state.open.conflict && (
              <Suspense>
                <ConflictDialog />
              </Suspense>
            )}
            {state.open.isWhole && <Kept />}
          </GardenProvider>
        </ThemeChoiceProvider>
      );
  }
}

/** How long a round is on the screen before older seasons are read, ms. */
const ROUND_FIRST = 1500;

/** Reads the older seasons: at once for a page that asks for them, after the round has been drawn otherwise. */
function Rest({ isPressing }: { readonly isPressing: boolean }) {
  const { isWhole, readRest } = useGarden();
  useEffect(() => {
    if (isWhole) return undefined;
    const timer = setTimeout(() => told(readRest()), isPressing ? 0 : ROUND_FIRST);
    return () => clearTimeout(timer);
  }, [isPressing, isWhole, readRest]);
  return null;
}

/** How long a garden is shown before the one that it took the place of is let go of, ms. */
const SHOWN_AFTER = 4000;

/** Reminders and the calendar that a phone follows come after what is looked at. */
const Reminding = lazy(() => import('./Reminding.tsx'));

/** Keeps what is shown: its second copy and the file beside it up to date, and no database that nothing is in. */
function Kept() {
  const { setAside, store } = useGarden();
  const hasUnread = setAside.length > 0;
  const [isShown, setShown] = useState(false);
  useAutoSaving();
  useSecondCopy();
  useEffect(() => {
    const timer = setTimeout(() => {
      told(store.settled().then(() => tidy(store, hasUnread)));
      setShown(true);
    }, SHOWN_AFTER);
    return () => clearTimeout(timer);
  }, [hasUnread, store]);
  return isShown ? (
    <Suspense>
      <Reminding />
    </Suspense>
  ) : null;
}

/** The frame stands while the diary is read: nothing of it moves when the page comes. */
function Opening() {
  const isBegun = document.documentElement.dataset['garden'] !== '';
  return (
    <>
      <Waiting label="Opening the diary…" />
      {isBegun && <Labels />}
    </>
  );
}

function Waiting({ label }: { readonly label: string }) {
  return (
    <Box role="status" sx={{ padding: 4, color: 'text.secondary' }}>
      {label}
    </Box>
  );
}
