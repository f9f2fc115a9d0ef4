import { Box, Button, Typography } from '@mui/material';
import { IconBasket, IconNote, IconPlayerTrackNext } from '@tabler/icons-react';
import { expectedGrades } from '@rundel/core/round';
import { FINGER_GRADES, LIFT_GRADES, type Look } from '@rundel/core/water';
import { lazy, Suspense, useMemo, useState } from 'react';
import { Link } from 'react-router';
import { expectation, kindWords, nextLookWords, titleOf } from '../parts/bag-words.ts';
import { BagElevation, BagSection, sceneOf } from '../section/index.ts';
import { drinkMeasure, useGarden, useShown, type Bag } from '../store/index.ts';
import { GradeButtons } from './GradeButtons.tsx';
import type { StopDialog } from './StopDialogs.tsx';
import type { StopStatus } from './stops.ts';

/** Not part of the first load, but fetched as soon as the round is up: a look is not made in less time. */
const proposal = import('./DrinkProposal.tsx');
const DrinkProposal = lazy(() => proposal);
const StopDialogs = lazy(() => import('./StopDialogs.tsx'));

/** The bag of a stop in section. */
export function StopSection({ bag, height }: { readonly bag: Bag; readonly height: number }) {
  const { clock, garden, live } = useGarden();
  const shown = useShown();
  const share = bag.water?.estimate.share;
  const scene = useMemo(
    () => sceneOf(bag.container, bag.body, bag.occupants, share, clock.now(), garden.settings, live),
    [bag.body, bag.container, bag.occupants, clock, garden.settings, live, share],
  );
  return <BagSection scene={scene} shown={shown} height={height} title={`${titleOf(bag)} in section`} />;
}

/** The bag of a stop close up, for a phone: the bag itself as large as it goes, the plant's top out of the picture. */
export function StopCloseUp({ bag }: { readonly bag: Bag }) {
  const { clock, garden, live } = useGarden();
  const share = bag.water?.estimate.share;
  const scene = useMemo(
    () => sceneOf(bag.container, bag.body, bag.occupants, share, clock.now(), garden.settings, live),
    [bag.body, bag.container, bag.occupants, clock, garden.settings, live, share],
  );
  const pixelsPerMillimetre = Math.min(128 / (2 * scene.halfWidest), 112 / scene.heightMillimetres);
  const percent = (part: number) => Math.round(part * 100);
  return (
    <Box
      component={Link}
      to={`/stands/${bag.container.id}`}
      aria-label={`${titleOf(bag)} in section; open its page`}
      sx={{
        width: 150,
        height: 164,
        flexShrink: 0,
        display: 'grid',
        alignContent: 'end',
        color: 'inherit',
        textDecoration: 'none',
      }}
    >
      <Box
        sx={{
          overflow: 'hidden',
          height: 142,
          display: 'grid',
          alignContent: 'end',
          justifyContent: 'center',
          borderBlockEnd: '2.5px solid var(--ink)',
        }}
      >
        <BagElevation scene={scene} pixelsPerMillimetre={pixelsPerMillimetre} />
      </Box>
      <Box sx={{ textAlign: 'center', fontSize: '0.85rem' }}>
        {share ? (
          <>
            <strong>{percent(share.likely)} %</strong> left, {percent(share.low)} to {percent(share.high)}
          </>
        ) : (
          '…'
        )}
      </Box>
    </Box>
  );
}

export const STOP_HEAD_ID = 'stop-head';

/** The head of a stop: which bag, and what one expects of it and why. */
export function StopHead({ bag }: { readonly bag: Bag }) {
  const shown = useShown();
  return (
    <Box sx={{ display: 'flex', alignItems: 'baseline', gap: 1.25, flexWrap: 'wrap' }}>
      <Typography
        variant="h2"
        id={STOP_HEAD_ID}
        tabIndex={-1}
        sx={{ fontSize: { xs: '1.35rem', md: '1.6rem' }, outline: 'none' }}
      >
        <Link to={`/stands/${bag.container.id}`} style={{ color: 'inherit', textDecoration: 'none' }}>
          {titleOf(bag)}
        </Link>
      </Typography>
      <Box sx={{ color: 'text.secondary' }}>{kindWords(bag, shown)}</Box>
    </Box>
  );
}

/** Everything to do at one stop. `onNext` leads on along the walk. */
export function StopActions({
  bag,
  status,
  onLook,
  onDrink,
  onSkip,
  onNext,
  isPhone,
}: {
  readonly bag: Bag;
  readonly status: StopStatus;
  onLook(look: Look): void;
  onDrink(drink: { litres: number; count: number; ranThrough: boolean }): void;
  onSkip(): void;
  onNext(): void;
  /** the words stand beside the bag then, and not here */
  readonly isPhone: boolean;
}) {
  const { garden } = useGarden();
  const [method, setMethod] = useState<Look['method']>('finger');
  const [dialog, setDialog] = useState<StopDialog>();
  const look = 'look' in status ? status.look : undefined;
  return (
    <Box sx={{ display: 'grid', gap: 1.5, alignContent: 'start' }}>
      {!isPhone && <StopWords bag={bag} status={status} method={method} />}
      {status.kind === 'drink' && (
        <Suspense>
          <DrinkProposal
            key={status.look.id}
            advice={status.advice}
            onGiven={onDrink}
            onOther={() => setDialog('drink')}
            onSkip={onSkip}
          />
        </Suspense>
      )}
      {(status.kind === 'done' || status.kind === 'skipped') && (
        <Button
          variant="contained"
          onClick={onNext}
          endIcon={<IconPlayerTrackNext aria-hidden />}
          aria-keyshortcuts="Enter"
          sx={{ minHeight: 56, fontSize: '1.1rem' }}
        >
          Next
        </Button>
      )}
      <GradeButtons
        method={method}
        expected={bag.water ? expectedGrades(bag.water) : undefined}
        chosen={look?.look.method === method ? look.look.grade : undefined}
        onLook={onLook}
      />
      <Box sx={{ display: 'grid', gridTemplateColumns: 'repeat(3, 1fr)', gap: 1 }}>
        <Button
          variant="outlined"
          onClick={() => setDialog('pick')}
          startIcon={<IconBasket aria-hidden />}
          sx={{ minHeight: 56 }}
        >
          Pick
        </Button>
        <Button
          variant="outlined"
          onClick={() => setDialog('note')}
          startIcon={<IconNote aria-hidden />}
          sx={{ minHeight: 56 }}
        >
          Note
        </Button>
        <Button
          variant="outlined"
          onClick={() => setMethod((m) => (m === 'finger' ? 'lift' : 'finger'))}
          sx={{ minHeight: 56, lineHeight: 1.2 }}
        >
          {method === 'finger' ? 'Lift instead' : 'Finger instead'}
        </Button>
      </Box>
      {status.kind !== 'drink' && (
        <Box sx={{ display: 'flex', justifyContent: 'space-between', flexWrap: 'wrap' }}>
          <Button onClick={() => setDialog('drink')}>Give a drink anyway</Button>
          {status.kind === 'look' && <Button onClick={onSkip}>Not now</Button>}
        </Box>
      )}
      {dialog && (
        <Suspense>
          <StopDialogs bag={bag} dialog={dialog} onClose={() => setDialog(undefined)} />
        </Suspense>
      )}
      <Box
        component="span"
        sx={{ fontSize: '0.85rem', color: 'text.secondary', display: { xs: 'none', md: 'block' } }}
      >
        Drinks are in your {drinkMeasure(garden).name}. Keys: 1–5 grade, Enter gives or goes on, U undoes.
      </Box>
    </Box>
  );
}

/** What to expect and why, or what came of the look. */
export function StopWords({
  bag,
  status,
  method = 'finger',
}: {
  readonly bag: Bag;
  readonly status: StopStatus;
  readonly method?: Look['method'];
}) {
  const { clock } = useGarden();
  const shown = useShown();
  const { strong, rest } = expectation(bag, shown, clock.now());
  if (status.kind === 'working' || status.kind === 'done') return <Answer status={status} bag={bag} />;
  if (status.kind === 'drink') return null;
  return (
    <Typography sx={{ fontSize: { xs: '1rem', md: '1.12rem' }, lineHeight: 1.4 }}>
      I expect it <strong>{strong || '…'}</strong>. {rest}{' '}
      {method === 'finger'
        ? 'Feel two knuckles deep:'
        : 'Lift a corner or a handle, with care for your back:'}
    </Typography>
  );
}

function Answer({
  status,
  bag,
}: {
  readonly status: Extract<StopStatus, { kind: 'working' | 'done' }>;
  readonly bag: Bag;
}) {
  const { clock } = useGarden();
  const shown = useShown();
  if (status.kind === 'working') return <Typography sx={{ fontSize: '1.12rem' }}>Working it out…</Typography>;
  const { look } = status;
  const felt = look
    ? (look.look.method === 'finger' ? FINGER_GRADES : LIFT_GRADES)[look.look.grade - 1]
    : undefined;
  const next = bag.water ? nextLookWords(bag.water, clock.now()) : 'now';
  const when = next === 'now' ? 'at the next round' : next;
  const had =
    status.drunkLitres > 0
      ? `It had ${shown.show(status.drunkLitres, 'drink')}.`
      : 'It has enough; no drink needed.';
  return (
    <Typography sx={{ fontSize: '1.12rem' }} role="status">
      {felt ? (
        <>
          You felt it <strong>{felt}</strong>.{' '}
        </>
      ) : null}
      {had} Next look: <strong>{when}</strong>.
    </Typography>
  );
}
