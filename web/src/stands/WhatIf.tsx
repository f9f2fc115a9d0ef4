import { Box, Typography } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import type { Container } from '@rundel/core/garden';
import { hoursWords } from '../parts/words.ts';
import { useGarden, useShown, waterIf, type Bag } from '../store/index.ts';

interface Change {
  readonly words: string;
  readonly container: Container;
}

/** Mulch that does most of what mulch can, mm. */
const THICK_MULCH = 75;
const BIGGER = 1.5;

/** What could be done to a bag that dries too fast. */
function changesFor(bag: Bag, thick: string): readonly Change[] {
  const { container, body } = bag;
  const litres = Math.min(1000, (body.real.litres.likely / body.assumed.labelTruth) * BIGGER);
  return [
    ...(container.mulchMillimetres < THICK_MULCH - 10 && !body.kind.isClosed
      ? [
          {
            words: `Mulched ${thick} deep, which takes room from the mix`,
            container: { ...container, mulchMillimetres: THICK_MULCH },
          },
        ]
      : []),
    { words: 'In a bag half as big again', container: { ...container, size: { by: 'label', litres } } },
  ];
}

/** How long the bag would keep, worked out anew for each change from the same diary. */
export function WhatIf({ bag }: { readonly bag: Bag }) {
  const open = useGarden();
  const shown = useShown();
  const changes = changesFor(bag, shown.show(THICK_MULCH, 'depth'));
  const { data } = useQuery({
    queryKey: ['what-if', open.which, bag.container.id, bag.water?.now, bag.container.changedAt] as const,
    queryFn: () => Promise.all(changes.map(({ container }) => waterIf(container, open))),
    staleTime: 60_000,
  });
  const now = bag.water?.ahead.hoursToRefill.likely;
  return (
    <Box>
      <Typography variant="body2">
        As it is, it wants water in {hoursWords(now)}. With the same looks and drinks so far:
      </Typography>
      <Box component="ul" sx={{ marginBlock: 1, paddingInlineStart: 2.5 }}>
        {changes.map(({ words }, i) => {
          const water = data?.[i];
          return (
            <li key={words}>
              <strong>{words}</strong>: {water ? `in ${hoursWords(water.ahead.hoursToRefill.likely)}` : '…'}
            </li>
          );
        })}
      </Box>
      <Typography variant="body2">
        Shade at noon, or a second round on hot days, does the same without new mix. Rundel only reckons what
        it can.
      </Typography>
    </Box>
  );
}
