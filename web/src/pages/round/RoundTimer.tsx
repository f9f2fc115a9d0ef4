import { Box, Button, TextField, Typography } from '@mui/material';
import { IconClock } from '@tabler/icons-react';
import { useEffect, useState } from 'react';
import { useGarden } from '../../store/index.ts';
import { OnceButton } from '../../ui/OnceButton.tsx';
import { timeIn } from '../../text/minutes-text.ts';
import type { WalkStop } from './StopList.tsx';

const KEPT = 'rundel.round-clock';
/** Who forgot to stop it was not at it for longer than this, minutes. */
const MOST_MINUTES = 240;

function keptStart(): string | undefined {
  return localStorage.getItem(KEPT) ?? undefined;
}

/** Times a round if the grower wants it; its minutes are shared by the bags at which something was done. */
export default function RoundTimer({ stops }: { readonly stops: readonly WalkStop[] }) {
  const { clock, record } = useGarden();
  const [startedAt, setStarted] = useState(keptStart);
  const [minutes, setMinutes] = useState<string>();
  const [, tick] = useState(0);
  useEffect(() => {
    if (startedAt === undefined) return undefined;
    const timer = setInterval(() => tick((n) => n + 1), 30_000);
    return () => clearInterval(timer);
  }, [startedAt]);
  const passed = startedAt === undefined ? 0 : (Date.parse(clock.now()) - Date.parse(startedAt)) / 60_000;
  const forget = () => {
    localStorage.removeItem(KEPT);
    setStarted(undefined);
    setMinutes(undefined);
  };
  if (startedAt === undefined)
    return (
      <Button
        startIcon={<IconClock size={18} aria-hidden />}
        onClick={() => {
          const now = clock.now();
          localStorage.setItem(KEPT, now);
          setStarted(now);
        }}
        sx={{ paddingInline: 0, textDecoration: 'underline' }}
      >
        Time this round
      </Button>
    );
  const shown = minutes ?? String(Math.max(1, Math.min(MOST_MINUTES, Math.round(passed))));
  const value = timeIn('minute', shown) ?? 0;
  const isRight = value >= 1 && value <= 1440;
  const done = stops.filter(({ status }) => status.kind === 'done').map(({ bag }) => bag.container.id);
  const stop = async () => {
    await record(
      [{ kind: 'worked', at: clock.now(), minutes: value, containerIds: done, during: 'round' }],
      `${shown} minutes of the round`,
    );
    forget();
  };
  return (
    <Box role="group" aria-label="Time of this round" sx={{ marginBlock: 1 }}>
      <Typography sx={{ fontSize: '0.95rem', marginBlockEnd: 0.5 }}>
        {passed > MOST_MINUTES
          ? 'The clock has run for hours: say how long it really was.'
          : `On the round for ${Math.max(0, Math.round(passed))} min.`}
      </Typography>
      <Box sx={{ display: 'flex', gap: 1, alignItems: 'flex-start' }}>
        <TextField
          label="Minutes"
          size="small"
          value={shown}
          error={!isRight}
          helperText={isRight ? undefined : 'From 1 to 1440, or as "1 h 20".'}
          onChange={(e) => setMinutes(e.target.value)}
          slotProps={{ htmlInput: { inputMode: 'decimal' } }}
          sx={{ width: 100 }}
        />
        <OnceButton variant="outlined" disabled={!isRight} onPress={stop}>
          Stop the clock
        </OnceButton>
        <Button onClick={forget}>Do not count</Button>
      </Box>
    </Box>
  );
}
