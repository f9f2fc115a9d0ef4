import { Box } from '@mui/material';
import type { Command, SaidFeed, SaidSpray } from '@rundel/core/commands';
import type { Entry } from '@rundel/core/records';
import { findProduct } from '@rundel/core/products';
import { useBags, useGarden, useUnitFormat, type Bag } from '../../store/index.ts';
import { bagsWords } from '../../text/bag-text.ts';
import { entryWords } from '../../text/entry-text.ts';
import { midSentence, whenWords } from '../../text/text.ts';
import { AGENT_WORDS, causeName } from '../../text/trouble-text.ts';

/** What its form would be opened with. */
export function FeedPreview({ feed, meant }: { readonly feed: SaidFeed; readonly meant: readonly Bag[] }) {
  const { garden } = useGarden();
  const product = findProduct(feed.productId ?? '', garden.products);
  return (
    <Box>
      <OpensForm to="look at the dose" at={feed.at} />
      <Box sx={{ fontWeight: 'fontWeightMedium' }}>
        {bagsWords(meant)}: fed{' '}
        {[
          product?.name,
          feed.amount,
          feed.doseShare !== undefined && `${Math.round(100 * feed.doseShare)} % of its label’s dose`,
          feed.isOnLeaves && 'on the leaves',
          feed.water && `in ${feed.water} of water`,
          feed.who && `by ${feed.who}`,
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

/** The same of a spray or a bait. */
export function SprayPreview({
  spray,
  meant,
}: {
  readonly spray: SaidSpray;
  readonly meant: readonly Bag[];
}) {
  const { agent, name, extent, against, amount, water, note, who } = spray;
  return (
    <Box>
      <OpensForm to="hold it against the label" at={spray.at} />
      <Box sx={{ fontWeight: 'fontWeightMedium' }}>
        {bagsWords(meant)}: {agent === 'bait' ? 'put out' : 'sprayed'}{' '}
        {[
          name || AGENT_WORDS[agent ?? 'other'],
          amount,
          water && `in ${water}`,
          extent === 'test-leaf' && 'on one leaf',
          against !== undefined && `against ${causeName(against)}`,
          note && `“${note}”`,
          who && `by ${who}`,
        ]
          .filter(Boolean)
          .join(', ')}
      </Box>
    </Box>
  );
}

/** What would be put right. */
export function CorrectedPreview({ before }: { readonly before: readonly Entry[] }) {
  const { garden, clock } = useGarden();
  const { bags } = useBags();
  const unitFormat = useUnitFormat();
  const labelOf = (entry: Entry) =>
    'containerId' in entry
      ? (bags.find(({ container }) => container.id === entry.containerId)?.container.label ?? '')
      : '';
  return (
    <Box sx={{ fontSize: '0.9rem', marginBlockStart: 0.75 }}>
      In place of{' '}
      {before
        .map((entry) =>
          [
            labelOf(entry),
            midSentence(entryWords(entry, unitFormat, garden)),
            whenWords(entry.at, clock.now()),
          ]
            .filter(Boolean)
            .join(' · '),
        )
        .join('; ')}
      . The first version stays on record.
    </Box>
  );
}

function OpensForm({ to, at }: { readonly to: string; readonly at: string | undefined }) {
  const { clock } = useGarden();
  return (
    <Box sx={{ color: 'text.secondary', fontSize: '0.85rem' }}>
      Opens its form, to {to}
      {at === undefined ? '' : `, ${whenWords(at, clock.now())}`}
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
