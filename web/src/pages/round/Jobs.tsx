import { Box, Typography } from '@mui/material';
import { jobsOf } from '@rundel/core/garden-state';
import { dayOf } from '@rundel/core/calendar';
import { memo, useDeferredValue, useMemo } from 'react';
import { Link } from 'react-router';
import { ColdNightNotice } from '../../ui/ColdNightNotice.tsx';
import { isDue } from '../../text/job-text.ts';
import { JobRow } from '../../ui/JobRow.tsx';
import { useBags, useGarden, type Bag } from '../../store/index.ts';

/** What the night asks, and the handwork that is due: winding, tying, top-ups, supports. */
export default function Jobs() {
  // a check wants its answer first; what the hands have to do may follow a moment later
  const bags = useDeferredValue(useBags().bags);
  return (
    <Box sx={{ marginBlockStart: 2 }}>
      <ColdNightNotice crops={[]} bags={bags} isPlanted />
      <Box sx={{ '&:not(:has(li))': { display: 'none' } }}>
        <Typography sx={{ fontSize: '0.88rem', fontWeight: 'fontWeightMedium', color: 'text.secondary' }}>
          Handwork due
        </Typography>
        <Box component="ul" sx={{ listStyle: 'none', margin: 0, padding: 0 }}>
          {bags.map((bag) => (
            <HandworkAt key={bag.container.id} bag={bag} />
          ))}
        </Box>
      </Box>
    </Box>
  );
}

/** What is due at one bag. Growth takes a while to work out: bag by bag, taps and frames come in between. */
const HandworkAt = memo(function HandworkAt({ bag }: { readonly bag: Bag }) {
  const { garden, live: latest, clock } = useGarden();
  const live = useDeferredValue(latest);
  const today = dayOf(clock.now());
  const due = useMemo(
    () =>
      jobsOf(
        bag.container,
        bag.properties,
        bag.occupants,
        live,
        garden.settings,
        today,
        bag.place?.cover ?? 'open',
      ).filter((task) => isDue(task, today)),
    [bag, garden.settings, live, today],
  );
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
