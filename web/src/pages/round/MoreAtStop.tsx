import { Box, Button } from '@mui/material';
import { lazy, Suspense, useState } from 'react';
import { Link } from 'react-router';
import type { Bag } from '../../store/index.ts';

const StopJobs = lazy(() => import('./StopJobs.tsx'));
const StopTrusses = lazy(() => import('./StopTrusses.tsx'));

/** What else there is at a stop: trouble, how far trusses have come, which takes two taps, and jobs that are due. */
export function MoreAtStop({ bag }: { readonly bag: Bag }) {
  const [isOpen, setOpen] = useState(false);
  const hasTrusses = bag.occupants.some(({ crop }) => crop.id === 'tomato');
  return (
    <>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1 }}>
        <Button component={Link} to={`/bags/${bag.container.id}/trouble`}>
          Trouble?
        </Button>
        {hasTrusses && (
          <Button aria-expanded={isOpen} onClick={() => setOpen(!isOpen)}>
            Trusses
          </Button>
        )}
      </Box>
      <Suspense>{isOpen && <StopTrusses bag={bag} />}</Suspense>
      <Suspense>
        <StopJobs bag={bag} />
      </Suspense>
    </>
  );
}
