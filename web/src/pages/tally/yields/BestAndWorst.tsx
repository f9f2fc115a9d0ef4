import { Box, Typography } from '@mui/material';
import type { Ranked } from '@rundel/core/tally';
import { rankedWords } from '../../../text/tally-text.ts';
import { HowCalculated } from '../../../ui/HowCalculated.tsx';
import { useUnitFormat } from '../../../store/index.ts';

interface RankedBags {
  readonly best: readonly Ranked[];
  readonly worst: readonly Ranked[];
}

/** The best and the worst bags beside the others of their crop, with what in their records may be why. */
export function BestAndWorst({ ranked: { best: good, worst: bad } }: { readonly ranked: RankedBags }) {
  const unitFormat = useUnitFormat();
  const [best, ...alsoGood] = good;
  const [worst, ...alsoBad] = bad;
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
