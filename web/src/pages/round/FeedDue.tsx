import { Box, Button } from '@mui/material';
import { IconBottle, IconFlower } from '@tabler/icons-react';
import { dayOf } from '@rundel/core/calendar';
import type { FeedOffer } from '@rundel/core/garden-state';
import { ADVICE_WORDS, stateSentence } from '../../text/feed-text.ts';
import { useGarden, type Bag } from '../../store/index.ts';

const STAGE_WORDS = { flowers: 'First flowers seen', set: 'First truss has set' } as const;

/** Which feed is due here, why it waits when it does, and the one thing seen that would set the next one off. */
export default function FeedDue({
  bag,
  feeds,
  isChecked,
}: {
  readonly bag: Bag;
  readonly feeds: readonly FeedOffer[];
  /** what its water means for the feed is known then */
  readonly isChecked: boolean;
}) {
  const { clock, garden, record } = useGarden();
  const { feeding } = bag;
  const today = dayOf(clock.now());
  const triggers = new Set(
    feeding?.regime?.steps.flatMap((step) => [step.start.on, ...(step.until ? [step.until.on] : [])]),
  );
  const unseen = (['flowers', 'set'] as const).find(
    (stage) => triggers.has(stage) && feeding?.stageDates[stage]?.isNoted === false,
  );
  const isTime = unseen && (feeding?.stageDates[unseen]?.day ?? '9') <= today;
  if (feeds.length === 0 && !isTime) return null;
  const see = () =>
    unseen &&
    record(
      [{ kind: 'stage', at: clock.now(), containerId: bag.container.id, stage: unseen }],
      `${STAGE_WORDS[unseen].toLowerCase()} at ${bag.container.label}`,
    );
  return (
    <Box sx={{ display: 'flex', flexWrap: 'wrap', alignItems: 'center', gap: 1 }}>
      {feeds.map(({ state, advice }) => (
        <Box
          key={state.step.id}
          role="note"
          aria-label="Feed"
          sx={{ display: 'flex', gap: 0.75, fontSize: '0.95rem', flex: '1 1 220px' }}
        >
          <IconBottle aria-hidden size={20} style={{ flexShrink: 0 }} />
          <span>
            {stateSentence(state, today, garden.products)}{' '}
            {isChecked && advice.kind !== 'feed' && advice.kind !== 'not-yet'
              ? ADVICE_WORDS[advice.kind]
              : 'It goes with the watering.'}
          </span>
        </Box>
      ))}
      {isTime && (
        <Button
          variant="outlined"
          size="small"
          startIcon={<IconFlower aria-hidden />}
          onClick={() => void see()}
          sx={{ minHeight: 48 }}
        >
          {STAGE_WORDS[unseen]}
        </Button>
      )}
    </Box>
  );
}
