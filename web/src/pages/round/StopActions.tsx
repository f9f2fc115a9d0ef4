import { Box, Button } from '@mui/material';
import { IconBasket, IconNote, IconPlayerTrackNext } from '@tabler/icons-react';
import { expectedGrades } from '@rundel/core/round';
import type { EntryOf } from '@rundel/core/records';
import { lazy, Suspense, useState } from 'react';
import { seenStore } from '../../text/bag-text.ts';
import { Disputed } from '../../ui/Disputed.tsx';
import type { FeedOffer } from '../../ui/feed-offers.ts';
import { plantWords } from '../../text/look-text.ts';
import { drinkMeasure, useGarden, type Bag } from '../../store/index.ts';
import type { GivenDrink } from './DrinkProposal.tsx';
import { GradeButtons, type GradedWay } from './GradeButtons.tsx';
import { SkipButton, type SkipReason } from './SkipButton.tsx';
import type { StopDialog } from './StopDialogs.tsx';
import type { StopStatus } from './stops.ts';
import { StopWords } from './StopWords.tsx';
import { usualWay, WayButton, type Way } from './WayButton.tsx';

/** Not part of the first load, but fetched as soon as the round is up: a look is not made in less time. */
const proposal = import('./DrinkProposal.tsx');
const DrinkProposal = lazy(() => proposal);
const FeedProposal = lazy(() => import('./FeedProposal.tsx'));
const FeedDue = lazy(() => import('./FeedDue.tsx'));
const FeedDialog = lazy(() => import('../../ui/FeedDialog.tsx'));
const StopDialogs = lazy(() => import('./StopDialogs.tsx'));
const PlantChoice = lazy(() => import('./PlantChoice.tsx'));
const ReadingDialog = lazy(() => import('./ReadingDialog.tsx'));

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
  onLook(look: EntryOf<'look'>['look'], stationId?: string): void;
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
  const looks = 'looks' in status ? status.looks : [];
  const [stationId, setStation] = useState<string>();
  const isByPlant = method === 'finger' && bag.occupants.length > 1;
  const at = isByPlant ? stationId : undefined;
  const chosenLook = looks.find((l) => l.stationId === at)?.look;
  const seen = (look: EntryOf<'look'>['look']) => {
    onLook(look, at);
    if (at === undefined) return;
    const unfelt = bag.occupants.find(
      (o) => o.stationId !== at && looks.every((l) => l.stationId !== o.stationId),
    );
    if (unfelt) setStation(unfelt.stationId);
  };
  return (
    <Box sx={{ display: 'grid', gap: 1.5, alignContent: 'start' }}>
      {!isPhone && <StopWords bag={bag} status={status} method={method} />}
      {status.kind === 'drink' && (
        <Suspense>
          <DrinkProposal
            // made anew after each look, also one at another plant
            key={looks.map(({ id }) => id).join()}
            bag={bag}
            driest={
              looks.length > 1 && status.look.stationId
                ? plantWords(status.look.stationId, bag.occupants)
                : undefined
            }
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
      <Disputed bag={bag} />
      {isByPlant && (
        // as high as what comes: the grades below it do not move
        <Box sx={{ minHeight: 48 }}>
          <Suspense>
            <PlantChoice bag={bag} stationId={at} looks={looks} onChoose={setStation} />
          </Suspense>
        </Box>
      )}
      <GradeButtons
        method={method}
        expected={expectedOn(bag, method)}
        chosen={chosenLook && gradeOf(chosenLook, method)}
        onLook={seen}
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
