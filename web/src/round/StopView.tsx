import { Box, Button, Typography } from '@mui/material';
import { IconBasket, IconNote, IconPlayerTrackNext } from '@tabler/icons-react';
import { expectedGrades } from '@rundel/core/round';
import type { EntryOf } from '@rundel/core/diary';
import { lazy, Suspense, useState } from 'react';
import { Link } from 'react-router';
import { expectation, kindWords, nextLookWords, seenStore, titleOf } from '../parts/bag-words.ts';
import { FAULT_WORDS, lookWords } from '../parts/look-words.ts';
import { STORE_WORDS } from '../parts/water-words.ts';
import { drinkMeasure, useGarden, useShown, type Bag } from '../store/index.ts';
import type { GivenDrink } from './DrinkProposal.tsx';
import type { FeedOffer } from '../parts/feed-offers.ts';
import { GradeButtons, type GradedWay } from './GradeButtons.tsx';
import { SkipButton, type SkipReason } from './SkipButton.tsx';
import type { StopDialog } from './StopDialogs.tsx';
import type { StopStatus } from './stops.ts';
import { usualWay, WayButton, type Way } from './WayButton.tsx';

/** Not part of the first load, but fetched as soon as the round is up: a look is not made in less time. */
const proposal = import('./DrinkProposal.tsx');
const DrinkProposal = lazy(() => proposal);
const FeedProposal = lazy(() => import('./FeedProposal.tsx'));
const FeedDue = lazy(() => import('./FeedDue.tsx'));
const FeedDialog = lazy(() => import('../parts/FeedDialog.tsx'));
const StopDialogs = lazy(() => import('./StopDialogs.tsx'));
const ReadingDialog = lazy(() => import('./ReadingDialog.tsx'));

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
  feeds,
  onLook,
  onDrink,
  onSkip,
  onNext,
  isPhone,
}: {
  readonly bag: Bag;
  readonly status: StopStatus;
  readonly feeds: readonly FeedOffer[];
  onLook(look: EntryOf<'look'>['look']): void;
  onDrink(drink: GivenDrink): void;
  onSkip(reason: SkipReason): void;
  onNext(): void;
  /** the words stand beside the bag then, and not here */
  readonly isPhone: boolean;
}) {
  const { garden } = useGarden();
  const [chosen, setChosen] = useState<GradedWay>();
  const method = chosen ?? usualWay(bag);
  const [reading, setReading] = useState<'scale' | 'probe'>();
  const takeWay = (way: Way) => {
    if (way === 'wilted') onLook({ method: 'wilted' });
    else if (way === 'scale' || way === 'probe') setReading(way);
    else setChosen(way);
  };
  const [dialog, setDialog] = useState<StopDialog>();
  const [isFeeding, setFeeding] = useState(false);
  const offered = feeds.find(({ advice }) => advice.kind === 'feed');
  const look = 'look' in status ? status.look : undefined;
  return (
    <Box sx={{ display: 'grid', gap: 1.5, alignContent: 'start' }}>
      {!isPhone && <StopWords bag={bag} status={status} method={method} />}
      {status.kind === 'drink' && (
        <Suspense>
          <DrinkProposal
            key={status.look.id}
            bag={bag}
            advice={status.advice}
            feeds={feeds}
            onGiven={onDrink}
            onOther={() => setDialog('drink')}
            onSkip={onSkip}
          />
        </Suspense>
      )}
      {status.kind === 'feed' && offered && (
        <Suspense>
          <FeedProposal
            key={offered.state.step.id}
            bag={bag}
            offer={offered}
            onDone={feeds.length > 1 ? () => undefined : onNext}
            onOther={() => setFeeding(true)}
          />
        </Suspense>
      )}
      {status.kind === 'done' && (
        <Suspense>
          <FeedDue bag={bag} feeds={feeds} isLookedAt />
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
        expected={expectedOn(bag, method)}
        chosen={look && gradeOf(look.look, method)}
        onLook={onLook}
      />
      {/* below the grades: it is known a moment later, and must not move them under a finger */}
      {status.kind === 'look' && (
        <Suspense>
          <FeedDue bag={bag} feeds={feeds} isLookedAt={false} />
        </Suspense>
      )}
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
        <WayButton bag={bag} way={method} onWay={takeWay} />
      </Box>
      {status.kind !== 'drink' && (
        <Box sx={{ display: 'flex', justifyContent: 'space-between', flexWrap: 'wrap' }}>
          <Button onClick={() => setDialog('drink')}>Give a drink anyway</Button>
          {status.kind === 'look' && <SkipButton onSkip={onSkip} />}
        </Box>
      )}
      {reading && (
        <Suspense>
          <ReadingDialog bag={bag} kind={reading} onLook={onLook} onClose={() => setReading(undefined)} />
        </Suspense>
      )}
      {isFeeding && (
        <Suspense>
          <FeedDialog
            bag={bag}
            goodId={offered?.good.id}
            step={offered && { regimeId: offered.regimeId, stepId: offered.state.step.id }}
            onClose={() => setFeeding(false)}
          />
        </Suspense>
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

const HOW: Record<GradedWay, string> = {
  finger: 'Feel two knuckles deep:',
  lift: 'Lift a corner or a handle, with care for your back:',
  level: 'Look at the level of its store:',
};

/** A long bag does not dry evenly: one end lies in the sun, one plant drinks more. */
const SEVERAL = 'Feel two knuckles deep between its plants, at both ends; the drier one counts:';

/** The span of grades on the buttons that is expected. */
function expectedOn(
  bag: Bag,
  way: GradedWay,
): { readonly driest: number; readonly wettest: number } | undefined {
  if (!bag.water || way === 'lift') return undefined;
  if (way === 'finger') return expectedGrades(bag.water);
  const store = seenStore(bag.water);
  return store && { driest: 1 + Math.round(store.low * 4), wettest: 1 + Math.round(store.high * 4) };
}

/** The grade on the buttons that a look is. */
function gradeOf(look: EntryOf<'look'>['look'], way: GradedWay): number | undefined {
  if (look.method !== way) return undefined;
  return look.method === 'level' ? 1 + Math.round(look.share * 4) : look.grade;
}

/** What to expect and why, or what came of the look. */
export function StopWords({
  bag,
  status,
  method = usualWay(bag),
}: {
  readonly bag: Bag;
  readonly status: StopStatus;
  readonly method?: GradedWay;
}) {
  const { clock } = useGarden();
  const shown = useShown();
  const { strong, rest } = expectation(bag, shown, clock.now());
  const store = method === 'level' ? seenStore(bag.water) : undefined;
  if (status.kind === 'working' || status.kind === 'done' || status.kind === 'feed')
    return <Answer status={status} bag={bag} />;
  if (status.kind === 'drink') return null;
  return (
    <Typography sx={{ fontSize: { xs: '1rem', md: '1.12rem' }, lineHeight: 1.4, minHeight: { md: '4.2em' } }}>
      {store ? (
        <>
          I expect its {STORE_WORDS[store.kind]}{' '}
          <strong>
            {Math.round(store.low * 100)} to {Math.round(store.high * 100)} % full
          </strong>
          .{' '}
        </>
      ) : strong === '' ? (
        'I am still working out what to expect. '
      ) : (
        <>
          I expect it <strong>{strong}</strong>. {rest}{' '}
        </>
      )}
      {method === 'finger' && bag.occupants.length > 1 ? SEVERAL : HOW[method]}
    </Typography>
  );
}

function Answer({
  status,
  bag,
}: {
  readonly status: Extract<StopStatus, { kind: 'working' | 'done' | 'feed' }>;
  readonly bag: Bag;
}) {
  const { clock } = useGarden();
  const shown = useShown();
  if (status.kind === 'working') return <Typography sx={{ fontSize: '1.12rem' }}>Working it out…</Typography>;
  const { look } = status;
  const fault = look && bag.water?.setAside.find((reading) => reading.entryId === look.id)?.fault;
  const next = bag.water ? nextLookWords(bag.water, clock.now()) : 'now';
  const when = next === 'now' ? 'at the next round' : next;
  const had =
    status.drunkLitres > 0
      ? `It had ${shown.show(status.drunkLitres, 'drink')}.`
      : look?.look.method === 'level'
        ? 'The mix has enough for now.'
        : 'It has enough; no drink needed.';
  return (
    <Typography sx={{ fontSize: '1.12rem' }} role="status">
      {look ? (
        <>
          You found it <strong>{lookWords(look.look, shown)}</strong>.{' '}
        </>
      ) : null}
      {fault ? `${FAULT_WORDS[fault]} It is kept and does not count. ` : null}
      {had} Next look: <strong>{when}</strong>.
    </Typography>
  );
}
