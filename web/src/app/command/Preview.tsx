import { Box } from '@mui/material';
import type { Command, SaidFeed } from '@rundel/core/commands';
import { findProduct } from '@rundel/core/products';
import { useGarden, useUnitFormat, type Bag } from '../../store/index.ts';
import { bagsWords } from '../../text/bag-text.ts';
import { entryWords } from '../../text/entry-text.ts';
import { whenWords } from '../../text/text.ts';

/** What its form would be opened with. */
export function FeedPreview({ feed, meant }: { readonly feed: SaidFeed; readonly meant: readonly Bag[] }) {
  const { garden, clock } = useGarden();
  const product = findProduct(feed.productId ?? '', garden.products);
  return (
    <Box>
      <Box sx={{ color: 'text.secondary', fontSize: '0.85rem' }}>
        Opens its form, to look at the dose
        {feed.at === undefined ? '' : `, ${whenWords(feed.at, clock.now())}`}
      </Box>
      <Box sx={{ fontWeight: 'fontWeightMedium' }}>
        {bagsWords(meant)}: fed{' '}
        {[
          product?.name,
          feed.amount,
          feed.doseShare !== undefined && `${Math.round(100 * feed.doseShare)} % of its label’s dose`,
          feed.water && `in ${feed.water} of water`,
        ]
          .filter(Boolean)
          .join(', ')}
      </Box>
      {feed.rest !== '' && !product && (
        <Box sx={{ fontSize: '0.9rem' }}>No feed here is called “{feed.rest}”: its form asks for it.</Box>
      )}
    </Box>
  );
}

/** What would be put in the diary, before it is. */
export function Preview({
  command,
  meant,
  isOfSameTime,
}: {
  readonly command: Command;
  readonly meant: readonly Bag[];
  /** as what stands above it */
  readonly isOfSameTime: boolean;
}) {
  const { garden, clock } = useGarden();
  const unitFormat = useUnitFormat();
  const { drafts, isShared } = command;
  const [first] = drafts;
  if (!first) return null;
  const as = { ...first, id: 'ent_preview', recordedAt: first.at } as Parameters<typeof entryWords>[0];
  const all = drafts.reduce(
    (sum, d) => sum + (d.kind === 'watering' ? d.litres : d.kind === 'picking' ? (d.kilograms ?? 0) : 0),
    0,
  );
  const total = unitFormat.show(all, first.kind === 'watering' ? 'water' : 'crop');
  return (
    <Box>
      {!isOfSameTime && (
        <Box sx={{ color: 'text.secondary', fontSize: '0.85rem' }}>
          Put in the diary, {whenWords(first.at, clock.now())}
        </Box>
      )}
      <Box sx={{ fontWeight: 'fontWeightMedium' }}>
        {meant.length === 0 ? 'The garden' : bagsWords(meant)}: {entryWords(as, unitFormat, garden)}
        {drafts.length > 1 &&
          (first.kind === 'watering' || first.kind === 'picking') &&
          (all > 0
            ? ` each, ${total} in all`
            : isShared && first.kind === 'picking' && first.isUnmeasured
              ? ', of all together'
              : ' each')}
      </Box>
      {drafts.length > 1 && (
        <Box sx={{ fontSize: '0.9rem' }}>
          {meant.map(({ container }) => container.label).join(', ')}
          {!isShared && all > 0 && '. Say “in all” if that is for all of them together.'}
        </Box>
      )}
    </Box>
  );
}
