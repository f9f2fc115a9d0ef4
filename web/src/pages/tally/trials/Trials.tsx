import { Box, Button, Typography } from '@mui/material';
import { lazy, Suspense, useState } from 'react';
import type { Trial } from '@rundel/core/records';
import { Panel } from '../../../ui/Page.tsx';
import { useBags, useGarden } from '../../../store/index.ts';
import { Compare } from './Compare.tsx';
import { TrialPanel } from './TrialPanel.tsx';

const TrialDialog = lazy(() => import('./TrialDialog.tsx'));

/** Trials, and any two groups beside each other. */
export default function Trials() {
  const { garden } = useGarden();
  const { bags } = useBags();
  const [editing, setEditing] = useState<Trial | 'new'>();
  const plants = bags.reduce((sum, bag) => sum + bag.occupants.length, 0);
  const canTry = bags.length > 1 || plants > 1;
  const trials = garden.trials.filter((t) => !t.binnedAt);
  return (
    <>
      {trials.length === 0 && (
        <Panel title="Try one thing against another">
          <Typography sx={{ marginBlockEnd: 1.5 }}>
            A big bag against a small one, a new feed against the old: the same variety, at the same place,
            begun on the same day, and by lot which bag gets which. Then I say whether it really did better.
          </Typography>
          {!canTry && <Typography>You need at least two bags or two plants for that.</Typography>}
        </Panel>
      )}
      {trials.map((trial) => (
        <TrialPanel key={trial.id} trial={trial} onEdit={() => setEditing(trial)} />
      ))}
      {canTry && (
        <Box sx={{ marginBlockEnd: 2, '@media print': { display: 'none' } }}>
          <Button variant="contained" onClick={() => setEditing('new')}>
            New trial
          </Button>
        </Box>
      )}
      <Compare />
      <Suspense>
        {editing !== undefined && (
          <TrialDialog
            trial={editing === 'new' ? undefined : editing}
            onClose={() => setEditing(undefined)}
          />
        )}
      </Suspense>
    </>
  );
}
