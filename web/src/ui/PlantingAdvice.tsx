import { Box, Typography } from '@mui/material';
import type { Crop, Habit } from '@rundel/core/plants';
import { plantingTaskOf, type BagProperties } from '@rundel/core/garden-state';
import {
  plantingMethodOf,
  plantingMethodsFor,
  planUpright,
  type DepthLimit,
  type UprightPlanting,
} from '@rundel/core/planting';
import { type Seedling } from '@rundel/core/records';
import { useUnitFormat } from '../store/index.ts';
import { Remark } from './Remark.tsx';
import { HowCalculated, WorkedLines } from './HowCalculated.tsx';

const LIMITS: Record<DepthLimit, string> = {
  crown: 'what the practice leaves above',
  graft: 'the graft, which stays clear of the mix',
  'seed-leaves': 'the seed leaves',
  bag: 'the depth of the bag',
  level: 'this crop, which wants its old level',
};

/** How deep to plant, in a sentence and its numbers; the numbers open to how they came about. */
export function PlantingAdvice({
  seedling,
  crop,
  habit,
  properties,
  stations,
  practiceId,
  isDone = false,
}: {
  readonly seedling: Seedling;
  readonly crop: Crop;
  readonly habit: Habit;
  readonly properties: BagProperties;
  /** how many plants the bag is meant for */
  readonly stations: number;
  readonly practiceId: string;
  /** the plant is in: say what it came to instead of what to do */
  readonly isDone?: boolean;
}) {
  const unitFormat = useUnitFormat();
  const { assumed } = properties;
  const { mixMillimetres } = properties.fill;
  const advice = planUpright(seedling, { depth: crop.depth, mixMillimetres, practiceId }, assumed);
  // the same methods that the bench and a planting session offer: none is named that they would refuse
  const others = plantingMethodsFor(
    plantingTaskOf(properties, stations, practiceId, crop, habit, seedling),
  ).flatMap((o) =>
    o.kind === 'planned' && o.plan.plantingMethodId !== 'upright' && o.plan.plantingMethodId !== 'seed'
      ? [plantingMethodOf(o.plan.plantingMethodId).name.toLowerCase()]
      : [],
  );
  const depth = (mm: number) => unitFormat.show(mm, 'depth');
  const planting = advice.kind === 'upright' ? advice.planting : advice.instead;
  return (
    <Box>
      {advice.kind === 'does-not-fit' && !isDone && (
        <Remark role="alert">
          <strong>
            {advice.practice ? `"${advice.practice.name}" does not fit upright.` : 'It does not fit.'}
          </strong>{' '}
          The hole would be {depth(advice.wantedHoleMillimetres)} deep and the bag has{' '}
          {depth(advice.mixMillimetres)} of mix; it would take {depth(advice.neededMixMillimetres)}.{' '}
          {planting
            ? `As deep as it goes is below. ${others.length > 0 ? `It would go in another way: ${others.join(', or ')}.` : 'A deeper bag would bury more.'}`
            : 'The root ball alone is deeper than the mix: it needs another bag, or less mulch and headroom.'}
        </Remark>
      )}
      {planting && (isDone ? <Done planting={planting} /> : <Numbers planting={planting} crop={crop} />)}
      {planting && (
        <HowCalculated label="How this is worked out">
          <WorkedLines
            lines={[
              ['Plant above its root ball', unitFormat.show(seedling.stemMillimetres, 'height')],
              ['Root ball', depth(seedling.ballMillimetres)],
              ['Settled mix in the bag', depth(mixMillimetres)],
              ...(seedling.graftMillimetres === undefined
                ? []
                : ([['Graft above the ball', depth(seedling.graftMillimetres)]] as const)),
              ['Buried', depth(planting.buriedMillimetres)],
              ['Stays above', unitFormat.show(planting.aboveMillimetres, 'height')],
              ['Mix left below the ball', depth(planting.belowBallMillimetres)],
            ]}
          />
          <Typography variant="body2" sx={{ marginBlockStart: 1 }}>
            Decided by {LIMITS[planting.limit]}. {advice.practice ? `${advice.practice.description} ` : ''}
            {seedling.leafMillimetres
              ? 'Leaves as you measured them.'
              : crop.depth === 'stem-roots'
                ? 'Leaf heights are a guess; measure them for a surer count.'
                : ''}
          </Typography>
        </HowCalculated>
      )}
    </Box>
  );
}

function Numbers({ planting, crop }: { readonly planting: UprightPlanting; readonly crop: Crop }) {
  const unitFormat = useUnitFormat();
  const depth = (mm: number) => unitFormat.show(mm, 'depth');
  const sentence =
    crop.depth === 'level'
      ? `Plant it level with its old surface, in a hole ${depth(planting.holeMillimetres)} deep. Its stem does not like to be buried.`
      : planting.buriedMillimetres < 5
        ? `Plant it level: nothing of this plant can be buried. The hole is ${depth(planting.holeMillimetres)} deep.`
        : `Dig a hole ${depth(planting.holeMillimetres)} deep and bury ${depth(planting.buriedMillimetres)} of the stem.`;
  const strip =
    planting.stripLeaves === 0
      ? 'No leaves to strip.'
      : `Strip the lowest ${planting.stripLeaves === 1 ? 'leaf' : `${planting.stripLeaves} leaves`} first, cleanly.`;
  return (
    <Typography sx={{ fontSize: '1.1rem' }} data-testid="planting-advice">
      <strong>{sentence}</strong> {strip} {unitFormat.show(planting.aboveMillimetres, 'height')} stays above.
    </Typography>
  );
}

/** What the planting came to, for a plant that is in. */
function Done({ planting }: { readonly planting: UprightPlanting }) {
  const unitFormat = useUnitFormat();
  return (
    <Typography sx={{ fontSize: '1.1rem' }}>
      {planting.buriedMillimetres < 5
        ? 'It stands level with its old surface.'
        : `${unitFormat.show(planting.buriedMillimetres, 'depth')} of its stem should be under, with ${unitFormat.show(planting.belowBallMillimetres, 'depth')} of mix below the ball.`}
    </Typography>
  );
}
