import { practiceOf, stemFigures, wantedDepth } from '../depth.ts';
import { cannot, cylinderLitres, holeOf, sinks } from './measures.ts';
import type { PlantingTask, PlantingMethod } from './planting-method.ts';

/**
 * A bottomless pot or collar on the bag gains the depth that the mix lacks. For the practice that keeps the neck dry it is
 * the plant's own pot with the base cut off: the ball stands in it, and nothing of the stem is covered.
 */
export const collar: PlantingMethod = {
  id: 'collar',
  name: 'Bottomless pot or collar',
  description: 'A pot without its base, pressed into the top, gives the depth that the bag lacks.',
  plan(task) {
    const { seedling, crop, site, assumed } = task;
    if (crop.depth === 'level') return cannot('collar', { places: 'wrong-crop', remedies: ['upright'] });
    const practice = practiceOf(site.practiceId);
    if (practice.crown.leave === 'all') return neckDry(task);
    const wanted = wantedDepth(seedling, practice, assumed);
    const below = practice.below === 'none' ? 0 : assumed.mixBelowBall;
    const needed = wanted.buried + seedling.ballMillimetres + below;
    const extra = needed - site.mixMillimetres;
    if (extra <= 0) {
      return cannot('collar', {
        places: 'nothing-to-gain',
        hasMillimetres: site.mixMillimetres,
        needsMillimetres: needed,
        remedies: ['upright'],
      });
    }
    const height = extra + assumed.collarSeat + assumed.collarLip;
    if (height > assumed.collarMost) {
      return cannot('collar', {
        places: 'collar-too-tall',
        hasMillimetres: assumed.collarMost,
        needsMillimetres: height,
        remedies: ['trench', 'deeper-bag', 'gentler-practice'],
      });
    }
    const widthMillimetres = Math.max(assumed.collarWidth, crop.ball.widthMillimetres + 60);
    const depth = wanted.buried + seedling.ballMillimetres;
    const hole = holeOf(task, depth);
    return {
      kind: 'planned',
      plan: {
        plantingMethodId: 'collar',
        stem: stemFigures(seedling, wanted.buried, wanted.limit, assumed),
        hole: { depthMillimetres: depth - extra, widthMillimetres: hole.widthMillimetres },
        belowBallMillimetres: below,
        levelMillimetres: site.mixMillimetres + extra,
        backfillLitres: hole.backfillLitres,
        sinksMillimetres: sinks(site, site.mixMillimetres + extra),
        topUps: [],
        collar: {
          heightMillimetres: height,
          widthMillimetres,
          litres: cylinderLitres(widthMillimetres, extra) / (1 - site.settling),
        },
      },
    };
  },
};

function neckDry({ seedling, crop, site, assumed }: PlantingTask): ReturnType<PlantingMethod['plan']> {
  return {
    kind: 'planned',
    plan: {
      plantingMethodId: 'collar',
      stem: stemFigures(seedling, 0, 'crown', assumed),
      hole: { depthMillimetres: assumed.collarSeat, widthMillimetres: crop.ball.widthMillimetres },
      belowBallMillimetres: site.mixMillimetres,
      levelMillimetres: site.mixMillimetres + seedling.ballMillimetres,
      backfillLitres: 0,
      sinksMillimetres: sinks(site, site.mixMillimetres),
      topUps: [],
      collar: {
        heightMillimetres: seedling.ballMillimetres + assumed.collarSeat,
        widthMillimetres: crop.ball.widthMillimetres,
        litres: 0,
      },
    },
  };
}
