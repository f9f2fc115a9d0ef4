import { Box, Button } from '@mui/material';
import { IconChevronDown } from '@tabler/icons-react';
import type { FeedUnit } from '@rundel/core/records';
import { expectedGrades } from '@rundel/core/round';
import { useId, useState } from 'react';
import { FEED_LITRES, offeredAmount } from '@rundel/core/garden-state';
import { feedAmountWords, feedName } from '../../text/feed-amount-text.ts';
import { fillsWords } from '../../text/text.ts';
import { wateringMeasure, useGarden, useUnitFormat } from '../../store/index.ts';
import type { WalkStop } from './StopList.tsx';

/** Litres to carry for a stop: what was advised, or what it would take if it is as dry as it may well be. */
export function likelyWatering({ bag, status }: WalkStop): number {
  if (status.kind === 'watering') return status.advice.fills.litres;
  if (!bag.water) return 0;
  const isLikely = expectedGrades(bag.water).driest <= 2;
  return isLikely ? (1 - bag.water.estimate.share.likely) * bag.water.availableLitres : 0;
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
      const litres = Math.max(likelyWatering(stop), FEED_LITRES * Math.max(1, stop.bag.occupants.length));
      const { amount, unit } = offeredAmount(offer, stop.bag, litres);
      for (const product of [offer.product, ...(offer.partner ? [offer.partner] : [])]) {
        const key = `${product.id} ${unit}`;
        totals.set(key, {
          name: feedName(product),
          unit,
          amount: amount + (totals.get(key)?.amount ?? 0),
        });
      }
    }
  return [...totals.values()].map((feed) => `${feedAmountWords(feed)} ${feed.name}`);
}

/**
 * What to carry on this round: the cans, the litres in all, and the feeds. Its height is the same from before it is known
 * until the feeds are in, so that the stop below does not move under a finger.
 *
 * @param litres undefined while the round is being worked out
 */
export function Carry({
  litres,
  stops,
}: {
  readonly litres: number | undefined;
  readonly stops: readonly WalkStop[];
}) {
  const { garden } = useGarden();
  const unitFormat = useUnitFormat();
  const [isOpen, setOpen] = useState(false);
  const id = useId();
  const measure = wateringMeasure(garden);
  const feeds = carriedFeeds(stops);
  const fills = Math.max(1, Math.ceil((litres ?? 0) / measure.litres));
  const cell = {
    padding: { xs: 0.75, md: 1.25 },
    borderInlineStart: '1.5px dashed var(--line)',
    fontSize: '0.88rem',
  };
  return (
    <Box
      role="note"
      aria-label="To carry"
      sx={{
        border: '1.5px dashed var(--ink)',
        borderRadius: '8px',
        display: 'flex',
        flexWrap: 'wrap',
        overflow: 'hidden',
        backgroundColor: 'var(--surface)',
        minHeight: { xs: 51, md: 67 },
      }}
    >
      <Box sx={{ ...cell, border: 0, fontSize: '1rem', fontWeight: 'fontWeightMedium' }}>Carry</Box>
      <Box sx={cell}>
        {litres === undefined ? (
          <Box sx={{ color: 'text.secondary' }}>working it out…</Box>
        ) : (
          <>
            <Box sx={{ fontSize: '1rem', fontWeight: 'bold', lineHeight: 1.25 }}>
              {measure.kind === 'hose' ? measure.name : fillsWords(fills, measure)}
            </Box>
            <Box sx={{ color: 'text.secondary', lineHeight: 1.25 }}>
              about {unitFormat.show(litres, 'water')} in all
            </Box>
          </>
        )}
      </Box>
      {feeds.length > 0 && (
        <>
          <Button
            aria-expanded={isOpen}
            aria-controls={id}
            onClick={() => setOpen(!isOpen)}
            endIcon={<IconChevronDown aria-hidden size={18} style={{ rotate: isOpen ? '180deg' : '0deg' }} />}
            sx={{
              ...cell,
              display: { md: 'none' },
              borderRadius: 0,
              minHeight: 48,
              color: 'text.primary',
              paddingInline: 1.5,
            }}
          >
            {feeds.length === 1 ? 'a feed' : `${feeds.length} feeds`}
          </Button>
          <Box
            component="ul"
            id={id}
            sx={{
              ...cell,
              borderInlineStart: { xs: 0, md: cell.borderInlineStart },
              display: { xs: isOpen ? 'block' : 'none', md: 'grid' },
              gridTemplateRows: 'repeat(2, auto)',
              gridAutoFlow: 'column',
              columnGap: 2.5,
              flexBasis: { xs: '100%', md: 'auto' },
              listStyle: 'none',
              margin: 0,
              alignContent: 'center',
              lineHeight: 1.25,
            }}
          >
            {feeds.map((words) => (
              <li key={words}>{words}</li>
            ))}
          </Box>
        </>
      )}
    </Box>
  );
}
