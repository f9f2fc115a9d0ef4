import { Box, Button, Typography } from '@mui/material';
import { dayOf } from '@rundel/core/calendar';
import { trimmed } from '@rundel/core/units';
import { useState } from 'react';
import { SOLUTION_FAULT_WORDS, SOLUTION_WORDS } from '../../text/feed-text.ts';
import { tankWords } from '../../text/tank-text.ts';
import { shortDay } from '../../text/text.ts';
import { useGarden, useUnitFormat } from '../../store/index.ts';
import { TankDialog } from './TankDialog.tsx';
import type { TankView } from './use-tanks.ts';

/** How a shared tank stands, drawn and said, and the button for what is seen or done at it. */
export function TankState({ view }: { readonly view: TankView }) {
  const { clock } = useGarden();
  const unitFormat = useUnitFormat();
  const [isOpen, setOpen] = useState(false);
  const { tank, course } = view;
  const today = dayOf(clock.now());
  const { solution } = course;
  const last = solution.readings.at(-1);
  return (
    <Box>
      <Box sx={{ display: 'flex', gap: 2, alignItems: 'center' }}>
        <Level tank={tank.litres} course={course} />
        <Box sx={{ flex: 1, minWidth: 0 }}>
          <Typography>{tankWords(tank, course, unitFormat, today)}</Typography>
          {last && (
            <Typography>
              {[
                last.ecMillisiemens === undefined ? '' : `EC ${trimmed(last.ecMillisiemens, 2)}\u00a0mS/cm`,
                last.ph === undefined ? '' : `pH ${trimmed(last.ph, 1)}`,
              ]
                .filter(Boolean)
                .join(', ')}
              , read on {shortDay(last.day, today)}.
            </Typography>
          )}
          {solution.setAside.map(({ day, what, value, fault }) => (
            <Typography key={`${day} ${what}`}>
              {what === 'ec' ? 'EC' : 'pH'} {trimmed(value, 2)} of {shortDay(day, today)} is set aside.{' '}
              {SOLUTION_FAULT_WORDS[fault]}
            </Typography>
          ))}
          {solution.description.map((word) => (
            <Typography key={word}>{SOLUTION_WORDS[word]}</Typography>
          ))}
        </Box>
      </Box>
      <Button variant="outlined" onClick={() => setOpen(true)} sx={{ marginBlockStart: 1 }}>
        Level, top up or measure
      </Button>
      {isOpen && <TankDialog view={view} onClose={() => setOpen(false)} />}
    </Box>
  );
}

/** The tank as it stands: what is in it, how sure that is, and its mark. */
function Level({ tank, course }: { readonly tank: number; readonly course: TankView['course'] }) {
  const [wide, high] = [64, 96];
  const y = (litres: number) => 4 + (high - 8) * (1 - Math.min(1, litres / tank));
  const { litres, refillLitres } = course;
  return (
    <svg
      width={wide}
      height={high}
      role="img"
      aria-label={litres ? `${Math.round((litres.likely / tank) * 100)} % full` : 'level not known'}
      style={{ flexShrink: 0 }}
    >
      {litres && (
        <>
          <rect
            x="5"
            width={wide - 10}
            y={y(litres.likely)}
            height={high - 4 - y(litres.likely)}
            fill="var(--water-4)"
          />
          <rect
            x="5"
            width={wide - 10}
            y={y(litres.high)}
            height={Math.max(2, y(litres.low) - y(litres.high))}
            fill="var(--water-5)"
            opacity="0.45"
          />
        </>
      )}
      <path
        d={`M 4 3 V ${high - 4} H ${wide - 4} V 3`}
        fill="none"
        stroke="var(--ink)"
        strokeWidth="3"
        strokeLinejoin="round"
      />
      <line
        x1="4"
        x2={wide - 4}
        y1={y(refillLitres)}
        y2={y(refillLitres)}
        stroke="var(--ink)"
        strokeWidth="1.5"
        strokeDasharray="4 3"
      />
    </svg>
  );
}
