import { Box, Button } from '@mui/material';
import { IconBasket, IconNote, IconPlayerTrackNext } from '@tabler/icons-react';
import { expectedGrades } from '@rundel/core/round';
import type { EntryOf } from '@rundel/core/records';
import { lazy, Suspense, useState } from 'react';
import { Link } from 'react-router';
import { seenStore } from '../../text/bag-text.ts';
import { ContradictionNotice } from '../../ui/ContradictionNotice.tsx';
import type { FeedOffer } from '@rundel/core/garden-state';
import { plantWords } from '../../text/plant-text.ts';
import { wateringMeasure, useGarden, type Bag } from '../../store/index.ts';
import type { WateringDone } from './WateringProposal.tsx';
import { GradeButtons, type GradedMethod } from './GradeButtons.tsx';
import { SkipButton, type SkipReason } from './SkipButton.tsx';
import type { NewEntryKind } from '../../ui/entries/EntryDialog.tsx';
import type { StopStatus } from '@rundel/core/garden-state';
import { StopWords } from './StopWords.tsx';
import { usualCheckMethod, CheckMethodButton, type CheckMethod } from './CheckMethodButton.tsx';

/** Not part of the first load, but fetched as soon as the round is up: a check is not made in less time. */
const proposal = import('./WateringProposal.tsx');
const WateringProposal = lazy(() => proposal);
const FeedProposal = lazy(() => import('./FeedProposal.tsx'));
const FeedDue = lazy(() => import('./FeedDue.tsx'));
const FeedDialog = lazy(() => import('../../ui/FeedDialog.tsx'));
const EntryDialog = lazy(() =>
  import('../../ui/entries/EntryDialog.tsx').then((module) => ({ default: module.EntryDialog })),
);
const PlantChoice = lazy(() => import('./PlantChoice.tsx'));
const StopJobs = lazy(() => import('./StopJobs.tsx'));
const StopTrusses = lazy(() => import('./StopTrusses.tsx'));
const ReadingDialog = lazy(() => import('./ReadingDialog.tsx'));

/** Everything to do at one stop. `onNext` leads on along the walk. */
export function StopActions({
  bag,
  status,
  feeds,
  onCheck,
  onWater,
  onSkip,
  onNext,
  isPhone,
}: {
  readonly bag: Bag;
  readonly status: StopStatus;
  readonly feeds: readonly FeedOffer[];
  onCheck(check: EntryOf<'check'>['check'], stationId?: string): void;
  onWater(watering: WateringDone): void;
  onSkip(reason: SkipReason): void;
  onNext(): void;
  /** the words stand beside the bag then, and not here */
  readonly isPhone: boolean;
}) {
  const { garden } = useGarden();
  const [chosen, setChosen] = useState<GradedMethod>();
  const method = chosen ?? usualCheckMethod(bag);
  const [reading, setReading] = useState<'scale' | 'probe'>();
  const takeMethod = (checkMethod: CheckMethod) => {
    if (checkMethod === 'wilted') onCheck({ method: 'wilted' });
    else if (checkMethod === 'scale' || checkMethod === 'probe') setReading(checkMethod);
    else setChosen(checkMethod);
  };
  const [dialog, setDialog] = useState<NewEntryKind>();
  const [isFeeding, setFeeding] = useState(false);
  const [isTrussOpen, setTrussOpen] = useState(false);
  const offered = feeds.find(({ advice }) => advice.kind === 'feed');
  const checks = 'checks' in status ? status.checks : [];
  const [stationId, setStation] = useState<string>();
  const isByPlant = method === 'finger' && bag.occupants.length > 1;
  const at = isByPlant ? stationId : undefined;
  const chosenCheck = checks.find((l) => l.stationId === at)?.check;
  const seen = (check: EntryOf<'check'>['check']) => {
    onCheck(check, at);
    if (at === undefined) return;
    const unfelt = bag.occupants.find(
      (o) => o.stationId !== at && checks.every((l) => l.stationId !== o.stationId),
    );
    if (unfelt) setStation(unfelt.stationId);
  };
  return (
    <Box sx={{ display: 'grid', gap: { xs: 1.25, md: 1.5 }, alignContent: 'start' }}>
      {!isPhone && <StopWords bag={bag} status={status} method={method} />}
      {status.kind === 'watering' && (
        <Suspense>
          <WateringProposal
            // made anew after each check, also one at another plant
            key={checks.map(({ id }) => id).join()}
            bag={bag}
            driest={
              checks.length > 1 && status.check.stationId
                ? plantWords(status.check.stationId, bag.occupants)
                : undefined
            }
            advice={status.advice}
            feeds={feeds}
            onGiven={onWater}
            onOther={() => setDialog('watering')}
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
          <FeedDue bag={bag} feeds={feeds} isChecked />
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
      <ContradictionNotice bag={bag} />
      {isByPlant && (
        // as high as what comes: the grades below it do not move
        <Box sx={{ minHeight: 48 }}>
          <Suspense>
            <PlantChoice bag={bag} stationId={at} checks={checks} onChoose={setStation} />
          </Suspense>
        </Box>
      )}
      <GradeButtons
        method={method}
        expected={expectedOn(bag, method)}
        chosen={chosenCheck && gradeOf(chosenCheck, method)}
        onCheck={seen}
        isInRow={isPhone && status.kind === 'watering'}
      />
      {/* below the grades: it is known a moment later, and must not move them under a finger */}
      {status.kind === 'check' && (
        <Suspense>
          <FeedDue bag={bag} feeds={feeds} isChecked={false} />
        </Suspense>
      )}
      <Box sx={{ display: 'grid', gridTemplateColumns: 'repeat(3, 1fr)', gap: 1 }}>
        <Button
          variant="outlined"
          onClick={() => setDialog('picking')}
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
        <CheckMethodButton bag={bag} checkMethod={method} onMethod={takeMethod} />
      </Box>
      {status.kind !== 'watering' && (
        <Box sx={{ display: 'flex', justifyContent: 'space-between', flexWrap: 'wrap' }}>
          <Button onClick={() => setDialog('watering')}>Water it anyway</Button>
          <Button component={Link} to={`/bags/${bag.container.id}/trouble`}>
            Trouble?
          </Button>
          {bag.occupants.some(({ crop }) => crop.id === 'tomato') && (
            <Button aria-expanded={isTrussOpen} onClick={() => setTrussOpen(!isTrussOpen)}>
              Trusses
            </Button>
          )}
          {status.kind === 'check' && <SkipButton onSkip={onSkip} />}
        </Box>
      )}
      <Suspense>{isTrussOpen && <StopTrusses bag={bag} />}</Suspense>
      {reading && (
        <Suspense>
          <ReadingDialog bag={bag} kind={reading} onCheck={onCheck} onClose={() => setReading(undefined)} />
        </Suspense>
      )}
      {isFeeding && (
        <Suspense>
          <FeedDialog
            bags={[bag]}
            productId={offered?.product.id}
            into={offered?.into}
            step={offered && { regimeId: offered.regimeId, stepId: offered.state.step.id }}
            onClose={() => setFeeding(false)}
          />
        </Suspense>
      )}
      {dialog && (
        <Suspense>
          <EntryDialog bags={[bag]} kind={dialog} onClose={() => setDialog(undefined)} />
        </Suspense>
      )}
      <Box
        component="span"
        sx={{ fontSize: '0.85rem', color: 'text.secondary', display: { xs: 'none', md: 'block' } }}
      >
        Waterings are in your {wateringMeasure(garden).name}. Keys: 1–5 grade, Enter gives or goes on, U
        undoes.
      </Box>
      {/* last of all: it comes a moment later and moves nothing */}
      <Suspense>
        <StopJobs bag={bag} />
      </Suspense>
    </Box>
  );
}

/** The span of grades on the buttons that is expected. */
function expectedOn(
  bag: Bag,
  checkMethod: GradedMethod,
): { readonly driest: number; readonly wettest: number } | undefined {
  if (!bag.water || checkMethod === 'lift') return undefined;
  if (checkMethod === 'finger') return expectedGrades(bag.water);
  const store = seenStore(bag.water);
  return store && { driest: 1 + Math.round(store.low * 4), wettest: 1 + Math.round(store.high * 4) };
}

/** The grade on the buttons that a check is. */
function gradeOf(check: EntryOf<'check'>['check'], checkMethod: GradedMethod): number | undefined {
  if (check.method !== checkMethod) return undefined;
  return check.method === 'level' ? 1 + Math.round(check.share * 4) : check.grade;
}
