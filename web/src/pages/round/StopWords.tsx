import { Box, Typography } from '@mui/material';
import { Link } from 'react-router';
import { expectation, kindWords, nextCheckWords, seenStore, titleOf } from '../../text/bag-text.ts';
import { useDrierPlant } from '../../ui/drier-plant.ts';
import { FAULT_WORDS, foundWords } from '../../text/check-text.ts';
import { STORE_WORDS } from '../../text/water-text.ts';
import { useGarden, useUnitFormat, type Bag } from '../../store/index.ts';
import type { GradedMethod } from './GradeButtons.tsx';
import type { StopStatus } from '@rundel/core/garden-state';
import { usualCheckMethod } from './CheckMethodButton.tsx';

export const STOP_HEAD_ID = 'stop-head';

/** The head of a stop: which bag, and what one expects of it and why. */
export function StopHead({
  bag,
  isPhone,
}: {
  readonly bag: Bag;
  /** what kind it is stands beside the bag then */
  readonly isPhone: boolean;
}) {
  const unitFormat = useUnitFormat();
  return (
    <Box sx={{ display: 'flex', alignItems: 'baseline', gap: 1.25, flexWrap: 'wrap' }}>
      <Typography
        variant="h2"
        id={STOP_HEAD_ID}
        tabIndex={-1}
        sx={{ fontSize: { xs: '1.35rem', md: '1.6rem' }, outline: 'none' }}
      >
        <Link to={`/bags/${bag.container.id}`} style={{ color: 'inherit', textDecoration: 'none' }}>
          {titleOf(bag)}
        </Link>
      </Typography>
      {!isPhone && <Box sx={{ color: 'text.secondary' }}>{kindWords(bag, unitFormat)}</Box>}
    </Box>
  );
}

const HOW: Record<GradedMethod, string> = {
  finger: 'Feel two knuckles deep:',
  lift: 'Lift a corner or a handle, with care for your back:',
  level: 'Check the level of its store:',
};

/** A long bag does not dry evenly: one end lies in the sun, one plant waterings more. */
function useWhereToFeel(bag: Bag): string {
  const drier = useDrierPlant(bag);
  return drier
    ? `Feel two knuckles deep at ${drier.plant}: it was the drier one ${drier.times} of ${drier.visits} times.`
    : 'Feel two knuckles deep between its plants, at both ends; the drier one counts:';
}

/** What to expect and why, or what came of the check. */
export function StopWords({
  bag,
  status,
  method = usualCheckMethod(bag),
}: {
  readonly bag: Bag;
  readonly status: StopStatus;
  readonly method?: GradedMethod;
}) {
  const { clock } = useGarden();
  const unitFormat = useUnitFormat();
  const whereToFeel = useWhereToFeel(bag);
  const { strong, rest } = expectation(bag, unitFormat, clock.now());
  const store = method === 'level' ? seenStore(bag.water) : undefined;
  if (status.kind === 'working' || status.kind === 'done' || status.kind === 'feed')
    return <Answer status={status} bag={bag} />;
  if (status.kind === 'watering') return null;
  return (
    <Typography
      sx={{ fontSize: { xs: '0.95rem', md: '1.12rem' }, lineHeight: 1.35, minHeight: { md: '5.45em' } }}
    >
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
      {method === 'finger' && bag.occupants.length > 1 ? whereToFeel : HOW[method]}
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
  const unitFormat = useUnitFormat();
  if (status.kind === 'working')
    return (
      <Typography sx={{ fontSize: '1.12rem' }} role="status">
        You found it <strong>{foundWords(status.checks, bag.occupants, unitFormat)}</strong>; what follows
        from it comes in a moment.
      </Typography>
    );
  const { check } = status;
  const fault = check && bag.water?.setAside.find((reading) => reading.entryId === check.id)?.fault;
  const next = bag.water ? nextCheckWords(bag.water, clock.now()) : 'now';
  const when = next === 'now' ? 'at the next round' : next;
  const had =
    status.wateredLitres > 0
      ? `It had ${unitFormat.show(status.wateredLitres, 'water')}.`
      : check?.check.method === 'level'
        ? 'The mix has enough for now.'
        : 'It has enough; no watering needed.';
  return (
    <Typography sx={{ fontSize: '1.12rem' }} role="status">
      {check ? (
        <>
          You found it <strong>{foundWords(status.checks, bag.occupants, unitFormat)}</strong>.{' '}
        </>
      ) : null}
      {fault ? `${FAULT_WORDS[fault]} It is kept and does not count. ` : null}
      {had} Next check: <strong>{when}</strong>.
    </Typography>
  );
}
