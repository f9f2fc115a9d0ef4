import { Box } from '@mui/material';
import { supportOf } from '@rundel/core/plants';
import { memo, useMemo } from 'react';
import { Link } from 'react-router';
import { seenStore, titleOf } from '../../text/bag-text.ts';
import { BagElevation, BagSection, cutHeight, sceneOf, type Scene } from '../../section/index.ts';
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

/** How high the drawing of a stop is together, px; and the least that is left for the whole plant. */
const STOP_HIGH = 546;
const WHOLE_LEAST = 130;

/** The bag of a stop: the bag itself large, with its band and figures, and the whole plant small above it. */
export const StopSection = memo(function StopSection({
  bag,
  width,
}: {
  readonly bag: Bag;
  readonly width: number;
}) {
  const unitFormat = useUnitFormat();
  const scene = useScene(bag);
  const sectionHigh = Math.min(STOP_HIGH - WHOLE_LEAST, cutHeight(scene, width));
  return (
    <Box sx={{ display: 'grid', height: '100%', gridTemplateRows: 'auto minmax(0, 1fr)', gap: 1 }}>
      {scene.plants.length > 0 ? <WholePlant scene={scene} high={STOP_HIGH - sectionHigh} /> : <span />}
      <BagSection
        scene={scene}
        unitFormat={unitFormat}
        width={width}
        height={sectionHigh}
        title={`${titleOf(bag)} in section`}
        isCut
      />
    </Box>
  );
});

/** The plants and what holds them, whole and small, with how tall they are. */
function WholePlant({ scene, high }: { readonly scene: Scene; readonly high: number }) {
  const unitFormat = useUnitFormat();
  const { support, plants, floorMillimetres } = scene;
  const tallest = Math.max(...plants.map((p) => p.heightMillimetres));
  const isMeasured = plants.every((p) => p.isHeightMeasured);
  const reach = 2 * Math.max(scene.halfWidest, ...plants.map((p) => Math.abs(p.x) + 230));
  const scale = Math.min((high - 20) / scene.top, 260 / reach);
  return (
    <Box
      sx={{
        display: 'flex',
        alignItems: 'end',
        justifyContent: 'center',
        gap: 3,
        borderBlockEnd: '1px dashed var(--line)',
        paddingBlockEnd: 1,
        // on a low screen the bag keeps its size
        '@media (max-height: 720px)': { display: 'none' },
      }}
    >
      <BagElevation scene={scene} pixelsPerMillimetre={scale} />
      <Box sx={{ fontSize: '0.9rem', lineHeight: 1.35, minWidth: 130 }}>
        <div>
          <strong>
            {isMeasured ? '' : 'about '}
            {unitFormat.show(tallest, 'height')}
          </strong>{' '}
          tall{isMeasured ? '' : ', by its age'}
        </div>
        {support.kind !== 'none' && support.heightMillimetres > 0 && (
          <Box sx={{ color: 'text.secondary' }}>
            {supportOf(support.kind).short} to{' '}
            {unitFormat.show(support.heightMillimetres + floorMillimetres, 'height')}
          </Box>
        )}
      </Box>
    </Box>
  );
}

/** The bag of a stop close up, for a phone: the bag itself as large as it goes, the plant's top out of the picture. */
export const StopCloseUp = memo(function StopCloseUp({
  bag,
  isLow,
}: {
  readonly bag: Bag;
  /** what follows from a check wants the room */
  readonly isLow: boolean;
}) {
  const high = isLow ? 118 : 142;
  const share = bag.water?.estimate.share;
  const scene = useScene(bag);
  const pixelsPerMillimetre = Math.min(128 / (2 * scene.halfWidest), (high - 30) / scene.heightMillimetres);
  const percent = (part: number) => Math.round(part * 100);
  return (
    <Box
      component={Link}
      to={`/bags/${bag.container.id}`}
      aria-label={`${titleOf(bag)} in section; open its page`}
      sx={{
        width: 150,
        height: high + 22,
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
          height: high,
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
          'in section'
        )}
      </Box>
    </Box>
  );
});
