import { Box, Button, Typography, useMediaQuery } from '@mui/material';
import { IconChevronLeft, IconChevronRight } from '@tabler/icons-react';
import { lazy, Suspense, useCallback, useDeferredValue, useMemo } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { Caution } from '../../ui/Caution.tsx';
import { kindWords } from '../../text/bag-text.ts';
import { foundWords } from '../../text/check-text.ts';
import { Page } from '../../ui/Page.tsx';
import { Deferred } from '../../ui/Deferred.tsx';
import { dayAndTime } from '../../text/text.ts';
import { useBags, useGarden, useUnitFormat, type Bag, told } from '../../store/index.ts';
import { RoundSidebar, type RoundSidebarProps } from './RoundSidebar.tsx';
import { useBounceGuard } from './bounce.ts';
import { Carry, likelyWatering } from './Carry.tsx';
import { useKeys } from './keys.ts';
import { NoBags } from './NoBags.tsx';
import { nextRoundOf, RoundDone } from './RoundDone.tsx';
import { StopCloseUp, StopSection } from './StopDrawing.tsx';
import { StopActions } from './StopActions.tsx';
import { useCurrentStop } from './current-stop.ts';
import { isOpen } from '@rundel/core/garden-state';
import { StopHead, StopWords } from './StopWords.tsx';
import { useStopRecords } from './use-stop-records.ts';
import { useStops } from './use-stops.ts';

const PlantingBanner = lazy(() => import('./planting/PlantingBanner.tsx'));

/** Home: today's walk, one bag at a time. */
export default function RoundPage() {
  const { clock, undo } = useGarden();
  const { bags, unreadable, isReady, isOld } = useBags();
  const { containerId } = useParams();
  const navigate = useNavigate();
  const unitFormat = useUnitFormat();
  const isWide = useMediaQuery('(min-width: 1200px)');
  const isPhone = useMediaQuery('(max-width: 899px)');
  const { plan, walk, keepTo, stopOf, stops } = useStops();
  const bag = useCurrentStop(containerId, bags, stops, walk);
  const stop = useMemo(() => bag && stopOf(bag), [bag, stopOf]);
  const status = stop?.status;
  // the answer comes first; what stands beside it follows a moment later
  const beside = useMemo(
    (): RoundSidebarProps => ({ stops, currentId: bag?.container.id, bags, plan, walk, onKeepTo: keepTo }),
    [bag, bags, keepTo, plan, stops, walk],
  );
  const listed = useDeferredValue(beside);
  const drawn = useDeferredValue(bag);

  const goOn = useCallback(
    (from: Bag | undefined, by: 1 | -1 = 1, isOpenOnly = true) => {
      const at = stops.findIndex((s) => s.bag === from);
      const round =
        by === 1
          ? [...stops.slice(at + 1), ...stops.slice(0, Math.max(0, at))]
          : [...stops.slice(0, Math.max(0, at))].reverse();
      const next = round.find((s) => !isOpenOnly || isOpen(s.status));
      void navigate(next ? `/round/${next.bag.container.id}` : '/round');
    },
    [navigate, stops],
  );

  const { check, watering, leaveOut } = useStopRecords(bag, goOn);

  useKeys(({ key, target }) => {
    // the grade that was just pressed still has the focus: Enter there means what comes next, not the same look again
    const pressed = (target as HTMLElement).closest('button, a');
    const isEnter =
      key === 'Enter' && (!pressed || pressed.matches('[aria-pressed="true"][aria-keyshortcuts]'));
    if (key === 'n') goOn(bag, 1, false);
    else if (key === 'p') goOn(bag, -1, false);
    else if (key === 'u') told(undo());
    else if (isEnter && status?.kind === 'watering') {
      const { fills } = status.advice;
      const feeds = stop?.feeds.filter(({ advice }) => advice.kind === 'feed') ?? [];
      told(watering({ ...fills, seen: { ranThrough: false }, into: status.advice.into, feeds }));
    } else if (isEnter && status?.kind === 'done') goOn(bag);
    else return false;
    return true;
  });

  const onClickCapture = useBounceGuard();
  const now = clock.now();
  const open = stops.filter((s) => isOpen(s.status));
  const planted = bags.filter((b) => b.occupants.length > 0);
  // before all is worked out there is only the stop to be quick with; bags that are due a feed would move the list's rows
  const isKnown = isReady && walk !== undefined;
  const lead =
    !isKnown && bags.length > 0
      ? 'Working out how the bags stand…'
      : planted.length === 0
        ? 'Nothing is planted yet.'
        : open.length === 0
          ? 'Nothing more to do on this round.'
          : `${open.length} of ${planted.length} ${planted.length === 1 ? 'bag' : 'bags'} ${open.length === 1 ? 'needs' : 'need'} you.`;

  if (bags.length === 0 && unreadable.length === 0) return <NoBags title={dayAndTime(now)} />;
  const carried = stops.filter(
    ({ status: s }) => s.kind === 'check' || s.kind === 'watering' || s.kind === 'feed',
  );
  const carryLitres = carried.reduce((sum, s) => sum + likelyWatering(s), 0);
  const list = isKnown && (
    <Deferred>
      <RoundSidebar {...listed} />
    </Deferred>
  );
  return (
    <Page
      title={dayAndTime(now)}
      lead={lead}
      actions={
        // on a phone the proposed watering and the grades want the room
        (!isKnown || carryLitres > 0) &&
        !(isPhone && status?.kind === 'watering') && (
          <Carry litres={isKnown ? carryLitres : undefined} stops={carried} />
        )
      }
    >
      <Suspense>
        <PlantingBanner />
      </Suspense>
      {unreadable.map(({ container, problem }) => (
        <Caution key={container.id}>
          Bag {container.label} cannot be worked out and is left out of the round: {problem} Its entries are
          kept. <Link to={`/bags/${container.id}/edit`}>Fix this bag</Link>
        </Caution>
      ))}
      <Box
        onClickCapture={onClickCapture}
        aria-busy={isOld}
        sx={{
          // how it stood at the last visit, until it is worked out how it stands now
          opacity: isOld ? 0.6 : 1,
          display: 'grid',
          gap: { xs: 2, lg: 2.5 },
          gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: 'minmax(0, 1fr) minmax(0, 380px)' },
          '@media (min-width: 1200px)': { gridTemplateColumns: '264px minmax(0, 1fr) 384px' },
        }}
      >
        {isWide && <Box>{list}</Box>}
        {bag && status ? (
          <>
            <Box
              sx={{
                backgroundColor: 'var(--surface)',
                border: '1px solid var(--line)',
                borderRadius: '14px',
                padding: { xs: 1.5, md: 2 },
                alignSelf: 'start',
                // beside the list, and not over it where that stands below
                ...(isWide && { position: 'sticky', top: 12 }),
              }}
            >
              <Box sx={{ display: 'flex', justifyContent: 'space-between', gap: 1 }}>
                <StopHead bag={bag} isPhone={isPhone} />
                {stops.length > 1 && (
                  <Box sx={{ display: 'flex', flexShrink: 0 }}>
                    <Button
                      aria-label="Bag before"
                      aria-keyshortcuts="p"
                      onClick={() => goOn(bag, -1, false)}
                      sx={{ minWidth: 48, padding: 0 }}
                    >
                      <IconChevronLeft aria-hidden />
                    </Button>
                    <Button
                      aria-label="Next bag"
                      aria-keyshortcuts="n"
                      onClick={() => goOn(bag, 1, false)}
                      sx={{ minWidth: 48, padding: 0 }}
                    >
                      <IconChevronRight aria-hidden />
                    </Button>
                  </Box>
                )}
              </Box>
              {isPhone ? (
                // as high as the longest words are: the grades below do not move when these come in
                <Box
                  sx={{
                    display: 'flex',
                    gap: 1.5,
                    alignItems: 'center',
                    minHeight: status.kind === 'watering' ? 0 : 184,
                  }}
                >
                  <Deferred>
                    <StopCloseUp bag={drawn ?? bag} isLow={status.kind === 'watering'} />
                  </Deferred>
                  <Box sx={{ minWidth: 0 }}>
                    <Box sx={{ color: 'text.secondary', fontSize: '0.9rem' }}>
                      {kindWords(bag, unitFormat)}
                    </Box>
                    {status.kind === 'watering' ? (
                      <Typography>
                        You found it <strong>{foundWords(status.checks, bag.occupants, unitFormat)}</strong>.
                        Below is what it should take.
                      </Typography>
                    ) : (
                      <StopWords bag={bag} status={status} />
                    )}
                  </Box>
                </Box>
              ) : (
                <Box sx={{ height: 'min(600px, calc(100vh - 230px))' }}>
                  <Deferred>
                    <StopSection bag={drawn ?? bag} width={isWide ? 500 : 420} />
                  </Deferred>
                </Box>
              )}
            </Box>
            <StopActions
              key={bag.container.id}
              bag={bag}
              status={status}
              feeds={stop?.feeds ?? []}
              onCheck={(seen, stationId) => told(check(seen, stationId))}
              onWater={(given) => told(watering(given))}
              onSkip={(reason) => told(leaveOut(reason))}
              onNext={() => goOn(bag)}
              isPhone={isPhone}
            />
          </>
        ) : (
          isReady &&
          walk && <RoundDone stops={stops} unitFormat={unitFormat} next={nextRoundOf(bags)} now={now} />
        )}
        {!isWide && (
          <Box sx={{ gridColumn: '1 / -1' }}>
            <Typography variant="h2" sx={{ marginBlock: 1 }}>
              This round
            </Typography>
            {list}
          </Box>
        )}
      </Box>
    </Page>
  );
}
