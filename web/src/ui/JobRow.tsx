import { IconCheck } from '@tabler/icons-react';
import type { BagJob } from '@rundel/core/garden-state';
import { dayOf } from '@rundel/core/calendar';
import type { ReactNode } from 'react';
import { Link, useNavigate } from 'react-router';
import { Button } from '@mui/material';
import { TrainChoice } from './care/TrainChoice.tsx';
import { JobLine } from './JobLine.tsx';
import { OnceButton } from './OnceButton.tsx';
import { newId, useGarden, useUnitFormat, type Bag } from '../store/index.ts';
import { isDue, jobWords, taskChanges, taskDone } from '../text/job-text.ts';
import { shortDay } from '../text/text.ts';

/** One job at a bag: what, why, and a button that puts it in the diary. */
export function JobRow({
  task,
  bag,
  lead,
}: {
  readonly task: BagJob;
  readonly bag: Bag;
  readonly lead?: ReactNode;
}) {
  const { clock, saveRecords } = useGarden();
  const unitFormat = useUnitFormat();
  const { what, why } = jobWords(task, bag, unitFormat);
  const now = clock.now();
  const due = isDue(task, dayOf(now));
  return (
    <JobLine
      isListed
      what={
        <>
          {lead} <strong>{what}</strong>
          {!due && ` from ${shortDay(task.dueOn)}`}
        </>
      }
      why={
        <>
          {why}.{task.kind === 'train' && <TrainChoice task={task} bag={bag} />}
        </>
      }
    >
      {task.kind === 'look-again' || task.kind === 'test-leaf' || task.kind === 'spray' ? (
        <Button
          component={Link}
          to={careAddress(task, bag)}
          variant="outlined"
          aria-label={`${what} at bag ${bag.container.label}`}
          sx={{ flexShrink: 0 }}
        >
          {task.kind === 'spray' ? 'Spray' : 'Look'}
        </Button>
      ) : task.kind === 'plant' ? (
        <PlantButton task={task} bag={bag} label={`${what} at bag ${bag.container.label}`} />
      ) : (
        <OnceButton
          variant="outlined"
          aria-label={`${what} at bag ${bag.container.label}: done`}
          onPress={() =>
            saveRecords(
              taskChanges(task, bag, now),
              taskDone(task, bag, now),
              `${what.toLowerCase()} at ${bag.container.label}`,
            )
          }
          startIcon={<IconCheck aria-hidden />}
          sx={{ flexShrink: 0 }}
        >
          Done
        </OnceButton>
      )}
    </JobLine>
  );
}

/** Where it is asked what came of it, or what is sprayed. */
function careAddress(
  task: Extract<BagJob, { kind: 'look-again' | 'test-leaf' | 'spray' }>,
  { container }: Bag,
): string {
  if (task.kind === 'look-again') return `/bags/${container.id}/trouble?case=${task.caseId}`;
  return `/bags/${container.id}?do=${task.kind}&case=${task.caseId}`;
}

/** On to the planting session with what was planned; where it goes in between, a place for it is made first. */
function PlantButton({
  task,
  bag: { container },
  label,
}: {
  readonly task: Extract<BagJob, { kind: 'plant' }>;
  readonly bag: Bag;
  readonly label: string;
}) {
  const { clock, saveRecords } = useGarden();
  const navigate = useNavigate();
  const plant = async () => {
    if (task.needsPlace) {
      const stations = [...container.stations, { id: newId('station') }];
      const after = { ...container, stations, changedAt: clock.now() };
      await saveRecords(
        [{ table: 'containers', before: container, after }],
        [],
        `a place more in ${container.label}`,
      );
    }
    void navigate(`/round/planting?bag=${container.id}`);
  };
  return (
    <OnceButton variant="outlined" aria-label={label} onPress={plant} sx={{ flexShrink: 0 }}>
      {task.plan.isSown ? 'Sow' : 'Plant'}
    </OnceButton>
  );
}
