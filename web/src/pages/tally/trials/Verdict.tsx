import { Box, Typography } from '@mui/material';
import type { TrialComparison, TrialResult } from '@rundel/core/tally';
import {
  differenceWords,
  flawWords,
  powerWords,
  saysNothing,
  verdictWords,
} from '../../../text/trial-text.ts';
import { HowCalculated } from '../../../ui/HowCalculated.tsx';

/** What a comparison says, with its range as a bar about "no difference". */
export function Verdict({
  result,
  nameOf,
}: {
  readonly result: TrialResult;
  nameOf(treatmentId: string): string;
}) {
  const { comparisons, flaws, isInDays } = result;
  return (
    <Box>
      {comparisons.map((comparison) => {
        const names = { from: nameOf(comparison.from), to: nameOf(comparison.to) };
        const { headline, detail } = verdictWords(comparison, names, isInDays);
        return (
          <Box key={comparison.to} sx={{ marginBlockEnd: 1.5 }}>
            <Typography sx={{ fontSize: '1.25rem', fontWeight: 700 }}>{headline}</Typography>
            <Typography>{detail}</Typography>
            <Range comparison={comparison} names={names} isInDays={isInDays} />
            {comparison.byChance !== undefined && (
              <HowCalculated label="How this is reckoned, and a check">
                <Typography variant="body2">
                  Place, season and variety are taken out, and how unlike bags are comes from these and from
                  your other seasons. As a check I shuffled which bag had which, within each place:{' '}
                  {Math.round(comparison.byChance * 100)} of 100 shuffles gave as large a difference. With few
                  bags there are few shuffles, so that it can only warn, and never prove.
                </Typography>
              </HowCalculated>
            )}
          </Box>
        );
      })}
      {flaws.length > 0 && (
        <Box
          component="ul"
          aria-label="What is not quite fair"
          sx={{ marginBlock: 1, paddingInlineStart: 2.5 }}
        >
          {flaws.map((flaw) => (
            <li key={flaw.id}>{flawWords(flaw)}</li>
          ))}
        </Box>
      )}
      {!isInDays && <Typography sx={{ color: 'text.secondary' }}>{powerWords(result)}</Typography>}
    </Box>
  );
}

/** The range of a difference, with "no difference" upright in its middle. */
function Range({
  comparison: { difference },
  names,
  isInDays,
}: {
  readonly comparison: TrialComparison;
  readonly names: { readonly from: string; readonly to: string };
  readonly isInDays: boolean;
}) {
  if (!difference || saysNothing(difference, isInDays)) return null;
  const { low, likely, high } = difference;
  const most = Math.max(Math.abs(low), Math.abs(high), isInDays ? 7 : Math.log(1.5)) * 1.1;
  const at = (value: number) => `${50 + (50 * Math.max(-most, Math.min(most, value))) / most}%`;
  return (
    <Box
      role="img"
      aria-label={`From ${differenceWords(low, isInDays)} to ${differenceWords(high, isInDays)}, most likely ${differenceWords(likely, isInDays)}`}
      sx={{ marginBlock: 1.5, maxWidth: 620 }}
    >
      <Box sx={{ position: 'relative', height: 34 }}>
        <Box sx={{ ...bar, insetInline: 0, height: 2, top: 16, backgroundColor: 'var(--line)' }} />
        <Box
          sx={{
            ...bar,
            insetInlineStart: at(low),
            insetInlineEnd: `calc(100% - ${at(high)})`,
            top: 10,
            height: 14,
            borderRadius: '7px',
            border: '2px solid var(--ink)',
            backgroundColor: 'var(--action-wash)',
          }}
        />
        <Box
          sx={{
            ...bar,
            insetInlineStart: '50%',
            width: 2,
            top: 0,
            height: 34,
            backgroundColor: 'var(--ink)',
          }}
        />
        <Box
          sx={{
            ...bar,
            insetInlineStart: `calc(${at(likely)} - 6px)`,
            width: 12,
            height: 24,
            top: 5,
            borderRadius: '4px',
            backgroundColor: 'var(--ink)',
          }}
        />
      </Box>
      <Box
        sx={{
          display: 'flex',
          justifyContent: 'space-between',
          fontSize: '0.85rem',
          color: 'text.secondary',
        }}
      >
        <span>{isInDays ? `${names.to} sooner` : `more from ${names.from}`}</span>
        <span>no difference</span>
        <span>{isInDays ? `${names.to} later` : `more from ${names.to}`}</span>
      </Box>
    </Box>
  );
}

const bar = { position: 'absolute' } as const;
