import { Box, Typography } from '@mui/material';
import { dayOf } from '@rundel/core/calendar';
import { useBags, useGarden, useUnitFormat } from '../../../store/index.ts';
import { nextCheckWords, titleOf } from '../../../text/bag-text.ts';
import { isDue, jobWords } from '../../../text/job-text.ts';
import { productName } from '../../../text/product-text.ts';
import { midSentence, shortDay } from '../../../text/text.ts';
import { PrintButton } from './PrintButton.tsx';

/** The round on paper, for a helper or for wet hands: what each bag wants, and room to write what was found and given. */
export function RoundSheet() {
  const { garden, clock } = useGarden();
  const { bags, isReady } = useBags();
  const unitFormat = useUnitFormat();
  const now = clock.now();
  const today = dayOf(now);
  const rows = bags.filter(({ occupants }) => occupants.length > 0);
  if (!isReady) return <Typography>The bags are being worked out…</Typography>;
  if (rows.length === 0)
    return <Typography>Nothing is planted, so there is nothing to walk round.</Typography>;
  const cell = {
    border: '1px solid #888',
    padding: '4px 6px',
    textAlign: 'start',
    verticalAlign: 'top',
  } as const;
  return (
    <>
      <style>{'@page { size: A4; margin: 12mm }'}</style>
      <Box sx={{ marginBlockEnd: 1.5, '@media print': { display: 'none' } }}>
        <PrintButton>Print the sheet</PrintButton>
      </Box>
      <Typography variant="h2" sx={{ marginBlockEnd: 1 }}>
        {garden.settings.gardenName}, {shortDay(today, today)}
      </Typography>
      <Box sx={{ overflowX: 'auto' }} tabIndex={0} role="region" aria-label="The round as a sheet">
        <Box
          component="table"
          sx={{
            borderCollapse: 'collapse',
            width: '100%',
            minWidth: 640,
            fontSize: '0.88rem',
            '& tr': { breakInside: 'avoid' },
            '@media print': { fontSize: '9pt', minWidth: 0 },
          }}
        >
          <thead>
            <tr>
              {['Bag', 'Check', 'To do', 'Found', 'Given'].map((head) => (
                <Box key={head} component="th" scope="col" sx={cell}>
                  {head}
                </Box>
              ))}
            </tr>
          </thead>
          <tbody>
            {rows.map((bag) => {
              const feeds = (bag.feeding?.states ?? []).flatMap((state) =>
                state.kind === 'due' && state.target <= today
                  ? [`feed: ${midSentence(productName(state.step.productId, garden.products))}`]
                  : [],
              );
              const jobs = bag.jobs
                .filter((job) => isDue(job, today))
                .map((job) => midSentence(jobWords(job, bag, unitFormat).what));
              return (
                <tr key={bag.container.id}>
                  <Box component="th" scope="row" sx={{ ...cell, fontWeight: 650 }}>
                    {titleOf(bag)}
                    <Box sx={{ fontWeight: 400 }}>{bag.place?.name}</Box>
                  </Box>
                  <Box component="td" sx={cell}>
                    {bag.water ? nextCheckWords(bag.water, now) : ''}
                  </Box>
                  <Box component="td" sx={cell}>
                    {[...feeds, ...jobs].join('; ')}
                  </Box>
                  <Box component="td" sx={{ ...cell, minWidth: 90 }} />
                  <Box component="td" sx={{ ...cell, minWidth: 90 }} />
                </tr>
              );
            })}
          </tbody>
        </Box>
      </Box>
      <Typography sx={{ fontSize: '0.88rem', marginBlockStart: 1 }}>
        Found: dust-dry, dry, barely damp, moist or wet, two knuckles deep. Full cans and bags are heavy:
        carry half, keep your back straight.
      </Typography>
    </>
  );
}
