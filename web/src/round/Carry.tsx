import { Box } from '@mui/material';
import type { FeedUnit } from '@rundel/core/goods';
import { expectedGrades } from '@rundel/core/round';
import { FEED_LITRES, offeredAmount } from '../parts/feed-offers.ts';
import { feedAmountWords, feedName } from '../parts/feed-words.ts';
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

/** The feeds to carry: "45 mL tomato liquid 4-3-8", product by product. */
function carriedFeeds(stops: readonly WalkStop[]): readonly string[] {
  const totals = new Map<
    string,
    { readonly name: string; readonly unit: FeedUnit; readonly amount: number }
  >();
  for (const stop of stops)
    for (const offer of stop.feeds) {
      if (offer.advice.kind !== 'feed') continue;
      const litres = Math.max(likelyDrink(stop), FEED_LITRES * Math.max(1, stop.bag.occupants.length));
      const { amount, unit } = offeredAmount(offer, stop.bag, litres);
      for (const good of [offer.good, ...(offer.partner ? [offer.partner] : [])]) {
        const key = `${good.id} ${unit}`;
        totals.set(key, {
          name: feedName(good),
          unit,
          amount: amount + (totals.get(key)?.amount ?? 0),
        });
      }
    }
  return [...totals.values()].map((feed) => `${feedAmountWords(feed)} ${feed.name}`);
}

/** What to carry on this round: the cans, and the litres in all. */
export function Carry({ litres, stops }: { readonly litres: number; readonly stops: readonly WalkStop[] }) {
  const { garden } = useGarden();
  const shown = useShown();
  const measure = drinkMeasure(garden);
  const feeds = carriedFeeds(stops);
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
          flexWrap: 'wrap',
          alignItems: 'baseline',
          columnGap: 1,
        }}
      >
        <strong>{measure.kind === 'hose' ? measure.name : fillsWords(fills, measure)}</strong>
        <Box sx={{ fontSize: '0.88rem', color: 'text.secondary' }}>
          about {shown.show(litres, 'drink')} in all
        </Box>
        {feeds.map((words) => (
          <Box key={words} sx={{ fontSize: '0.88rem', flexBasis: '100%' }}>
            {words}
          </Box>
        ))}
      </Box>
    </Box>
  );
}
