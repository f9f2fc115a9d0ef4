import { Box, Button } from '@mui/material';
import { IconBottle, IconFlower } from '@tabler/icons-react';
import { dayOf } from '@rundel/core/calendar';
import type { FeedOffer } from '@rundel/core/garden-state';
import { ADVICE_WORDS, stateSentence } from '../../text/feed-text.ts';
import type { AskedStage } from '@rundel/core/feeding';
import type { Stage } from '@rundel/core/records';
import { STAGE_NAMES } from '../../text/plant-text.ts';
import { told, useGarden, type Bag } from '../../store/index.ts';

/** The stages that feeds wait for, as plants' stages. */
const STAGE_OF = { flowers: 'flowers', set: 'set', picking: 'ripe' } as const satisfies Record<
  AskedStage,
  Stage
>;

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
  const unseen = (['flowers', 'set', 'picking'] as const).find(
    (stage) => triggers.has(stage) && feeding?.stageDates[stage]?.isNoted === false,
  );
  const expected = unseen && feeding?.stageDates[unseen]?.day;
  const asked = unseen && expected !== undefined && expected <= today ? STAGE_OF[unseen] : undefined;
  if (feeds.length === 0 && !asked) return null;
  const say = (stage: Stage, isNotYet: boolean) =>
    record(
      [
        {
          kind: 'stage',
          at: clock.now(),
          containerId: bag.container.id,
          stage,
          ...(isNotYet ? { isNotYet } : {}),
        },
      ],
      `${STAGE_NAMES[stage]} ${isNotYet ? 'not yet' : 'seen'} at ${bag.container.label}`,
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
              : state.step.into === 'leaves'
                ? ''
                : 'It goes with the watering.'}
          </span>
        </Box>
      ))}
      {asked && (
        <Box
          role="group"
          aria-label={`Is it there: ${STAGE_NAMES[asked]}`}
          sx={{ display: 'flex', flexWrap: 'wrap', alignItems: 'center', gap: 0.75 }}
        >
          <IconFlower aria-hidden size={20} />
          <span>{STAGE_NAMES[asked].charAt(0).toUpperCase() + STAGE_NAMES[asked].slice(1)}?</span>
          <Button
            variant="outlined"
            size="small"
            onClick={() => told(say(asked, false))}
            sx={{ minHeight: 48 }}
          >
            Seen
          </Button>
          <Button size="small" onClick={() => told(say(asked, true))} sx={{ minHeight: 48 }}>
            Not yet
          </Button>
        </Box>
      )}
    </Box>
  );
}
