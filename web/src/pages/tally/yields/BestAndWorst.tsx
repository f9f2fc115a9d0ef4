import { Box, Typography } from '@mui/material';
import { rankedWords } from '../../../text/tally-text.ts';
import { HowCalculated } from '../../../ui/HowCalculated.tsx';
import { useUnitFormat } from '../../../store/index.ts';
import { useTally } from '../../../store/tally.ts';

/** The best and the worst bags beside the others of their crop, with what in their records may be why. */
export function BestAndWorst({ year }: { readonly year: number }) {
  const unitFormat = useUnitFormat();
  const { data } = useTally(['ranked', year], (api, today) => api.ranked(year, today));
  const [best, ...alsoGood] = data?.best ?? [];
  const [worst, ...alsoBad] = data?.worst ?? [];
  const others = [...alsoGood, ...alsoBad];
  return (
    <>
      {[best, worst].map(
        (ranked) => ranked && <Typography key={ranked.row.key}>{rankedWords(ranked, unitFormat)}</Typography>,
      )}
      {others.length > 0 && (
        <HowCalculated label="The next best and the next worst">
          <Box component="ul" sx={{ margin: 0, paddingInlineStart: 2.5 }}>
            {others.map((ranked) => (
              <li key={ranked.row.key}>{rankedWords(ranked, unitFormat)}</li>
            ))}
          </Box>
        </HowCalculated>
      )}
    </>
  );
}
