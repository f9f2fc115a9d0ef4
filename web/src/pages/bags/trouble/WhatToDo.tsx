import { Box, Button, Typography } from '@mui/material';
import type { Diagnosis } from '@rundel/core/care';
import { Link } from 'react-router';
import { SignDrawing } from '../../../section/care/SignDrawing.tsx';
import { causeName, percent } from '../../../text/trouble-text.ts';
import { inUnits } from '../../../text/in-units.ts';
import { useUnitFormat } from '../../../store/index.ts';
import { CautionOf } from '../../../ui/CautionOf.tsx';
import { Remark } from '../../../ui/Remark.tsx';

/** The one thing that is worth looking at next, with its answer in one tap. */
export function NextLook({
  diagnosis: { next },
  onAnswer,
}: {
  readonly diagnosis: Diagnosis;
  onAnswer(id: string, isThere: boolean): void;
}) {
  if (!next) return null;
  const { sign, forCause } = next;
  return (
    <Box
      role="group"
      aria-label="What to look at next"
      sx={{
        border: '2px solid var(--flower)',
        borderRadius: '12px',
        padding: 1.5,
        marginBlock: 1.5,
        display: 'flex',
        gap: 1.5,
        alignItems: 'center',
      }}
    >
      <SignDrawing id={sign.id} size={64} />
      <Box sx={{ flex: 1, minWidth: 0 }}>
        <Box sx={{ color: 'text.secondary', fontSize: '0.88rem' }}>This would tell most</Box>
        <strong>{sign.question}</strong>
        <Box sx={{ color: 'text.secondary', fontSize: '0.88rem' }}>
          If so, it is more likely {causeName(forCause)}.
        </Box>
        <Box sx={{ display: 'flex', gap: 1, marginBlockStart: 1 }}>
          <Button variant="contained" onClick={() => onAnswer(sign.id, true)} sx={{ minHeight: 48, flex: 1 }}>
            Yes
          </Button>
          <Button variant="outlined" onClick={() => onAnswer(sign.id, false)} sx={{ minHeight: 48, flex: 1 }}>
            No
          </Button>
        </Box>
      </Box>
    </Box>
  );
}

/** What to do and what not, for the likeliest cause; where two are nearly alike, what does for both. */
export function WhatToDo({
  diagnosis,
  containerId,
}: {
  readonly diagnosis: Diagnosis;
  readonly containerId: string;
}) {
  const unitFormat = useUnitFormat();
  const { ranked, cannotTell, harmless } = diagnosis;
  if (cannotTell === 'nothing-seen') return null;
  const named = ranked.flatMap(({ cause, chance }) => (cause ? [{ cause, chance }] : []));
  const [first, second] = named;
  if (!first) return null;
  const told = second && second.chance > first.chance / 2 ? [first, second] : [first];
  const isPest = told.some(({ cause }) => cause.isPest);
  return (
    <Box>
      <Typography variant="h3" sx={{ marginBlock: 1 }}>
        What to do
      </Typography>
      {told.map(({ cause }) => (
        <Box key={cause.id} sx={{ marginBlockEnd: 1 }}>
          {told.length > 1 && <Box sx={{ color: 'text.secondary' }}>In case it is {cause.name}:</Box>}
          <Box component="ul" sx={{ margin: 0, paddingInlineStart: 2.5 }}>
            {cause.doNow.map((line) => (
              <li key={line}>{inUnits(line, unitFormat)}</li>
            ))}
            {cause.dont.map((line) => (
              <li key={line}>
                <strong>Do not</strong> {line.charAt(0).toLowerCase() + line.slice(1)}
              </li>
            ))}
            {cause.drastic && !harmless && <li>{cause.drastic}</li>}
          </Box>
          <Box sx={{ color: 'text.secondary', fontSize: '0.92rem' }}>Over when: {cause.recovery}</Box>
        </Box>
      ))}
      {harmless && told.some(({ cause }) => !cause.isHarmless) && (
        <Remark>
          Nothing has to be thrown out yet: {causeName(harmless.id)} would explain it as well (
          {percent(harmless.chance)}). Look at the newest leaves in some days first.
        </Remark>
      )}
      {isPest && (
        <>
          <Button component={Link} to={`/bags/${containerId}?do=spray`} variant="outlined">
            Spray or bait
          </Button>
          <CautionOf id="sprays" />
        </>
      )}
      {told.some(({ cause }) => cause.id === 'weedkiller' || cause.livesInMix) && <CautionOf id="leaves" />}
    </Box>
  );
}
