import { Box, Typography } from '@mui/material';
import { dayOf } from '@rundel/core/calendar';
import { isGone } from '@rundel/core/pickings';
import { isRipeThisWeek, type BagComing } from '@rundel/core/tally';
import { Link } from 'react-router';
import { roughWeights } from '../../text/amount-text.ts';
import { ripeWords } from '../../text/ripe-text.ts';
import { lotName } from '../../text/shelf-text.ts';
import { useGarden, useUnitFormat, type Bag } from '../../store/index.ts';
import { useTally } from '../../store/tally.ts';

/** What is likely ripe this week, and which lots on the shelf are to be looked through. */
export default function Harvest({ bags }: { readonly bags: readonly Bag[] }) {
  const { garden, clock } = useGarden();
  const unitFormat = useUnitFormat();
  const today = dayOf(clock.now());
  const { data: coming } = useTally(['coming'], (api, day) => api.coming(day));
  const { data: shelf } = useTally(['shelf'], (api, day) => api.shelf(day));
  const ripe = (coming?.ripe ?? []).filter((r) => isRipeThisWeek(r, today));
  const lots = (shelf ?? []).filter((lot) => !isGone(lot) && lot.lookOn <= today);
  const isBearing = coming !== undefined && coming.week.high > 0.05;
  if (ripe.length === 0 && lots.length === 0 && !isBearing) return null;
  return (
    <Box component="section" aria-label="Ripe and stored" sx={{ marginBlockStart: 2 }}>
      {(isBearing || ripe.length > 0) && (
        <Typography sx={{ fontWeight: 700 }}>Likely ripe this week</Typography>
      )}
      {isBearing && (
        <Typography sx={{ fontSize: '0.95rem' }}>
          <Link to="/tally/coming" style={{ color: 'inherit' }}>
            {roughWeights(coming.week, unitFormat)}
          </Link>
          {coming.bags.length > 1 ? `, most of it from ${mostFrom(coming.bags, bags)}` : ''}.
        </Typography>
      )}
      {ripe.length > 0 && (
        <>
          <Box component="ul" sx={{ margin: 0, paddingInlineStart: 2.5, fontSize: '0.95rem' }}>
            {ripe.map((each) => {
              const bag = bags.find((b) => b.container.id === each.containerId);
              return (
                bag && (
                  <li key={`${each.plantId} ${each.truss ?? ''}`}>
                    <Link to={`/round/${each.containerId}`} style={{ color: 'inherit' }}>
                      {bag.container.label} {bag.name}
                    </Link>
                    : {ripeWords(each, bag, today)}
                  </li>
                )
              );
            })}
          </Box>
        </>
      )}
      {lots.length > 0 && (
        <Typography sx={{ marginBlockStart: 1, fontSize: '0.95rem' }}>
          On the shelf, to be looked through:{' '}
          <Link to="/tally/shelf" style={{ color: 'inherit' }}>
            {lots.map((lot) => lotName(lot, garden.varieties, today)).join('; ')}
          </Link>
        </Typography>
      )}
    </Box>
  );
}

/** The bags that are to give the most of a week, by their labels. */
function mostFrom(coming: readonly BagComing[], bags: readonly Bag[]): string {
  return [...coming]
    .sort((a, b) => b.week.likely - a.week.likely)
    .slice(0, 3)
    .flatMap((each) => bags.find((b) => b.container.id === each.containerId)?.container.label ?? [])
    .join(', ');
}
