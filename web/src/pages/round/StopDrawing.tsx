import { Box } from '@mui/material';
import { memo, useMemo } from 'react';
import { Link } from 'react-router';
import { seenStore, titleOf } from '../../text/bag-text.ts';
import { BagElevation, BagSection, sceneOf } from '../../section/index.ts';
import { useGarden, useUnitFormat, type Bag } from '../../store/index.ts';

function useScene(bag: Bag) {
  const { clock, garden, live } = useGarden();
  const share = bag.water?.estimate.share;
  return useMemo(
    () => ({
      ...sceneOf(bag.container, bag.properties, bag.occupants, share, clock.now(), garden.settings, live),
      level: seenStore(bag.water),
    }),
    [bag.properties, bag.container, bag.occupants, bag.water, clock, garden.settings, live, share],
  );
}

/** The bag of a stop in section. */
export const StopSection = memo(function StopSection({
  bag,
  height,
}: {
  readonly bag: Bag;
  readonly height: number;
}) {
  const unitFormat = useUnitFormat();
  const scene = useScene(bag);
  return (
    <BagSection scene={scene} unitFormat={unitFormat} height={height} title={`${titleOf(bag)} in section`} />
  );
});

/** The bag of a stop close up, for a phone: the bag itself as large as it goes, the plant's top out of the picture. */
export const StopCloseUp = memo(function StopCloseUp({ bag }: { readonly bag: Bag }) {
  const share = bag.water?.estimate.share;
  const scene = useScene(bag);
  const pixelsPerMillimetre = Math.min(128 / (2 * scene.halfWidest), 112 / scene.heightMillimetres);
  const percent = (part: number) => Math.round(part * 100);
  return (
    <Box
      component={Link}
      to={`/bags/${bag.container.id}`}
      aria-label={`${titleOf(bag)} in section; open its page`}
      sx={{
        width: 150,
        height: 164,
        flexShrink: 0,
        display: 'grid',
        alignContent: 'end',
        color: 'inherit',
        textDecoration: 'none',
      }}
    >
      <Box
        sx={{
          overflow: 'hidden',
          height: 142,
          display: 'grid',
          alignContent: 'end',
          justifyContent: 'center',
          borderBlockEnd: '2.5px solid var(--ink)',
        }}
      >
        <BagElevation scene={scene} pixelsPerMillimetre={pixelsPerMillimetre} />
      </Box>
      <Box sx={{ textAlign: 'center', fontSize: '0.85rem' }}>
        {share ? (
          <>
            <strong>{percent(share.likely)} %</strong> left, {percent(share.low)} to {percent(share.high)}
          </>
        ) : (
          '…'
        )}
      </Box>
    </Box>
  );
});
