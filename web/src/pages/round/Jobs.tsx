import { Box, Button, Typography } from '@mui/material';
import { IconChecks } from '@tabler/icons-react';
import type { BagJob } from '@rundel/core/garden-state';
import { dayOf } from '@rundel/core/calendar';
import { useDeferredValue, useState, type ReactNode } from 'react';
import { Link } from 'react-router';
import { asksMore, isDue, jobGroupWords, jobKey, taskChanges, taskDone } from '../../text/job-text.ts';
import { Alerts } from '../../ui/care/Alerts.tsx';
import { JobRow } from '../../ui/JobRow.tsx';
import { TankJobs } from './TankJobs.tsx';
import { MissedRounds } from './MissedRounds.tsx';
import { SickLast } from '../../ui/care/SickLast.tsx';
import { OnceButton } from '../../ui/OnceButton.tsx';
import { useBags, useGarden, type Bag } from '../../store/index.ts';

interface Due {
  readonly bag: Bag;
  readonly task: BagJob;
}

/** What the night asks, and the jobs that are due, one kind at a time: winding, tying, top-ups, supports. */
export default function Jobs() {
  const { clock } = useGarden();
  // a check wants its answer first; what the hands have to do may follow a moment later
  const bags = useDeferredValue(useBags().bags);
  const today = dayOf(clock.now());
  const groups = new Map<string, Due[]>();
  for (const bag of bags) {
    for (const task of bag.jobs) {
      if (!isDue(task, today)) continue;
      const kind = jobGroupWords(task);
      const group = groups.get(kind);
      if (group) group.push({ bag, task });
      else groups.set(kind, [{ bag, task }]);
    }
  }
  return (
    <Box sx={{ marginBlockStart: 2 }}>
      <MissedRounds bags={bags} />
      <Alerts bags={bags} />
      {groups.size > 0 && (
        <Typography sx={{ fontSize: '0.88rem', fontWeight: 'fontWeightMedium', color: 'text.secondary' }}>
          Jobs due
        </Typography>
      )}
      <TankJobs />
      {[...groups].map(([kind, due]) => (
        <JobGroup key={kind} kind={kind} due={due} />
      ))}
    </Box>
  );
}

/** One kind of job at all the bags where it is due; done at all of them in one tap, or bag by bag. */
function JobGroup({ kind, due }: { readonly kind: string; readonly due: readonly Due[] }) {
  const { clock, saveRecords } = useGarden();
  const [isOpen, setOpen] = useState(false);
  const labels = [...new Set(due.map(({ bag }) => bag.container.label))];
  // what is asked more of is told one by one
  if (labels.length === 1 || due.some(({ task }) => asksMore(task)))
    return (
      <JobList>
        <JobAt due={due} />
      </JobList>
    );
  const doneAtAll = () => {
    const now = clock.now();
    return saveRecords(
      due.flatMap(({ task, bag }) => taskChanges(task, bag, now)),
      due.flatMap(({ task, bag }) => taskDone(task, bag, now)),
      `${kind.toLowerCase()} at ${labels.length} bags`,
    );
  };
  return (
    <Box sx={{ borderBlockEnd: '1px solid var(--line)', paddingBlock: 0.75 }}>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', alignItems: 'center', gap: 1 }}>
        <Box sx={{ flex: '1 1 170px', minWidth: 0 }}>
          <strong>{kind}</strong>
          <Box sx={{ fontSize: '0.9rem', color: 'text.secondary' }}>at {labels.join(', ')}</Box>
          <Button
            size="small"
            aria-expanded={isOpen}
            onClick={() => setOpen(!isOpen)}
            sx={{ paddingInline: 0, textDecoration: 'underline' }}
          >
            {isOpen ? 'together' : 'one by one'}
          </Button>
        </Box>
        <OnceButton
          variant="outlined"
          aria-label={`${kind}: done at all ${labels.length}`}
          onPress={doneAtAll}
          startIcon={<IconChecks aria-hidden />}
          sx={{ flexShrink: 0 }}
        >
          Done at all {labels.length}
        </OnceButton>
      </Box>
      {due.some(({ task }) => task.kind === 'train') && <SickLast bags={due.map(({ bag }) => bag)} />}
      {isOpen && (
        <JobList>
          <JobAt due={due} />
        </JobList>
      )}
    </Box>
  );
}

function JobList({ children }: { readonly children: ReactNode }) {
  return (
    <Box component="ul" sx={{ listStyle: 'none', margin: 0, padding: 0 }}>
      {children}
    </Box>
  );
}

function JobAt({ due }: { readonly due: readonly Due[] }) {
  return due.map(({ bag, task }) => (
    <JobRow
      key={`${bag.container.id} ${jobKey(task)}`}
      bag={bag}
      task={task}
      lead={
        <Link to={`/bags/${bag.container.id}`} style={{ color: 'inherit', fontWeight: 700 }}>
          {bag.container.label}
        </Link>
      }
    />
  ));
}
