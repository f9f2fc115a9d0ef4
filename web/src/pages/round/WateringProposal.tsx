import { Box, Button, IconButton, Typography } from '@mui/material';
import { IconMinus, IconPlus } from '@tabler/icons-react';
import { MEASURE_UNIT } from '@rundel/core/units';
import type { WateringAdvice } from '@rundel/core/water';
import { lazy, Suspense, useState } from 'react';
import { fillsWords } from '../../text/text.ts';
import { wateringMeasure, useGarden, useUnitFormat, type Bag } from '../../store/index.ts';
import { pouringOrder, type FeedOffer } from '@rundel/core/garden-state';
import { pourWords } from '../../text/water-text.ts';
import { PROPOSAL } from './proposal.ts';
import { NOTHING_THROUGH, RanThrough, type SeenThrough } from './RanThrough.tsx';
import { SkipButton, type SkipReason } from './SkipButton.tsx';

const feedLine = import('./FeedLine.tsx');
const FeedLine = lazy(() => feedLine);

/** A watering as it was given. */
export interface WateringDone {
  readonly litres: number;
  readonly count: number;
  readonly seen: SeenThrough;
  readonly into: WateringAdvice['into'];
  /** what was in it */
  readonly feeds: readonly FeedOffer[];
}

const BECAUSE: Record<WateringAdvice['because'], string> = {
  'felt-dry': 'It felt dry: water it.',
  'before-next-round': 'It would not last to the next round: water it.',
  enough: 'It has enough.',
};

const STORE_BECAUSE: Record<WateringAdvice['because'], string> = {
  'felt-dry': 'Its store is low: fill it up.',
  'before-next-round': 'Its store would not last to the next round: fill it up.',
  enough: 'Its store has enough.',
};

/** The watering that follows a check: one tap when it is given as proposed, steps of a quarter can when not. */
export default function WateringProposal({
  bag,
  driest,
  advice,
  feeds: offered,
  onGiven,
  onOther,
  onSkip,
}: {
  readonly bag: Bag;
  /** the plant that felt driest of several */
  readonly driest: string | undefined;
  readonly advice: WateringAdvice;
  readonly feeds: readonly FeedOffer[];
  onGiven(watering: WateringDone): void;
  onOther(): void;
  onSkip(reason: SkipReason): void;
}) {
  const { garden } = useGarden();
  const unitFormat = useUnitFormat();
  const measure = wateringMeasure(garden);
  const step = MEASURE_UNIT[measure.kind] === 'second' ? 1 : 0.25;
  const [count, setCount] = useState(advice.fills.count);
  const [seen, setSeen] = useState(NOTHING_THROUGH);
  const [isFed, setFed] = useState(true);
  const [isFull, setFull] = useState(false);
  const feeds = isFull ? offered.map((feed) => ({ ...feed, dose: feed.fullDose ?? feed.dose })) : offered;
  const given = isFed ? feeds.filter((feed) => feed.advice.kind === 'feed') : [];
  const litres = count * measure.litres;
  const { number, symbol } = unitFormat.parts(litres, 'water');
  const isStore = advice.into === 'store';
  const because = isStore
    ? STORE_BECAUSE[advice.because]
    : advice.because === 'felt-dry' && driest
      ? `It felt dry at ${driest}: water it.`
      : BECAUSE[advice.because];
  const plants = bag.occupants.length;
  const order = isStore
    ? []
    : pouringOrder(
        bag.container,
        bag.properties,
        {
          litres,
          daysSincePlanting: bag.water?.daysSincePlanting,
          isEstablishing: advice.isEstablishing,
        },
        bag.properties.assumed,
      );
  const pours = isStore
    ? 'into its pipe or drum until it is full'
    : advice.pours > 1
      ? 'in two goes, ten minutes apart: dry mix lets the first one past'
      : 'slowly, in goes with a pause between, until it runs through';
  return (
    <Box sx={PROPOSAL} role="group" aria-label="Proposed watering">
      <Typography sx={{ fontSize: '0.92rem' }}>
        {because} It should take {unitFormat.range(advice.litres.low, advice.litres.high, 'water')}
        {advice.isEstablishing ? ', close to the stem while it roots.' : '.'}
        {advice.isHeldBack && ' A cold night is coming, so this is less than it could hold.'} Pour {pours}
        {order.length === 0 && !isStore && plants > 1
          ? `: about ${unitFormat.show(litres / plants, 'water')} at each of its ${plants} plants`
          : ''}
        .{order.length > 0 && ` First ${order.map((pour) => pourWords(pour, unitFormat)).join(', then ')}.`}
      </Typography>
      {feeds.length > 0 && (
        <Suspense>
          <FeedLine
            offers={feeds}
            bag={bag}
            litres={litres}
            isOn={isFed}
            isFull={isFull}
            onChange={setFed}
            onFull={setFull}
          />
        </Suspense>
      )}
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 1, marginBlockStart: 1 }}>
        <IconButton
          onClick={() => setCount((c) => Math.max(step, c - step))}
          aria-label="less"
          sx={{ width: 48, height: 56, color: 'inherit', border: '1.5px solid', borderRadius: '10px' }}
        >
          <IconMinus aria-hidden />
        </IconButton>
        <Box sx={{ flex: 1, textAlign: 'center' }} aria-live="polite">
          <Box
            component="span"
            sx={{ fontFamily: 'h1.fontFamily', fontSize: '1.9rem', fontWeight: 750, lineHeight: 1 }}
          >
            {number}
          </Box>{' '}
          {symbol}
          <Box sx={{ fontSize: '0.88rem' }}>{fillsWords(count, measure)}</Box>
        </Box>
        <IconButton
          onClick={() => setCount((c) => c + step)}
          aria-label="more"
          sx={{ width: 48, height: 56, color: 'inherit', border: '1.5px solid', borderRadius: '10px' }}
        >
          <IconPlus aria-hidden />
        </IconButton>
        <Button
          variant="contained"
          color="secondary"
          onClick={() => onGiven({ litres, count, seen, into: advice.into, feeds: given })}
          aria-keyshortcuts="Enter"
          sx={{ minHeight: 56, minWidth: 104, fontSize: '1.1rem' }}
        >
          Given
        </Button>
      </Box>
      <Box
        sx={{
          display: 'flex',
          flexWrap: 'wrap',
          alignItems: 'center',
          justifyContent: 'space-between',
          marginBlockStart: 0.5,
          '& .MuiButton-root': { paddingInline: 1, minWidth: 0 },
        }}
      >
        <RanThrough seen={seen} isStore={isStore} onChange={setSeen} />
        <Box>
          <Button onClick={onOther} sx={{ color: 'inherit', textDecoration: 'underline' }}>
            Other amount
          </Button>
          <SkipButton onSkip={onSkip} sx={{ color: 'inherit', textDecoration: 'underline' }} />
        </Box>
      </Box>
    </Box>
  );
}
