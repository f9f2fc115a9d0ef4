import { Box, Button } from '@mui/material';
import { ruleKey } from '@rundel/core/care';
import { plantsNamed, ruleOf, type BagJob } from '@rundel/core/garden-state';
import { lazy, Suspense, useState } from 'react';
import { useGarden, type Bag, type RecordChange } from '../../store/index.ts';
import { nothingThere } from '../../text/job-text.ts';
import { ChoiceButton } from '../ChoiceButton.tsx';

const EntryDialog = lazy(() =>
  import('../entries/EntryDialog.tsx').then((module) => ({ default: module.EntryDialog })),
);
const TrainingHow = lazy(() => import('./TrainingHow.tsx'));

const CHOICES = [
  { id: 'nothing', label: 'None there' },
  { id: 'earlier', label: 'Done earlier, or on some' },
  { id: 'plant', label: 'Never on this plant' },
  { id: 'garden', label: 'Not in my garden' },
] as const;

/** What else may be said of a job of training, and where to cut: nothing there today, not on this plant, not at all. */
export function TrainChoice({
  task,
  bag,
}: {
  readonly task: Extract<BagJob, { kind: 'train' }>;
  readonly bag: Bag;
}) {
  const { garden, clock, record, saveRecords, saveSettings } = useGarden();
  const [isOpen, setOpen] = useState(false);
  const [isEarlier, setEarlier] = useState(false);
  const rule = ruleOf(task);
  if (!rule) return null;
  const choose = (id: (typeof CHOICES)[number]['id']) => {
    const now = clock.now();
    if (id === 'earlier') return setEarlier(true);
    if (id === 'nothing')
      return record(nothingThere(task, bag, now), `${rule.what}: none at ${bag.container.label}`);
    if (id === 'garden')
      return saveSettings({
        ...garden.settings,
        training: { ...garden.settings.training, [ruleKey(task.formId, task.task)]: false },
      });
    const changes = plantsNamed(task.plants, bag.occupants).map(({ plant }): RecordChange => ({
      table: 'plants',
      before: plant,
      after: { ...plant, leftUndone: [...(plant.leftUndone ?? []), task.task], changedAt: now },
    }));
    return saveRecords(changes, [], `${rule.what}: not at ${bag.container.label}`);
  };
  return (
    <>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', columnGap: 2 }}>
        <Button
          size="small"
          aria-expanded={isOpen}
          aria-label={`Where and how: ${rule.what} at bag ${bag.container.label}`}
          onClick={() => setOpen(!isOpen)}
          sx={{ paddingInline: 0, textDecoration: 'underline' }}
        >
          Where and how
        </Button>
        <ChoiceButton
          size="small"
          choices={CHOICES}
          onChoose={(id) => void choose(id)}
          aria-label={`Otherwise: ${rule.what} at bag ${bag.container.label}`}
          sx={{ paddingInline: 0, textDecoration: 'underline' }}
        >
          Otherwise
        </ChoiceButton>
      </Box>
      <Suspense>
        {isEarlier && (
          <EntryDialog
            bags={[bag]}
            kind="tended"
            start={{ task: task.task }}
            onClose={() => setEarlier(false)}
          />
        )}
      </Suspense>
      {isOpen && (
        <Suspense>
          <TrainingHow formId={task.formId} rule={rule} />
        </Suspense>
      )}
    </>
  );
}
