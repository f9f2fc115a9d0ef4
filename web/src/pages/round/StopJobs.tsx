import { Box, Typography } from '@mui/material';
import { dayOf } from '@rundel/core/calendar';
import { isDue, jobKey } from '../../text/job-text.ts';
import { JobRow } from '../../ui/JobRow.tsx';
import { useGarden, type Bag } from '../../store/index.ts';

/** What else the hands have to do at this bag, while one stands at it. */
export default function StopJobs({ bag }: { readonly bag: Bag }) {
  const { clock } = useGarden();
  const today = dayOf(clock.now());
  const due = bag.jobs.filter((task) => isDue(task, today));
  if (due.length === 0) return null;
  return (
    <Box>
      <Typography sx={{ fontSize: '0.88rem', fontWeight: 'fontWeightMedium', color: 'text.secondary' }}>
        Also due here
      </Typography>
      <Box component="ul" aria-label="Also due here" sx={{ listStyle: 'none', margin: 0, padding: 0 }}>
        {due.map((task) => (
          <JobRow key={jobKey(task)} bag={bag} task={task} />
        ))}
      </Box>
    </Box>
  );
}
