import { Box, Button, Typography } from '@mui/material';
import { dayOf } from '@rundel/core/calendar';
import { missedRounds } from '@rundel/core/round';
import { useMemo } from 'react';
import { told, useGarden, type Bag } from '../../store/index.ts';
import { shortDay } from '../../text/text.ts';

/** One missed round is a slip; from two on it is worth planning for. */
const WORTH_PLANNING = 2;

/** Where rounds have been missed, planning for it is offered: it is worth more than any better estimate. */
export function MissedRounds({ bags }: { readonly bags: readonly Bag[] }) {
  const { garden, live, clock, saveSettings } = useGarden();
  const { settings } = garden;
  const today = dayOf(clock.now());
  const isOpen = settings.plansForMissedRound === undefined;
  const missed = useMemo(
    () =>
      isOpen
        ? missedRounds(
            bags.map((b) => b.container.id),
            live,
            today,
          )
        : [],
    [bags, isOpen, live, today],
  );
  if (missed.length < WORTH_PLANNING) return null;
  const answer = (plansForMissedRound: boolean) => told(saveSettings({ ...settings, plansForMissedRound }));
  return (
    <Box role="region" aria-label="Missed rounds" sx={{ marginBlockEnd: 1.5 }}>
      <Typography>
        Bags were found dry after a longer gap than usual on{' '}
        {missed.map((m) => shortDay(m.day, today)).join(', ')}. If rounds fall out now and then, I can ask for
        each check a round earlier.
      </Typography>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, marginBlockStart: 1 }}>
        <Button variant="outlined" onClick={() => answer(true)}>
          Ask a round earlier
        </Button>
        <Button onClick={() => answer(false)}>No, leave it</Button>
      </Box>
    </Box>
  );
}
