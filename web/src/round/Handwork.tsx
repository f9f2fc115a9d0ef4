import { Box, Typography } from '@mui/material';
import { tasksOf } from '@rundel/core/bag-state';
import { dayOf } from '@rundel/core/climate';
import { useDeferredValue, useMemo } from 'react';
import { Link } from 'react-router';
import { NightWords } from '../parts/NightWords.tsx';
import { isDue } from '../parts/task-words.ts';
import { TaskRow } from '../parts/TaskRow.tsx';
import { useBags, useGarden } from '../store/index.ts';

/** What the night asks, and the handwork that is due: winding, tying, top-ups, supports. */
export default function Handwork() {
  const { garden, live: latest, clock } = useGarden();
  const { bags: all } = useBags();
  // a look wants its answer first; what the hands have to do may follow a moment later
  const live = useDeferredValue(latest);
  const bags = useDeferredValue(all);
  const today = dayOf(clock.now());
  const due = useMemo(
    () =>
      bags.flatMap((bag) =>
        tasksOf(bag.container, bag.body, bag.occupants, live, garden.settings, today)
          .filter((task) => isDue(task, today))
          .map((task) => ({ bag, task })),
      ),
    [bags, garden.settings, live, today],
  );
  return (
    <Box sx={{ marginBlockStart: 2 }}>
      <NightWords crops={[]} bags={bags} isPlanted />
      {due.length > 0 && (
        <>
          <Typography sx={{ fontSize: '0.88rem', fontWeight: 'fontWeightMedium', color: 'text.secondary' }}>
            Handwork due
          </Typography>
          <Box component="ul" sx={{ listStyle: 'none', margin: 0, padding: 0 }}>
            {due.map(({ bag, task }) => (
              <TaskRow
                key={`${bag.container.id} ${task.kind}`}
                bag={bag}
                task={task}
                lead={
                  <Link to={`/stands/${bag.container.id}`} style={{ color: 'inherit', fontWeight: 700 }}>
                    {bag.container.label}
                  </Link>
                }
              />
            ))}
          </Box>
        </>
      )}
    </Box>
  );
}
