import { Box, Button, Typography } from '@mui/material';
import { dayOf } from '@rundel/core/calendar';
import { FEED_SKIP_REASONS, isGivenInWater } from '@rundel/core/records';
import { ChoiceButton } from '../../ui/ChoiceButton.tsx';
import {
  asGiven,
  FEED_LITRES,
  fedWithWatering,
  feedLitres,
  offeredAmount,
  type FeedOffer,
} from '@rundel/core/garden-state';
import { feedAmountWords, feedName } from '../../text/feed-amount-text.ts';
import { doseWords, FEED_SKIP_WORDS, feedCaution, stateSentence } from '../../text/feed-text.ts';
import { OnceButton } from '../../ui/OnceButton.tsx';
import { useGarden, useUnitFormat, type Bag, told } from '../../store/index.ts';
import { PROPOSAL } from './proposal.ts';

const CHOICES = FEED_SKIP_REASONS.map((id) => ({ id, label: FEED_SKIP_WORDS[id] }));

/** A feed at a bag that needs no watering: one tap when it is given as proposed. */
export default function FeedProposal({
  bag,
  offer,
  onDone,
  onOther,
}: {
  readonly bag: Bag;
  readonly offer: FeedOffer;
  onDone(): void;
  onOther(): void;
}) {
  const { clock, garden, record } = useGarden();
  const unitFormat = useUnitFormat();
  const form = offer.product.feed?.form;
  const isInWater = form !== undefined && isGivenInWater(form);
  const litres = FEED_LITRES * Math.max(1, bag.occupants.length);
  const amount = offeredAmount(offer, bag, litres);
  const { label, id } = bag.container;
  const give = async () => {
    const at = clock.now();
    await record(fedWithWatering(asGiven(offer, bag, litres), at), `feed at ${label}`);
    onDone();
  };
  const skip = async (reason: (typeof FEED_SKIP_REASONS)[number]) => {
    await record(
      [
        {
          kind: 'feed-skipped',
          at: clock.now(),
          containerId: id,
          productId: offer.product.id,
          regimeId: offer.regimeId,
          stepId: offer.state.step.id,
          reason,
        },
      ],
      `feed at ${label} left`,
    );
    onDone();
  };
  return (
    <Box role="region" aria-label="Proposed feed" sx={PROPOSAL}>
      <Typography sx={{ fontSize: '0.92rem' }}>
        {stateSentence(offer.state, dayOf(clock.now()), garden.products)}
      </Typography>
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 1, marginBlockStart: 1 }}>
        <Box sx={{ flex: 1 }}>
          <Box
            component="span"
            sx={{ fontFamily: 'h1.fontFamily', fontSize: '1.7rem', fontWeight: 750, lineHeight: 1.1 }}
          >
            {feedAmountWords(amount)}
          </Box>
          <Box sx={{ fontSize: '0.92rem' }}>
            {feedName(offer.product)}
            {offer.partner ? `, then as much ${feedName(offer.partner)}` : ''}
            {isInWater
              ? ` in ${unitFormat.show(feedLitres(offer.into, bag, litres), 'water')}${offer.into === 'leaves' ? ', over the leaves' : ''}`
              : ', on top, and watered in'}
          </Box>
        </Box>
        <OnceButton
          variant="contained"
          color="secondary"
          onPress={() => give()}
          aria-keyshortcuts="Enter"
          sx={{ minHeight: 56, minWidth: 104, fontSize: '1.1rem' }}
        >
          Fed
        </OnceButton>
      </Box>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', justifyContent: 'flex-end' }}>
        <Button onClick={onOther} sx={{ color: 'inherit', textDecoration: 'underline' }}>
          Another feed or amount
        </Button>
        <ChoiceButton
          choices={CHOICES}
          onChoose={(reason) => told(skip(reason))}
          sx={{ color: 'inherit', textDecoration: 'underline' }}
        >
          Leave it out
        </ChoiceButton>
      </Box>
      <Typography sx={{ fontSize: '0.85rem' }}>
        {doseWords(offer.dose, unitFormat.system)}. {feedCaution(offer.product, offer.into)}
      </Typography>
    </Box>
  );
}
