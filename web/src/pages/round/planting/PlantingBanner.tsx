import { Box, Button } from '@mui/material';
import { useMemo } from 'react';
import { Link } from 'react-router';
import { useBags, useGarden } from '../../../store/index.ts';
import { sessionState, stepsOf } from '@rundel/core/garden-state';
import { usePlantingSession } from './use-session.ts';

/** On the round: a planting that was begun and not finished. */
export default function PlantingBanner() {
  const { garden, live } = useGarden();
  const { bags } = useBags();
  const { session } = usePlantingSession();
  const steps = useMemo(
    () =>
      session?.hasBegun && session.endedAt === undefined
        ? stepsOf(sessionState(session, bags, live, garden.settings))
        : [],
    [bags, garden.settings, live, session],
  );
  const all = steps.reduce((sum, s) => sum + s.bags.length, 0);
  const left = steps.reduce((sum, s) => sum + s.left, 0);
  if (left === 0) return null;
  return (
    <Box
      role="note"
      sx={{
        display: 'flex',
        flexWrap: 'wrap',
        alignItems: 'center',
        gap: 1.5,
        padding: 1.25,
        marginBlockEnd: 2,
        borderRadius: '10px',
        borderInlineStart: '5px solid var(--flower)',
        backgroundColor: 'var(--raised)',
      }}
    >
      <Box sx={{ flex: '1 1 220px' }}>
        <strong>Planting is under way:</strong> {all - left} of {all} steps done.
      </Box>
      <Button component={Link} to="/round/planting" variant="contained">
        Go on planting
      </Button>
    </Box>
  );
}
