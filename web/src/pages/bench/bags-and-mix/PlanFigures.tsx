import { Box, Button, Typography } from '@mui/material';
import { dayOf } from '@rundel/core/calendar';
import type { Crop } from '@rundel/core/plants';
import {
  firstWateringLitres,
  plantingMethodOf,
  type PlantingOutcome,
  type PlantingPlan,
  type PlantingRemark,
  type StripPracticeId,
} from '@rundel/core/planting';
import { CautionOf } from '../../../ui/CautionOf.tsx';
import {
  obstacleWords,
  planSentence,
  reachingWords,
  REMARKS,
  remedyWords,
  stripSentence,
} from '../../../text/planting-text.ts';
import { Remark } from '../../../ui/Remark.tsx';
import { whenWords } from '../../../text/text.ts';
import { HowCalculated, WorkedLines } from '../../../ui/HowCalculated.tsx';
import { useGarden, useUnitFormat, type Bag } from '../../../store/index.ts';

/** What a planting comes to: the sentence, the steps for the hands, and the figures behind it. */
export function PlanFigures({
  outcome,
  remarks,
  crop,
  bag,
  isOwn,
  onReset,
  stripPractice,
}: {
  readonly outcome: PlantingOutcome;
  readonly remarks: readonly PlantingRemark[];
  readonly crop: Crop;
  readonly bag: Bag;
  readonly isOwn: boolean;
  onReset(): void;
  readonly stripPractice: StripPracticeId;
}) {
  const unitFormat = useUnitFormat();
  const { live, clock } = useGarden();
  const measured = live.findLast((e) => e.kind === 'warmth' && e.containerId === bag.container.id);
  const warmth =
    measured?.kind === 'warmth'
      ? ` It was ${unitFormat.show(measured.mixCelsius, 'temperature')} ${whenWords(measured.at, clock.now())}.`
      : '';
  if (outcome.kind === 'cannot') {
    return (
      <Remark role="alert">
        <strong>{plantingMethodOf(outcome.plantingMethodId).name} does not work here.</strong>{' '}
        {obstacleWords(outcome.plantingMethodId, outcome.obstacle, unitFormat)}{' '}
        {remedyWords(outcome.obstacle.remedies)}
      </Remark>
    );
  }
  const { plan } = outcome;
  const { stem } = plan;
  const strip =
    plan.plantingMethodId === 'seed' || plan.plantingMethodId === 'net-cup'
      ? ''
      : stripSentence(stem.stripLeaves, stripPractice);
  return (
    <Box>
      <Typography sx={{ fontSize: '1.1rem' }} data-testid="planting-advice">
        <strong>{planSentence(plan, unitFormat)}</strong>{' '}
        {crop.depth === 'level' && plan.plantingMethodId === 'upright'
          ? 'Its stem does not like to be buried.'
          : strip}{' '}
        {plan.plantingMethodId !== 'seed' &&
          `${unitFormat.show(stem.aboveMillimetres, 'height')} stays above.`}
      </Typography>
      {remarks.map((remark) => (
        <Remark key={remark}>{REMARKS[remark]}</Remark>
      ))}
      {isOwn && (
        <Button onClick={onReset} sx={{ paddingInline: 0.5, '@media print': { display: 'none' } }}>
          Back to what was worked out
        </Button>
      )}
      <TopUps plan={plan} bag={bag} />
      <Box component="ol" sx={{ marginBlock: 1.5, paddingInlineStart: 2.5, '& li': { marginBlock: 0.5 } }}>
        {handSteps(plan, bag, unitFormat, warmth).map((step) => (
          <li key={step}>{step}</li>
        ))}
      </Box>
      <CautionOf id="compost" />
      <HowCalculated label="All the figures">
        <WorkedLines lines={figures(plan, unitFormat)} />
      </HowCalculated>
    </Box>
  );
}

/** The first fill and those that follow: in all and for each plant, loose as it goes in and once it has settled. */
function TopUps({ plan, bag }: { readonly plan: PlantingPlan; readonly bag: Bag }) {
  const { clock } = useGarden();
  const unitFormat = useUnitFormat();
  if (plan.topUps.length === 0) return null;
  const today = dayOf(clock.now());
  const plants = bag.container.stations.length;
  const { firstFill } = plan;
  const { settling, real } = bag.properties;
  const litres = (loose: number) => {
    const each = plants > 1 ? `, ${unitFormat.show(loose / plants, 'bag')} a plant` : '';
    return `${unitFormat.show(loose, 'bag')} loose (${unitFormat.show(loose * (1 - settling), 'bag')} settled)${each}`;
  };
  return (
    <Box sx={{ marginBlockStart: 1.5 }}>
      {firstFill && (
        <Typography sx={{ marginBlockEnd: 1 }}>
          <strong>First fill:</strong> {litres(firstFill.looseLitres)}, to{' '}
          {real.ring
            ? `${unitFormat.show(plan.levelMillimetres - real.ring.fromMillimetres, 'depth')} in the ring`
            : unitFormat.show(plan.levelMillimetres, 'depth')}
          .
        </Typography>
      )}
      <Typography sx={{ fontWeight: 'fontWeightMedium' }}>Top-ups, if it is planted today</Typography>
      <Box component="ul" sx={{ margin: 0, paddingInlineStart: 2.5 }}>
        {plan.topUps.map((topUp) => (
          <li key={topUp.toMillimetres}>
            {litres(topUp.litres)} more, to{' '}
            {real.ring
              ? `${unitFormat.show(topUp.toMillimetres - real.ring.fromMillimetres, 'depth')} in the ring`
              : unitFormat.show(topUp.toMillimetres, 'depth')}
            : {reachingWords(topUp.when, today)}
          </li>
        ))}
      </Box>
    </Box>
  );
}

type UnitFormat = ReturnType<typeof useUnitFormat>;

/** What the hands do, in order. */
function handSteps(plan: PlantingPlan, bag: Bag, unitFormat: UnitFormat, warmth: string): readonly string[] {
  const share = plan.levelMillimetres / bag.properties.fill.mixMillimetres;
  const watering = firstWateringLitres(
    bag.properties.fill.mixLitres * Math.min(1, share),
    'moistened',
    bag.properties.assumed,
  );
  const steps = [
    bag.properties.kind.isClosed ? 'Stand the bag up, shake and knead it until no lump is left.' : '',
    'Moisten the mix until a squeezed handful holds together and drips nothing.',
    plan.seed
      ? `Wait until the mix is ${unitFormat.show(plan.seed.mixCelsius, 'temperature')} or warmer; it comes up in ${plan.seed.daysToEmerge.low} to ${plan.seed.daysToEmerge.high} days.${warmth}`
      : 'Soak the root ball until no more bubbles come; hold it by the ball, never by the stem.',
    plan.net && !plan.net.rootsReach
      ? `Its roots do not reach the nutrient yet (${unitFormat.show(plan.net.gapMillimetres, 'depth')} of air below the net): water it by hand until they do.`
      : '',
    plan.backfillLitres > 0
      ? `Keep ${unitFormat.show(plan.backfillLitres, 'bag')} of loose mix for round the ball.`
      : '',
    plan.collar && plan.collar.litres > 0
      ? `Fill the collar with ${unitFormat.show(plan.collar.litres, 'bag')} of mix.`
      : '',
    plan.trench
      ? 'Bend the tip up little by little and prop it with mix; it rights itself in a few days.'
      : '',
    `First watering: ${unitFormat.show(watering, 'water')} close to the stem, twice that if the mix was dry. Not over the leaves.`,
    plan.plantingMethodId === 'seed' || plan.plantingMethodId === 'net-cup'
      ? ''
      : `The surface sinks about ${unitFormat.show(plan.sinksMillimetres, 'depth')} where all of the mix is fresh: level it again the day after.`,
    plan.seed ? '' : 'Shade it until tomorrow evening.',
  ];
  return steps.filter((step) => step !== '');
}

function figures(plan: PlantingPlan, unitFormat: UnitFormat): readonly (readonly [string, string])[] {
  const depth = (mm: number) => unitFormat.show(mm, 'depth');
  const { stem, hole, trench, collar } = plan;
  return [
    ['Hole, deep', depth(hole.depthMillimetres)],
    ['Hole, wide', depth(hole.widthMillimetres)],
    ['Stem under the surface', depth(stem.buriedMillimetres)],
    ['Stays above', unitFormat.show(stem.aboveMillimetres, 'height')],
    ['Leaves to strip', String(stem.stripLeaves)],
    ['Mix below the ball', depth(plan.belowBallMillimetres)],
    ['Mix to put back', unitFormat.show(plan.backfillLitres, 'bag')],
    ['Level after settling', depth(plan.levelMillimetres)],
    ...(trench
      ? ([
          ['Trench, long', depth(trench.lengthMillimetres)],
          ['Bend, no tighter than a radius of', depth(trench.bendRadiusMillimetres)],
          ['Tip comes out', `${depth(trench.tipMillimetres)} from its far end`],
        ] as const)
      : []),
    ...(collar
      ? ([
          ['Collar, high', depth(collar.heightMillimetres)],
          ['Collar, wide', depth(collar.widthMillimetres)],
        ] as const)
      : []),
  ];
}
