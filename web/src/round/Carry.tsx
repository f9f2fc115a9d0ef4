import { Box } from '@mui/material';
import { expectedGrades } from '@rundel/core/round';
import { fillsWords } from '../parts/words.ts';
import { drinkMeasure, useGarden, useShown } from '../store/index.ts';
import type { WalkStop } from './StopList.tsx';

/** Litres to carry for a stop: what was advised, or what it would take if it is as dry as it may well be. */
export function likelyDrink({ bag, status }: WalkStop): number {
  if (status.kind === 'drink') return status.advice.fills.litres;
  if (!bag.water) return 0;
  const isLikely = expectedGrades(bag.water).driest <= 2;
  return isLikely ? (1 - bag.water.estimate.share.likely) * bag.body.availableLitres : 0;
}

/** What to carry on this round: the cans, and the litres in all. */
export function Carry({ litres }: { readonly litres: number }) {
  const { garden } = useGarden();
  const shown = useShown();
  const measure = drinkMeasure(garden);
  const fills = Math.max(1, Math.ceil(litres / measure.litres));
  return (
    <Box
      role="note"
      aria-label="To carry"
      sx={{
        border: '1.5px dashed var(--ink)',
        borderRadius: '8px',
        display: 'flex',
        overflow: 'hidden',
        backgroundColor: 'var(--surface)',
      }}
    >
      <Box sx={{ padding: { xs: 0.75, md: 1.25 }, fontWeight: 'fontWeightMedium' }}>Carry</Box>
      <Box
        sx={{
          padding: { xs: 0.75, md: 1.25 },
          borderInlineStart: '1.5px dashed var(--line)',
          display: { xs: 'flex', md: 'block' },
          alignItems: 'baseline',
          gap: 1,
        }}
      >
        <strong>{measure.kind === 'hose' ? measure.name : fillsWords(fills, measure)}</strong>
        <Box sx={{ fontSize: '0.88rem', color: 'text.secondary' }}>
          about {shown.show(litres, 'drink')} in all
        </Box>
      </Box>
    </Box>
  );
}
