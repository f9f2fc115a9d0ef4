import { Box, FormControlLabel, Switch, ToggleButton, ToggleButtonGroup, Typography } from '@mui/material';
import { feedAmountWords, feedName } from '../../text/feed-amount-text.ts';
import { ADVICE_WORDS, doseWords, feedCaution } from '../../text/feed-text.ts';
import { feedLitres, offeredAmount, type FeedOffer } from '@rundel/core/garden-state';
import { useUnitFormat, type Bag } from '../../store/index.ts';

/** Feeds in a proposed watering: on as the regime has it, off with one tap; or the word why they wait. */
export default function FeedLine({
  offers,
  bag,
  litres,
  isOn,
  isFull,
  onChange,
  onFull,
}: {
  readonly offers: readonly FeedOffer[];
  readonly bag: Bag;
  readonly litres: number;
  readonly isOn: boolean;
  /** what goes into every watering is given at its whole dose this time */
  readonly isFull: boolean;
  onChange(isOn: boolean): void;
  onFull(isFull: boolean): void;
}) {
  const unitFormat = useUnitFormat();
  const given = offers.filter(({ advice }) => advice.kind === 'feed');
  const [waiting] = offers.flatMap(({ advice }) =>
    advice.kind === 'feed' || advice.kind === 'not-yet' ? [] : [ADVICE_WORDS[advice.kind]],
  );
  return (
    <Box sx={{ borderBlock: '1px solid var(--line)', marginBlockStart: 0.75, paddingBlock: 0.5 }}>
      {given.length > 0 && (
        <>
          <FormControlLabel
            control={<Switch color="secondary" checked={isOn} onChange={(_, on) => onChange(on)} />}
            label={
              <>
                With its feed:{' '}
                {given.map((offer, i) => (
                  <span key={offer.state.step.id}>
                    {i > 0 ? ' and ' : ''}
                    <strong>
                      {feedAmountWords(offeredAmount(offer, bag, litres))} {feedName(offer.product)}
                      {offer.partner ? `, then as much ${feedName(offer.partner)}` : ''}
                    </strong>
                    {offer.into === 'leaves' &&
                      `, over the leaves in ${unitFormat.show(feedLitres('leaves', bag, litres), 'water')}`}
                  </span>
                ))}
              </>
            }
            slotProps={{ typography: { sx: { fontSize: '1rem' } } }}
          />
          {isOn && given.some(({ fullDose }) => fullDose) && (
            <ToggleButtonGroup
              exclusive
              size="small"
              value={isFull ? 'full' : 'weak'}
              onChange={(_, way: 'full' | 'weak' | null) => way && onFull(way === 'full')}
              aria-label="How strong"
            >
              <ToggleButton value="weak">Weak, every time</ToggleButton>
              <ToggleButton value="full">Full, then plain for a week</ToggleButton>
            </ToggleButtonGroup>
          )}
          {isOn && given[0] && (
            <Typography sx={{ fontSize: '0.85rem' }}>
              {given.map((offer) => doseWords(offer.dose, unitFormat.system)).join('; ')}.{' '}
              {feedCaution(given[0].product, given[0].into)}
            </Typography>
          )}
        </>
      )}
      {waiting && <Typography sx={{ fontSize: '0.92rem' }}>{waiting}</Typography>}
    </Box>
  );
}
