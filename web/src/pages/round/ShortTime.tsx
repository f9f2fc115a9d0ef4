import { Box, Button, Typography } from '@mui/material';
import { resolveAssumed } from '@rundel/core/assumed';
import { spotCheck, type RoundPlan } from '@rundel/core/round';
import { useState } from 'react';
import { useGarden, type Bag, type Walk } from '../../store/index.ts';

/** Fewer stops than this are no round to cut short. */
const LEAST_STOPS = 4;
const CHOICES = [5, 10, 20] as const;

/** When there is no time for the whole round: the bags at which a minute averts most. */
export default function ShortTime({
  plan,
  bags,
  walk,
  onKeepTo,
}: {
  readonly plan: RoundPlan;
  readonly bags: readonly Bag[];
  readonly walk: Walk;
  onKeepTo(containerIds: readonly string[] | undefined): void;
}) {
  const { garden } = useGarden();
  const [isOpen, setOpen] = useState(false);
  if (walk.spotIds) {
    const left = plan.stops.filter((stop) => !walk.spotIds?.includes(stop.containerId)).length;
    return (
      <Box role="note" sx={{ marginBlockEnd: 1.5 }}>
        <Typography sx={{ fontSize: '0.92rem' }}>
          A short round: the bags likeliest to go dry.{' '}
          {left > 0 ? `${left} more are due and can wait longer.` : ''}
        </Typography>
        <Button onClick={() => onKeepTo(undefined)}>The whole round</Button>
      </Box>
    );
  }
  if (plan.stops.length < LEAST_STOPS) return null;
  const waters = new Map(bags.flatMap((b) => (b.water ? [[b.container.id, b.water] as const] : [])));
  const choose = (minutes: number) => {
    const chosen = spotCheck(
      plan.stops,
      waters,
      bags.map((b) => b.container),
      minutes,
      resolveAssumed(garden.settings.assumptions),
    );
    setOpen(false);
    onKeepTo(chosen.map((stop) => stop.containerId));
  };
  if (!isOpen)
    return (
      <Button onClick={() => setOpen(true)} sx={{ marginBlockEnd: 1 }}>
        Short of time?
      </Button>
    );
  return (
    <Box role="group" aria-label="How long have you got?" sx={{ marginBlockEnd: 1.5 }}>
      <Typography sx={{ fontSize: '0.92rem' }}>How long have you got?</Typography>
      <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
        {CHOICES.map((minutes) => (
          <Button key={minutes} variant="outlined" onClick={() => choose(minutes)} sx={{ minHeight: 48 }}>
            {minutes} min
          </Button>
        ))}
      </Box>
    </Box>
  );
}
