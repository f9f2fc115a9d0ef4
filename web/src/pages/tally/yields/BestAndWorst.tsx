import { Box } from '@mui/material';
import { rankedWords } from '../../../text/tally-text.ts';
import { HowCalculated } from '../../../ui/HowCalculated.tsx';
import { useUnitFormat } from '../../../store/index.ts';
import { useTally } from '../../../store/tally.ts';

/** The best and the worst bags beside the others of their crop, with what in their records may be why. */
export function BestAndWorst({ year }: { readonly year: number }) {
  const unitFormat = useUnitFormat();
  const { data } = useTally(['ranked', year], (api, today) => api.ranked(year, today));
  const all = [...(data?.best ?? []), ...(data?.worst ?? [])];
  if (all.length === 0) return null;
  return (
    <HowCalculated label="The best and the worst, and what may be why">
      <Box component="ul" sx={{ margin: 0, paddingInlineStart: 2.5 }}>
        {all.map((ranked) => (
          <li key={ranked.row.key}>{rankedWords(ranked, unitFormat)}</li>
        ))}
      </Box>
    </HowCalculated>
  );
}
