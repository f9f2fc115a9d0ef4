import { Box, Typography } from '@mui/material';
import { dayOf } from '@rundel/core/calendar';
import { memo, useDeferredValue } from 'react';
import { Link } from 'react-router';
import { ColdNightNotice } from '../../ui/ColdNightNotice.tsx';
import { isDue } from '../../text/job-text.ts';
import { JobRow } from '../../ui/JobRow.tsx';
import { useBags, useGarden, type Bag } from '../../store/index.ts';

/** What the night asks, and the jobs that are due: winding, tying, top-ups, supports. */
export default function Jobs() {
  // a check wants its answer first; what the hands have to do may follow a moment later
  const bags = useDeferredValue(useBags().bags);
  return (
    <Box sx={{ marginBlockStart: 2 }}>
      <ColdNightNotice crops={[]} bags={bags} isPlanted />
      <Box sx={{ '&:not(:has(li))': { display: 'none' } }}>
        <Typography sx={{ fontSize: '0.88rem', fontWeight: 'fontWeightMedium', color: 'text.secondary' }}>
          Jobs due
        </Typography>
        <Box component="ul" sx={{ listStyle: 'none', margin: 0, padding: 0 }}>
          {bags.map((bag) => (
            <JobsAt key={bag.container.id} bag={bag} />
          ))}
        </Box>
      </Box>
    </Box>
  );
}

/** What is due at one bag. */
const JobsAt = memo(function JobsAt({ bag }: { readonly bag: Bag }) {
  const { clock } = useGarden();
  const today = dayOf(clock.now());
  const due = bag.jobs.filter((task) => isDue(task, today));
  return due.map((task) => (
    <JobRow
      key={task.kind}
      bag={bag}
      task={task}
      lead={
        <Link to={`/bags/${bag.container.id}`} style={{ color: 'inherit', fontWeight: 700 }}>
          {bag.container.label}
        </Link>
      }
    />
  ));
});
