import { stemFigures } from '../depth.ts';
import { cannot, sinks } from './measures.ts';
import type { PlantingMethod } from './planting-method.ts';

/** Roots rinsed bare and hung through the net of a cup above its channel. The ball's height stands for their length. */
export const netCup: PlantingMethod = {
  id: 'net-cup',
  name: 'Bare-rooted into a net cup',
  description: 'Rinse the roots bare, hold the neck at the rim, let them hang through the net.',
  plan({ seedling, site, assumed }) {
    if (site.netGapMillimetres === undefined)
      return cannot('net-cup', { places: 'wrong-bag', remedies: ['upright'] });
    const reach = site.mixMillimetres + site.netGapMillimetres;
    return {
      kind: 'planned',
      plan: {
        plantingMethodId: 'net-cup',
        stem: stemFigures(seedling, 0, 'level', assumed),
        hole: { depthMillimetres: 0, widthMillimetres: 0 },
        belowBallMillimetres: Math.max(0, site.mixMillimetres - seedling.ballMillimetres),
        levelMillimetres: site.mixMillimetres,
        backfillLitres: 0,
        sinksMillimetres: sinks(site, site.mixMillimetres),
        topUps: [],
        net: { rootsReach: seedling.ballMillimetres >= reach, gapMillimetres: site.netGapMillimetres },
      },
    };
  },
};

/** Mix that a seedling's first roots need below them, mm. */
const LEAST_MIX_FOR_SEED = 80;

/** Seed sown where it is to grow. */
export const seed: PlantingMethod = {
  id: 'seed',
  name: 'Seed, sown in place',
  description: 'A few seeds to a station, thinned to the best.',
  plan({ crop, site }) {
    if (site.mixMillimetres < LEAST_MIX_FOR_SEED) {
      return cannot('seed', {
        places: 'mix-too-shallow',
        hasMillimetres: site.mixMillimetres,
        needsMillimetres: LEAST_MIX_FOR_SEED,
        remedies: ['deeper-bag', 'less-mulch'],
      });
    }
    return {
      kind: 'planned',
      plan: {
        plantingMethodId: 'seed',
        stem: {
          buriedMillimetres: 0,
          aboveMillimetres: 0,
          stripLeaves: 0,
          firstLeafMillimetres: undefined,
          limit: 'level',
        },
        hole: { depthMillimetres: crop.sowing.depthMillimetres, widthMillimetres: 20 },
        belowBallMillimetres: site.mixMillimetres - crop.sowing.depthMillimetres,
        levelMillimetres: site.mixMillimetres,
        backfillLitres: 0,
        sinksMillimetres: sinks(site, site.mixMillimetres),
        topUps: [],
        seed: crop.sowing,
      },
    };
  },
};
